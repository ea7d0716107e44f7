import { calendarDay } from '../../format/format';
import { cure as words } from '../../words';
import type { Square } from '../../common/cureEvents';
import classes from './CureStep.module.css';

/** The weeks after, a square a day. */
export function CureCalendar({ squares, today }: { squares: Square[]; today: string }) {
  const weeks = Array.from({ length: Math.ceil(squares.length / 7) }, (_, w) =>
    squares.slice(w * 7, w * 7 + 7),
  );
  return (
    <div className={classes.scroll} role="region" aria-label={words.calendarTitle} tabIndex={0}>
      <table className={classes.calendar} aria-label={words.calendarTitle} data-testid="calendar">
        <thead>
          <tr>
            {(weeks[0] ?? []).map((d) => (
              <th key={d.date} scope="col">
                {calendarDay(d.date).weekday}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week[0]?.date}>
              {week.map((d) => (
                <td key={d.date} data-today={d.date === today}>
                  <b>{calendarDay(d.date).day}</b>
                  <ul>
                    {d.lines.map((line) => (
                      <li key={`${line.kind}${line.at}${line.text}`} data-kind={line.kind}>
                        {line.text}
                      </li>
                    ))}
                  </ul>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
