import { board as words } from '../words';
import classes from './Board.module.css';
import { lineText, standing } from './lineText';
import { useBoard } from './session';

const WITHIN_MS = 10 * 60_000;

/** The last tap of this device, within reach for ten minutes. */
export function TakeBack() {
  const { report, lines, now, tell, pour, device, format } = useBoard();
  const last = standing(lines, pour, report.pours[0]?.id === pour).find((l) => l.device === device);
  const held = last && now - Date.parse(last.at) < WITHIN_MS;
  return (
    <div className={classes.takeBack}>
      {held && (
        <button
          type="button"
          data-testid="take-back"
          onClick={() => tell({ kind: 'withdrawn', line: last.id, pour })}
        >
          {words.takeBack(lineText(last, format))}
        </button>
      )}
    </div>
  );
}
