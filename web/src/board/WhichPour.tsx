import { useSearchParams } from 'wouter';
import { pourHolds } from '../common/pourText';
import { number } from '../format/format';
import { board as words } from '../words';
import classes from './Board.module.css';
import { useBoard } from './session';

/** Of a job of several pours: which one the board is of. */
export function WhichPour() {
  const { report, document, pour } = useBoard();
  const [search, setSearch] = useSearchParams();
  if (report.pours.length < 2) return null;
  return (
    <select
      className={classes.pour}
      aria-label={words.whichPour}
      value={pour}
      onChange={(e) => {
        const next = new URLSearchParams(search);
        next.set('pour', e.currentTarget.value);
        setSearch(next);
      }}
    >
      {report.pours.map((p) => (
        <option key={p.id} value={p.id}>
          {words.pour(number(p.number), pourHolds(p, document.elements))}
        </option>
      ))}
    </select>
  );
}
