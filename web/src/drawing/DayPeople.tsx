import type { DayReport, PassReport } from '../api/client';
import type { Formats } from '../common/format';
import { day as words, passes as passWords } from '../common/words';
import { MINUTE_MS, ms, type Frame } from './dayFrame';
import classes from './DayTimeline.module.css';

/** A block of work has room for the number of its part. */
const WIDE = 12;

/** Passes as the crew gets to them, each in the first lane that is free. */
function lanesOf(
  day: DayReport,
): { zone: number; pass: PassReport; from: number; until: number; lane: number }[] {
  const free: number[] = Array.from({ length: Math.max(1, day.hands) }, () => -Infinity);
  return day.zones
    .flatMap((z) => z.passes.filter((p) => p.begins !== null).map((pass) => ({ zone: z.number, pass })))
    .map((t) => ({
      ...t,
      from: ms(t.pass.begins ?? ''),
      until: ms(t.pass.begins ?? '') + t.pass.workMin * MINUTE_MS,
    }))
    .sort((a, b) => a.from - b.from)
    .map((t) => {
      const lane = Math.max(
        0,
        free.findIndex((until) => until <= t.from + MINUTE_MS),
      );
      free[lane] = t.until;
      return { ...t, lane };
    });
}

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
  return lanesOf(day).map((t) => (
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
