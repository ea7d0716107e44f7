import { eventsOf, squaresOf } from '../../common/cureEvents';
import { useFirstDay } from '../../common/useFirstDay';
import { WeekTable } from '../../common/WeekTable';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { cure as cureWords, curing } from '../../words';
import classes from './Paper.module.css';
import { Sheet } from './Sheet';

/** The weeks after, a square a day, to hang by the door. */
export function CureSheet() {
  const { cure, day } = usePlanned().sections;
  const document = useDocument();
  const { format } = useEditing();
  const firstDay = useFirstDay(document.units);
  if (!cure || !day) return null;
  return (
    <Sheet sheet="cure">
      <p>{curing[document.cure.method]}</p>
      <WeekTable
        squares={squaresOf(eventsOf(day, cure, format), format, firstDay)}
        label={cureWords.calendarTitle}
        className={classes.weeks}
      >
        {(d) => d.lines.map((line) => <p key={`${line.kind}${line.at}${line.text}`}>☐ {line.text}</p>)}
      </WeekTable>
    </Sheet>
  );
}
