import type { Formats } from '../format/format';
import classes from './DayTimeline.module.css';
import { TOP, hoursOf, type Frame } from './dayFrame';

/** The hours of a day, from its weather down to the clock. */
export function HourLines({ frame, height, format }: { frame: Frame; height: number; format: Formats }) {
  return hoursOf(frame).map((at) => (
    <g key={at} transform={`translate(${String(frame.x(at))} 0)`}>
      <line y1={TOP} y2={height - 18} className={classes.hourLine} />
      <text y={height - 5} className={classes.hour}>
        {format.hour(new Date(at).toISOString())}
      </text>
    </g>
  ));
}
