import { eventsOf, squaresOf } from '../../common/cureEvents';
import { calendarDay } from '../../format/format';
import { useEditing, usePlanned } from '../../job/JobContext';
import { cure as cureWords, curing } from '../../words';
import { useDocument } from '../../job/JobContext';
import classes from './Paper.module.css';
import { Sheet } from './Sheet';

/** The weeks after, a square a day, to hang by the door. */
export function CureSheet() {
  const { cure, day } = usePlanned().sections;
  const document = useDocument();
  const { format } = useEditing();
  if (!cure || !day) return null;
  const squares = squaresOf(eventsOf(day, cure, format), format);
  const weeks = Array.from({ length: Math.ceil(squares.length / 7) }, (_, w) =>
    squares.slice(w * 7, w * 7 + 7),
  );
  return (
    <Sheet sheet="cure">
      <p>{curing[document.cure.method]}</p>
      <table className={classes.weeks} aria-label={cureWords.calendarTitle}>
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
                <td key={d.date}>
                  <b>{calendarDay(d.date).day}</b>
                  {d.lines.map((line) => (
                    <p key={`${line.kind}${line.at}${line.text}`}>☐ {line.text}</p>
                  ))}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Sheet>
  );
}
