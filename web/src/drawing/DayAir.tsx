import type { DayReport } from '../api/client';
import { factText, type Formats } from '../format/format';
import { day as words } from '../words';
import { AIR, HOUR_MS, TOP, hoursOf, ms, type Frame } from './dayFrame';
import classes from './DayTimeline.module.css';

/** The weather of a day, and the limits that its drying is held against. */
export type AirOfDay = Pick<DayReport, 'hours' | 'careEvaporation' | 'actEvaporation' | 'peakEvaporation'>;

/** Drying as an area against its two limits, and rain as bars from above. */
export function DayAir({ day, frame, format }: { day: AirOfDay; frame: Frame; format: Formats }) {
  const most = Math.max(day.actEvaporation * 1.1, day.peakEvaporation * 1.15);
  const y = (e: number) => TOP + AIR - (Math.min(e, most) / most) * AIR;
  const inside = day.hours.filter(
    (h) => ms(h.at) >= frame.from - HOUR_MS && ms(h.at) <= frame.until + HOUR_MS,
  );
  const line = inside
    .map((h, i) => `${i === 0 ? 'M' : 'L'}${String(frame.x(ms(h.at)))} ${String(y(h.evaporationKgM2H))}`)
    .join(' ');
  const [first, last] = [inside[0], inside.at(-1)];
  return (
    <g>
      <clipPath id="air-clip">
        <rect x={frame.left} y={TOP} width={frame.x(frame.until) - frame.left} height={AIR} />
      </clipPath>
      <g clipPath="url(#air-clip)">
        {inside.map((h) => (
          <rect
            key={h.at}
            x={frame.x(ms(h.at))}
            y={TOP}
            width={Math.max(1, frame.x(ms(h.at) + HOUR_MS) - frame.x(ms(h.at)) - 1)}
            height={h.rainChance * AIR}
            className={classes.rain}
          />
        ))}
        {first && last && (
          <path
            d={`${line} L${String(frame.x(ms(last.at)))} ${String(TOP + AIR)} L${String(frame.x(ms(first.at)))} ${String(TOP + AIR)} Z`}
            className={classes.area}
          />
        )}
        <path d={line} className={classes.curve} />
      </g>
      {[
        { limit: day.careEvaporation, text: words.care },
        { limit: day.actEvaporation, text: words.act },
      ].map(({ limit, text }) => (
        <g key={limit} transform={`translate(0 ${String(y(limit))})`}>
          <line x1={frame.left} x2={frame.x(frame.until)} className={classes.limit} />
          <text
            x={frame.narrow ? frame.left : frame.left - 8}
            y={frame.narrow ? -4 : 4}
            className={classes.limitText}
            data-narrow={frame.narrow}
          >
            {`${text} ${factText('limitKgM2', limit, format)}`}
          </text>
        </g>
      ))}
      <text x={12} y={18} className={classes.rowName}>
        {words.evaporationTitle}
      </text>
      <line
        x1={frame.left}
        x2={frame.x(frame.until)}
        y1={TOP + AIR}
        y2={TOP + AIR}
        className={classes.ground}
      />
      {!frame.narrow && (
        <text x={12} y={TOP + AIR + 17} className={classes.rowName}>
          {words.air}
        </text>
      )}
      {hoursOf(frame).map((at) => {
        const hour = inside.find((h) => ms(h.at) === at);
        return (
          hour && (
            <text key={at} x={frame.x(at)} y={TOP + AIR + 17} className={classes.airText}>
              {format.degrees(hour.airC)}
            </text>
          )
        );
      })}
    </g>
  );
}
