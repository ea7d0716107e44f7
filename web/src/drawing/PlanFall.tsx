import type { ElementReport } from '../api/client';
import { grade, type Formats } from '../format/format';
import type { Fit } from './fit';
import classes from './PlanDrawing.module.css';
import { within } from './ring';

interface Place {
  x: number;
  y: number;
}

const ARROW = 46;
const MOST_CORNERS = 14;
const INWARD = 16;

/** From a corner into the slab: towards its middle where that lies inside, else the first way that does. */
function inward(corner: Place, ring: Place[], middle: Place): [across: number, down: number] {
  const [x, y] = [Math.sign(middle.x - corner.x) || 1, Math.sign(middle.y - corner.y) || 1];
  const ways: [number, number][] = [
    [x, y],
    [-x, y],
    [x, -y],
    [-x, -y],
  ];
  return (
    ways.find(([a, d]) => within({ x: corner.x + a * INWARD, y: corner.y + d * INWARD }, ring)) ?? [x, y]
  );
}

/** Which way water runs, and how far each corner lies below the highest. */
export function PlanFall({ element, at, format }: { element: ElementReport; at: Fit; format: Formats }) {
  const { fall, corners } = element;
  if (!fall || fall.percent === 0) return null;
  const middle = {
    x: corners.reduce((s, c) => s + at.x(c.x), 0) / corners.length,
    y: corners.reduce((s, c) => s + at.y(c.y), 0) / corners.length,
  };
  const ring = corners.map((c) => ({ x: at.x(c.x), y: at.y(c.y) }));
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
          const [across, down] = inward({ x, y }, ring, middle);
          return (
            <text
              key={i}
              x={x + across * (INWARD / 2)}
              y={y + down * INWARD + 4}
              className={classes.cornerHeight}
              data-side={across > 0 ? 'left' : 'right'}
            >
              {format.drop(fall.cornersMm[i] ?? 0)}
            </text>
          );
        })}
    </g>
  );
}
