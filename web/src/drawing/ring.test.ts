import { describe, expect, test } from 'vitest';
import type { PlanPoint } from '../api/client';
import { fit } from './fit';
import { reaches, ringPath, turnsLeft, within } from './ring';

const straight = { radiusM: 0, riseM: 0 };
const square: PlanPoint[] = [
  { x: 0, y: 0 },
  { x: 2, y: 0 },
  { x: 2, y: 2 },
  { x: 0, y: 2 },
];
const half = { radiusM: 1, riseM: 1 };

describe('which way round', () => {
  test('against the clock turns left, with it right', () => {
    expect(turnsLeft(square)).toBe(true);
    expect(turnsLeft([...square].reverse())).toBe(false);
  });
});

describe('the path of an outline', () => {
  const at = fit(square, 200, 200, 0); // 100 pixels to the metre

  test('straight edges are lines from corner to corner, y downwards', () => {
    expect(ringPath(square, [straight, straight, straight, straight], at)).toBe(
      'M0 200L200 200L200 0L0 0L0 200Z',
    );
  });

  test('an arc keeps its radius to scale, and bows out of the outline', () => {
    const path = ringPath(square, [straight, half, straight, straight], at);
    expect(path).toContain('A100 100 0 0 0 200 0'); // up the right side, against the clock on the screen
  });

  test('walked the other way the same arc is swept the other way', () => {
    const back = [...square].reverse();
    const path = ringPath(back, [straight, half, straight, straight], at);
    expect(path).toContain('A100 100 0 0 1');
  });

  test('a bow into the outline is swept against one out of it', () => {
    const path = ringPath(square, [straight, { radiusM: 1, riseM: -1 }, straight, straight], at);
    expect(path).toContain('A100 100 0 0 1 200 0');
  });

  test('more than half a circle is the large arc', () => {
    const path = ringPath(square, [straight, { radiusM: 1.25, riseM: 2 }, straight, straight], at);
    expect(path).toContain('A125 125 0 1 0');
  });

  test('nothing is drawn of nothing', () => {
    expect(ringPath([], [], at)).toBe('');
  });
});

describe('room for the bows', () => {
  test('the top of a bow stands out of its edge by its rise', () => {
    const points = reaches(square, [straight, half, straight, straight]);
    expect(points).toHaveLength(5);
    expect(points[4]).toEqual({ x: 3, y: 1 });
  });

  test('also where the outline is walked the other way', () => {
    const points = reaches([...square].reverse(), [half, straight, straight, straight]);
    expect(points[4]).toEqual({ x: 1, y: 3 });
  });
});

describe('from the screen back to metres', () => {
  test('there and back is the same place', () => {
    const at = fit(square, 640, 480, 40);
    for (const m of [0, 0.37, 1.2, 2]) {
      expect(at.metresX(at.x(m))).toBeCloseTo(m, 12);
      expect(at.metresY(at.y(m))).toBeCloseTo(m, 12);
    }
  });
});

describe('within a ring', () => {
  const notched: PlanPoint[] = [
    { x: 0, y: 0 },
    { x: 4, y: 0 },
    { x: 4, y: 3 },
    { x: 2, y: 3 },
    { x: 2, y: 2 },
    { x: 0, y: 2 },
  ];

  test.each([
    [{ x: 1, y: 1 }, true],
    [{ x: 3, y: 2.5 }, true],
    [{ x: 1, y: 2.5 }, false], // in the notch
    [{ x: -1, y: 1 }, false],
    [{ x: 5, y: 1 }, false],
  ])('%j: %s, whichever way round', (place, inside) => {
    expect(within(place, notched)).toBe(inside);
    expect(within(place, [...notched].reverse())).toBe(inside);
  });
});
