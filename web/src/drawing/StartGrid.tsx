import { UnstyledButton } from '@mantine/core';
import type { StartHour } from '../api/client';
import { Heard } from '../common/Heard';
import { calendarDay, number, twoDigits } from '../common/format';
import { startFaultMarks, startFaults, day as words } from '../common/words';
import classes from './StartGrid.module.css';

interface StartGridProps {
  hours: StartHour[];
  best: StartHour[];
  /** The day and hour that the job begins at now. */
  date: string;
  start: string;
  onPick: (date: string, start: string) => void;
}

const clock = (hour: number) => `${twoDigits(hour)}:00`;

/** Days across, hours down: how likely all goes well where nothing is in the way, and else what is. */
export function StartGrid({ hours, best, date, start, onPick }: StartGridProps) {
  const dates = [...new Set(hours.map((h) => h.date))];
  const rows = [...new Set(hours.map((h) => h.hour))].sort((a, b) => a - b);
  const seen = [...new Set(hours.flatMap((h) => h.faults))];
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
              <th scope="row">{clock(hour)}</th>
              {dates.map((d) => {
                const h = hours.find((x) => x.date === d && x.hour === hour);
                if (!h) return <td key={d} className={classes.none} />;
                const chosen = d === date && start.startsWith(`${twoDigits(hour)}:`);
                const good = h.faults.length === 0;
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
                        onPick(d, clock(hour));
                      }}
                    >
                      <span aria-hidden>
                        {good
                          ? `${number(h.chance * 100)}${h.care ? words.careMark : ''}`
                          : h.faults.map((f) => startFaultMarks[f]).join('')}
                      </span>
                      <Heard>
                        {words.startCell(
                          calendarDay(d).long,
                          clock(hour),
                          good
                            ? `${number(h.chance * 100)} %${h.care ? `, ${words.startCare}` : ''}`
                            : h.faults.map((f) => startFaults[f]).join(', '),
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
      <p className={classes.legend}>
        {words.startsLegend}{' '}
        <span>
          <b>{words.careMark}</b> {words.startCare}
        </span>
        {seen.map((f) => (
          <span key={f}>
            <b>{startFaultMarks[f]}</b> {startFaults[f]}{' '}
          </span>
        ))}
      </p>
    </div>
  );
}
