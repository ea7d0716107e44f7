import type { ElementReport } from '../api/client';
import type { Formats } from '../format/format';
import type { Fit } from './fit';

/** A place on the screen, by its middle; pixels. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

const CHARACTER = 6;
const LINE = 14;
const BESIDE_CORNER = { width: 64, height: 36 };

const overlap = (a: Box, b: Box): boolean =>
  Math.abs(a.x - b.x) < (a.width + b.width) / 2 && Math.abs(a.y - b.y) < (a.height + b.height) / 2;

/** The first place that lies over nothing else; the first of all where none does. */
export function firstFree(places: [Box, ...Box[]], taken: Box[]): Box {
  return places.find((place) => !taken.some((other) => overlap(place, other))) ?? places[0];
}

/** What is written at an opening. */
export const openingText = (o: ElementReport['openings'][number], format: Formats): string =>
  `${o.name} ${format.small(o.widthM * 1000)}`;

const openingBox = (o: ElementReport['openings'][number], at: Fit): Box => ({
  x: at.x(o.centre.x),
  y: at.y(o.centre.y),
  width: o.widthM * at.scale,
  height: o.depthM * at.scale,
});

/** Where an opening's name stands: under it, above it where a corner's height is under it; within the slab's width. */
export function openingLabel(element: ElementReport, i: number, text: string, at: Fit): Box {
  const xs = element.corners.map((c) => at.x(c.x));
  const opening = element.openings[i];
  if (!opening) return { x: 0, y: 0, width: 0, height: 0 };
  const box = openingBox(opening, at);
  const width = text.length * CHARACTER;
  const half = width / 2 + 4;
  const x = Math.max(Math.min(...xs) + half, Math.min(Math.max(...xs) - half, box.x));
  const beside = (side: 1 | -1): Box => ({
    x,
    y: box.y + side * (box.height / 2 + LINE - 4),
    width,
    height: LINE,
  });
  const corners = element.corners.map((c) => ({ x: at.x(c.x), y: at.y(c.y), ...BESIDE_CORNER }));
  return firstFree([beside(1), beside(-1)], corners);
}

const RING = 24;
const STEP = 34;

/** Where a panel's number stands: in its middle, or a step off where an opening or its name is there. */
export function panelNumber(element: ElementReport, panel: number, texts: string[], at: Fit): Box {
  const middle = element.joints.panels[panel]?.middle ?? { x: 0, y: 0 };
  const off = (dx: number, dy: number): Box => ({
    x: at.x(middle.x) + dx * STEP,
    y: at.y(middle.y) + dy * STEP,
    width: RING,
    height: RING,
  });
  const taken = element.openings.flatMap((o, i) => [
    openingBox(o, at),
    openingLabel(element, i, texts[i] ?? '', at),
  ]);
  return firstFree([off(0, 0), off(0, 1), off(0, -1), off(1, 0), off(-1, 0), off(0, 1.6)], taken);
}

const SHARES = [0.5, 0.36, 0.64, 0.24, 0.76, 0.15, 0.85];
const LENGTH_WIDTH = 44;

/** Where the lengths of diagonals stand: each on its own line, none over another. */
export function diagonalLabels(
  element: ElementReport,
  diagonals: { from: number; to: number }[],
  at: Fit,
): Box[] {
  return diagonals.reduce<Box[]>((placed, d) => {
    const [a, b] = [element.corners[d.from], element.corners[d.to]];
    if (!a || !b) return placed;
    const on = (share: number): Box => ({
      x: at.x(a.x + (b.x - a.x) * share),
      y: at.y(a.y + (b.y - a.y) * share),
      width: LENGTH_WIDTH,
      height: LINE,
    });
    const [first = 0.5, ...others] = SHARES;
    return [...placed, firstFree([on(first), ...others.map(on)], placed)];
  }, []);
}
