import { board as words } from '../words';
import partsStyles from './Parts.module.css';
import { Picture } from './Picture';
import { lineText, standing } from './lineText';
import { useBoard } from './session';

/** All that was told of the pour, the last first; any line can be struck out. */
export function DayLog() {
  const { report, lines, tell, pour, waiting, format, job } = useBoard();
  const told = standing(lines, pour, report.pours[0]?.id === pour);
  return (
    <section aria-label={words.diary} className={partsStyles.log}>
      <h2>{words.diary}</h2>
      {told.length === 0 && <p>{words.none}</p>}
      <ul data-testid="day-log">
        {told.map((l) => (
          <li key={l.id} data-kind={l.kind} data-waiting={waiting.has(l.id)}>
            <span>
              <b>{format.time(l.at)}</b> {lineText(l, format)}
              {l.device && <small> {l.device}</small>}
              {l.kind === 'photo' && job !== null && (
                <Picture job={job} picture={l.picture} text={lineText(l, format)} />
              )}
            </span>
            <button
              type="button"
              aria-label={`${words.strike}: ${lineText(l, format)}`}
              onClick={() => tell({ kind: 'withdrawn', line: l.id, pour })}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
