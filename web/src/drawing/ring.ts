import type { PlanPoint } from '../api/client';
import type { Fit } from './fit';

/** Anticlockwise on the plan has the outside on its right; the sign of the shoelace sum tells which way round it runs. */
export const turnsLeft = (corners: PlanPoint[]): boolean =>
  corners.reduce((sum, a, i) => {
    const b = corners[(i + 1) % corners.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0) > 0;

interface Bow {
  radiusM: number;
  riseM: number;
}

const n = (value: number) => String(Math.round(value * 100) / 100);

/** One edge as the rest of a path: a line, or the arc its report gives. */
export function edgeTo(to: PlanPoint, edge: Bow | undefined, chordM: number, left: boolean, at: Fit): string {
  const end = `${n(at.x(to.x))} ${n(at.y(to.y))}`;
  if (!edge || edge.radiusM === 0) return `L${end}`;
  const r = n(edge.radiusM * at.scale);
  const large = Math.abs(edge.riseM) > chordM / 2 ? 1 : 0;
  // On the screen y runs down, so a bulge to the right of the way is drawn against the clock.
  const sweep = edge.riseM > 0 === left ? 0 : 1;
  return `A${r} ${r} 0 ${String(large)} ${String(sweep)} ${end}`;
}

const chord = (a: PlanPoint, b: PlanPoint) => Math.hypot(b.x - a.x, b.y - a.y);

/** The outline as an SVG path, arcs as arcs. */
export function ringPath(corners: PlanPoint[], edges: Bow[], at: Fit): string {
  const first = corners[0];
  if (!first) return '';
  const left = turnsLeft(corners);
  const rest = corners.map((c, i) => {
    const to = corners[(i + 1) % corners.length] ?? c;
    return edgeTo(to, edges[i], chord(c, to), left, at);
  });
  return `M${n(at.x(first.x))} ${n(at.y(first.y))}${rest.join('')}Z`;
}

/** How far arcs stand out past their corners, so that a drawing leaves room for them. */
export function reaches(corners: PlanPoint[], edges: Bow[]): PlanPoint[] {
  const side = turnsLeft(corners) ? 1 : -1;
  const tops = edges.flatMap((e, i) => {
    const [a, b] = [corners[i], corners[(i + 1) % corners.length]];
    if (!a || !b || e.radiusM === 0) return [];
    const long = chord(a, b) || 1;
    const out = { x: ((b.y - a.y) / long) * side, y: (-(b.x - a.x) / long) * side };
    return [{ x: (a.x + b.x) / 2 + out.x * e.riseM, y: (a.y + b.y) / 2 + out.y * e.riseM }];
  });
  return [...corners, ...tops];
}

interface Place {
  x: number;
  y: number;
}

/** Whether a place lies inside a ring: a ray to the right crosses it an odd number of times. */
export const within = ({ x, y }: Place, ring: Place[]): boolean =>
  ring.reduce((inside, a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    return a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x) ? !inside : inside;
  }, false);
