import { UnstyledButton } from '@mantine/core';
import type { StartHour } from '../api/client';
import { Heard } from '../common/Heard';
import { calendarDay, clock, clockHour, number, twoDigits } from '../format/format';
import { dayFaultMarks, dayFaults, day as words } from '../words';
import classes from './StartGrid.module.css';

interface StartGridProps {
  hours: StartHour[];
  best: StartHour[];
  /** Ways it may go that each hour was judged by. */
  members: number;
  time: (instant: string) => string;
  /** The day and hour that the job begins at now. */
  date: string;
  start: string;
  onPick: (date: string, start: string) => void;
}

/** As a job keeps it. */
const kept = (hour: number) => `${twoDigits(hour)}:00`;

/** From this chance on an hour is worth a number; under it the letter of what is in the way says more. */
const WORTH = 0.5;

/** Days across, hours down: how likely all goes well, and where that is not likely what is most often in the way. */
export function StartGrid({ hours, best, members, time, date, start, onPick }: StartGridProps) {
  const dates = [...new Set(hours.map((h) => h.date))];
  const rows = [...new Set(hours.map((h) => h.hour))].sort((a, b) => a - b);
  const seen = [...new Set(hours.flatMap((h) => h.faults.map((f) => f.fault)))];
  const isChosen = (h: StartHour) => h.date === date && start.startsWith(`${twoDigits(h.hour)}:`);
  // Of the hour that the job begins in, where it is one of these; else of the best.
  const told = hours.find(isChosen) ?? best[0];
  const isBest = (h: StartHour) => best.some((b) => b.at === h.at);
  return (
    <div className={classes.box} data-testid="starts">
      <table className={classes.grid} aria-label={words.startsTable}>
        <thead>
          <tr>
            <td />
            {dates.map((d) => {
              const text = calendarDay(d);
              return (
                <th key={d} scope="col">
                  {text.weekday}
                  <small>{text.day}</small>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {rows.map((hour) => (
            <tr key={hour}>
              <th scope="row">{clockHour(hour)}</th>
              {dates.map((d) => {
                const h = hours.find((x) => x.date === d && x.hour === hour);
                if (!h) return <td key={d} className={classes.none} />;
                const chosen = isChosen(h);
                const good = h.chance >= WORTH;
                const [worst] = h.faults;
                return (
                  <td key={d}>
                    <UnstyledButton
                      className={classes.cell}
                      data-good={good}
                      data-best={isBest(h)}
                      aria-pressed={chosen}
                      tabIndex={chosen || isBest(h) ? 0 : -1}
                      data-hour={hour}
                      style={{ '--chance': `${number(h.chance * 100)}%` }}
                      onClick={() => {
                        onPick(d, kept(hour));
                      }}
                    >
                      <span aria-hidden>
                        {good || !worst ? number(h.chance * 100) : dayFaultMarks[worst.fault]}
                      </span>
                      <Heard>
                        {words.startCell(
                          calendarDay(d).long,
                          clock(hour),
                          [
                            `${number(h.chance * 100)} %`,
                            ...h.faults.map((f) => `${dayFaults[f.fault]} ${number(f.share * 100)} %`),
                            words.doneBetween(time(h.doneEarliest), time(h.doneLatest)),
                          ].join(', '),
                        )}
                      </Heard>
                    </UnstyledButton>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {told && (
        <p className={classes.told} data-testid="start-told">
          {words.startsOne(
            `${calendarDay(told.date).weekday} ${calendarDay(told.date).day}, ${clock(told.hour)}`,
            number(told.chance * 100),
            time(told.doneBy),
            time(told.doneEarliest),
            time(told.doneLatest),
          )}
        </p>
      )}
      <p className={classes.legend}>
        {words.startsLegend}{' '}
        {seen.map((f) => (
          <span key={f}>
            <b>{dayFaultMarks[f]}</b> {dayFaults[f]}{' '}
          </span>
        ))}
        <span>{words.startsMembers(number(members))}</span>
      </p>
    </div>
  );
}
