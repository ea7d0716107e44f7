import type { Units } from '../api/client';
import { FOOT_M } from '../format/format';

/** Fits a drawing in metres into a box in pixels, the same scale both ways. */
export interface Fit {
  x: (metres: number) => number;
  y: (metres: number) => number;
  /** Back from the screen to metres. */
  metresX: (pixels: number) => number;
  metresY: (pixels: number) => number;
  /** Pixels in a metre. */
  scale: number;
}

interface Point {
  x: number;
  y: number;
}

/** y grows up the page on the plan, and down it on the screen. */
export function fit(points: Point[], width: number, height: number, margin: number): Fit {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [bottom, top] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (width - 2 * margin) / (right - left || 1),
    (height - 2 * margin) / (top - bottom || 1),
  );
  const [middleX, middleY] = [(left + right) / 2, (bottom + top) / 2];
  return {
    x: (m) => width / 2 + (m - middleX) * scale,
    y: (m) => height / 2 - (m - middleY) * scale,
    metresX: (px) => middleX + (px - width / 2) / scale,
    metresY: (px) => middleY - (px - height / 2) / scale,
    scale,
  };
}

/** Lengths for a scale bar, metres, round in the system they are read in. */
const BARS_M: Record<Units, number[]> = {
  metric: [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100],
  us: [0.25, 0.5, 1, 2, 5, 10, 20, 50, 100, 200].map((feet) => feet * FOOT_M),
};

const LONGEST_PX = 110;

/** The longest bar that stays short on the screen. */
export const barFor = (scale: number, units: Units): number => {
  const bars = BARS_M[units];
  return bars.filter((m) => m * scale <= LONGEST_PX).at(-1) ?? bars[0] ?? 1;
};
