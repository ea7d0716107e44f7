import { describe, expect, test } from 'vitest';
import type { ElementReport } from '../api/client';
import { fit } from './fit';
import { diagonalLabels, firstFree, openingLabel, panelNumber, type Box } from './labels';

const box = (x: number, y: number, width = 20, height = 10): Box => ({ x, y, width, height });

const corners = [
  { x: 0, y: 0 },
  { x: 4, y: 0 },
  { x: 4, y: 3 },
  { x: 0, y: 3 },
];
const at = fit(corners, 500, 400, 50); // 100 px to the metre, x 50 to 450, y 350 to 50

const slab = (openings: { x: number; y: number }[], panel = { x: 2, y: 1.5 }): ElementReport =>
  ({
    corners,
    openings: openings.map((centre) => ({ centre, widthM: 0.2, depthM: 0.2, round: true, name: 'Drain' })),
    joints: { panels: [{ number: 1, middle: panel }] },
  }) as unknown as ElementReport;

describe('labels find room', () => {
  test('the first free place is taken, and the first of all where none is free', () => {
    expect(firstFree([box(0, 0), box(0, 20)], [box(5, 5)])).toEqual(box(0, 20));
    expect(firstFree([box(0, 0), box(0, 20)], [box(100, 0)])).toEqual(box(0, 0));
    expect(firstFree([box(0, 0), box(0, 20)], [box(0, 0), box(0, 20)])).toEqual(box(0, 0));
  });

  test('boxes that only touch do not overlap', () => {
    expect(firstFree([box(0, 0), box(0, 50)], [box(20, 0)])).toEqual(box(0, 0));
    expect(firstFree([box(0, 0), box(0, 50)], [box(19, 0)])).toEqual(box(0, 50));
  });

  test('a name stands under its opening, and above it by a lower corner', () => {
    expect(openingLabel(slab([{ x: 2, y: 1.5 }]), 0, 'Drain 200 mm', at).y).toBe(220);
    expect(openingLabel(slab([{ x: 0.3, y: 0.35 }]), 0, 'Drain 200 mm', at).y).toBe(295);
  });

  test('a name stays within the slab', () => {
    const { x, width } = openingLabel(slab([{ x: 0.1, y: 1.5 }]), 0, 'A long name for a post 200 mm', at);
    expect(x - width / 2).toBeGreaterThanOrEqual(50);
    const right = openingLabel(slab([{ x: 3.9, y: 1.5 }]), 0, 'A long name for a post 200 mm', at);
    expect(right.x + right.width / 2).toBeLessThanOrEqual(450);
  });

  test.each([
    { x: 2, y: 1.5 },
    { x: 2, y: 1.7 },
    { x: 2.1, y: 1.4 },
    { x: 1.8, y: 1.6 },
  ])('a panel’s number lies over no opening and no name: %o', (opening) => {
    const element = slab([opening]);
    const number = panelNumber(element, 0, ['Drain 200 mm'], at);
    const label = openingLabel(element, 0, 'Drain 200 mm', at);
    const hole = box(at.x(opening.x), at.y(opening.y), 20, 20);
    for (const other of [label, hole]) expect(firstFree([number, box(-500, -500)], [other])).toBe(number);
  });

  test('with nothing there the number is in the middle', () => {
    expect(panelNumber(slab([]), 0, [], at)).toMatchObject({ x: 250, y: 200 });
  });
});

test('the lengths of diagonals that cross stand apart, each on its own line', () => {
  const labels = diagonalLabels(
    slab([]),
    [
      { from: 0, to: 2 },
      { from: 1, to: 3 },
      { from: 0, to: 2 },
    ],
    at,
  );
  expect(labels).toHaveLength(3);
  labels.forEach((label, i) => {
    const others = labels.filter((_, j) => j !== i);
    expect(firstFree([label, box(-500, -500)], others)).toBe(label);
    const share = i === 1 ? (450 - label.x) / 400 : (label.x - 50) / 400;
    expect((350 - label.y) / 300).toBeCloseTo(share, 9);
  });
});
