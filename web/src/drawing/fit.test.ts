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
  expect(barFor(100)).toBe(1);
  expect(barFor(600)).toBe(0.1);
  expect(barFor(5)).toBe(20);
});
