import type { DayReport } from '../api/client';
import type { Formats } from '../format/format';
import { day as words, passes as passWords } from '../words';
import { MINUTE_MS, ms, type Frame } from './dayFrame';
import classes from './DayTimeline.module.css';

/** A block of work has room for the number of its part. */
const WIDE = 12;

/** Passes as the crew gets to them. */
const workOf = (day: DayReport) =>
  day.zones.flatMap((z) =>
    z.passes.flatMap((pass) =>
      pass.begins === null || pass.hand === null
        ? []
        : [
            {
              zone: z.number,
              pass,
              from: ms(pass.begins),
              until: ms(pass.begins) + pass.workMin * MINUTE_MS,
              lane: pass.hand,
            },
          ],
    ),
  );

/** Who makes which pass when: a lane for each pair of hands. */
export function DayPeople({
  day,
  frame,
  y,
  height,
  format,
}: {
  day: DayReport;
  frame: Frame;
  y: number;
  height: number;
  format: Formats;
}) {
  const each = height / Math.max(1, day.hands);
  return workOf(day).map((t) => (
    <g key={`${String(t.zone)}${t.pass.pass}`}>
      <rect
        x={frame.x(t.from)}
        y={y + t.lane * each}
        width={Math.max(2, frame.x(t.until) - frame.x(t.from))}
        height={Math.max(3, each - 2)}
        className={classes.work}
      >
        <title>
          {words.begins(t.zone, passWords[t.pass.pass], format.time(new Date(t.from).toISOString()))}
        </title>
      </rect>
      {frame.x(t.until) - frame.x(t.from) > WIDE && each > WIDE && (
        <text
          x={(frame.x(t.from) + frame.x(t.until)) / 2}
          y={y + (t.lane + 0.5) * each + 3}
          className={classes.workText}
        >
          {t.zone}
        </text>
      )}
    </g>
  ));
}
