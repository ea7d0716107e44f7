import { describe, expect, test } from 'vitest';
import { dateTyped, timeTyped } from './typed';

describe('what is typed', () => {
  test.each([
    ['8:30', '08:30'],
    ['08:30', '08:30'],
    ['0830', '08:30'],
    [' 8.30 ', '08:30'],
    ['8h30', '08:30'],
    ['8', '08:00'],
    ['23:59', '23:59'],
    ['24:00', null],
    ['8:60', null],
    ['8:3', null],
    ['half past', null],
    ['', null],
  ])('%s is a time of the day, of 24 hours', (text, time) => {
    expect(timeTyped(text)).toBe(time);
  });

  test.each([
    ['2026-11-30', '2026-11-30'],
    ['2026-1-3', '2026-01-03'],
    ['30.11.2026', '2026-11-30'],
    ['30 Nov 2026', '2026-11-30'],
    ['Mon 30 November 2026', '2026-11-30'],
    ['2026-02-30', null],
    ['30/11/2026', null],
    ['30 Foo 2026', null],
    ['2026-11', null],
    ['', null],
  ])('%s is a date, or waits until it is one', (text, date) => {
    expect(dateTyped(text)).toBe(date);
  });
});
