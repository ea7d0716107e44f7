import { expect, test } from 'vitest';
import { barFor, fit } from './fit';

test('a drawing keeps its proportions and its middle, y up the page', () => {
  const at = fit(
    [
      { x: 0, y: 0 },
      { x: 4, y: 2 },
    ],
    500,
    400,
    50,
  );
  expect(at.scale).toBe(100);
  expect([at.x(0), at.x(4)]).toEqual([50, 450]);
  expect([at.y(0), at.y(2)]).toEqual([300, 100]);
});

test('the scale bar is the longest that stays short', () => {
  expect([600, 100, 5].map((scale) => barFor(scale, 'metric'))).toEqual([0.1, 1, 20]);
  expect(barFor(100, 'us') / 0.3048).toBeCloseTo(2);
  expect(barFor(5000, 'us') / 0.3048).toBeCloseTo(0.25);
});
