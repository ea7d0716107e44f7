import type { ReactNode } from 'react';
import { calendarDay } from '../format/format';
import type { Square } from './cureEvents';

const DAYS = 7;

interface WeekTableProps {
  squares: Square[];
  label: string;
  className: string | undefined;
  /** What stands in a square, below its day. */
  children: (square: Square) => ReactNode;
  today?: string;
}

/** Weeks, a square a day. */
export function WeekTable({ squares, label, className, children, today }: WeekTableProps) {
  const weeks = Array.from({ length: Math.ceil(squares.length / DAYS) }, (_, w) =>
    squares.slice(w * DAYS, (w + 1) * DAYS),
  );
  return (
    <table className={className} aria-label={label} data-testid="calendar">
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
                {children(d)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
