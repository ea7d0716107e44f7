import { expect, test } from 'vitest';
import { sameSize } from './sameSize';

test.each([
  ['4.80 m', '4.80 m'],
  ['4.8m', '4.80 m'],
  ['100 mm', '100 mm'],
  ['12\' 6"', '12′ 6″'],
  ['2 m', '2.00 m'],
  ['10 M', '10.00 m'],
])('%s needs no saying back as %s', (typed, understood) => {
  expect(sameSize(typed, understood)).toBe(true);
});

test.each([
  ['3810', '3.81 m'],
  ['12\' 6"', '3.81 m'],
  ['4.85 m', '4.80 m'],
  ['100', '100 mm'],
  ['10 m', '1 m'],
])('%s is said back as %s', (typed, understood) => {
  expect(sameSize(typed, understood)).toBe(false);
});
