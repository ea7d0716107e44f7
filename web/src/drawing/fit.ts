/** Fits a drawing in metres into a box in pixels, the same scale both ways. */
export interface Fit {
  x: (metres: number) => number;
  y: (metres: number) => number;
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
    scale,
  };
}

/** Lengths for a scale bar, metres; the longest that stays under a hundred pixels or so is taken. */
const BARS_M = [0.1, 0.2, 0.25, 0.5, 1, 2, 5, 10, 20, 50, 100];

export const barFor = (scale: number): number => BARS_M.filter((m) => m * scale <= 110).at(-1) ?? 0.1;
