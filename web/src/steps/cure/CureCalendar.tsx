import type { Square } from '../../common/cureEvents';
import { WeekTable } from '../../common/WeekTable';
import { cure as words } from '../../words';
import classes from './CureStep.module.css';

/** The weeks after, a square a day. */
export function CureCalendar({ squares, today }: { squares: Square[]; today: string }) {
  return (
    <div className={classes.scroll} role="region" aria-label={words.calendarTitle} tabIndex={0}>
      <WeekTable squares={squares} label={words.calendarTitle} className={classes.calendar} today={today}>
        {(d) => (
          <ul>
            {d.lines.map((line) => (
              <li key={`${line.kind}${line.at}${line.text}`} data-kind={line.kind}>
                {line.text}
              </li>
            ))}
          </ul>
        )}
      </WeekTable>
    </div>
  );
}
