import type { ElementReport } from '../api/client';
import { grade, type Formats } from '../common/format';
import type { Fit } from './fit';
import classes from './PlanDrawing.module.css';

const ARROW = 46;
const MOST_CORNERS = 14;
const INWARD = 16;

/** Which way water runs, and how far each corner lies below the highest. */
export function PlanFall({ element, at, format }: { element: ElementReport; at: Fit; format: Formats }) {
  const { fall, corners } = element;
  if (!fall || fall.percent === 0) return null;
  const middle = {
    x: corners.reduce((s, c) => s + at.x(c.x), 0) / corners.length,
    y: corners.reduce((s, c) => s + at.y(c.y), 0) / corners.length,
  };
  const { direction, drain } = fall;
  const arrow = direction && {
    x1: middle.x - (direction.x * ARROW) / 2,
    y1: middle.y + (direction.y * ARROW) / 2 + 24,
    x2: middle.x + (direction.x * ARROW) / 2,
    y2: middle.y - (direction.y * ARROW) / 2 + 24,
  };
  return (
    <g>
      {arrow && <line {...arrow} className={classes.flow} markerEnd="url(#flow)" />}
      {arrow && (
        <text x={middle.x + 10} y={middle.y + 42} className={classes.flowText}>
          {grade(fall.percent)}
        </text>
      )}
      {drain &&
        corners.slice(0, MOST_CORNERS).map((c, i) => {
          const [x, y] = [at.x(drain.x), at.y(drain.y)];
          const long = Math.hypot(at.x(c.x) - x, at.y(c.y) - y) || 1;
          const on = (by: number) =>
            [x + ((at.x(c.x) - x) * by) / long, y + ((at.y(c.y) - y) * by) / long] as const;
          const [[x1, y1], [x2, y2]] = [on(Math.min(long, 44)), on(Math.min(long, 20))];
          return (
            <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} className={classes.flow} markerEnd="url(#flow)" />
          );
        })}
      {corners.length <= MOST_CORNERS &&
        corners.map((c, i) => {
          const [x, y] = [at.x(c.x), at.y(c.y)];
          return (
            <text
              key={i}
              x={x + Math.sign(middle.x - x) * (INWARD / 2)}
              y={y + Math.sign(middle.y - y) * INWARD + 4}
              className={classes.cornerHeight}
              data-side={middle.x > x ? 'left' : 'right'}
            >
              {format.drop(fall.cornersMm[i] ?? 0)}
            </text>
          );
        })}
    </g>
  );
}
