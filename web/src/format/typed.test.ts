import { afterEach, describe, expect, test } from 'vitest';
import { calendarDay, clockOf, writeNumbersFor } from './format';
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
    ['1:40 pm', '13:40'],
    ['1:40\u00a0PM', '13:40'],
    ['12 a.m.', '00:00'],
    ['12:05p', '12:05'],
    ['8am', '08:00'],
    ['13 pm', null],
    ['0:30 am', null],
    ['', null],
  ])('%s is a time of the day, of 24 hours or of two halves', (text, time) => {
    expect(timeTyped(text)).toBe(time);
  });

  test.each([
    ['2026-11-30', '2026-11-30'],
    ['2026-1-3', '2026-01-03'],
    ['30.11.2026', '2026-11-30'],
    ['30 Nov 2026', '2026-11-30'],
    ['Mon 30 November 2026', '2026-11-30'],
    ['2026-02-30', null],
    ['30/11/2026', '2026-11-30'],
    ['11/30/2026', null],
    ['Nov 30, 2026', '2026-11-30'],
    ['Mon, November 30 2026', '2026-11-30'],
    ['30 Foo 2026', null],
    ['2026-11', null],
    ['', null],
  ])('%s is a date, or waits until it is one', (text, date) => {
    expect(dateTyped(text)).toBe(date);
  });
});

describe('in American', () => {
  afterEach(() => {
    writeNumbersFor('metric');
  });

  test('the month stands first where a date is written with strokes', () => {
    writeNumbersFor('us');
    expect(dateTyped('11/30/2026')).toBe('2026-11-30');
    expect(dateTyped('30/11/2026')).toBeNull();
  });

  test('what a field shows can be typed again', () => {
    writeNumbersFor('us');
    const kept = ['00:00', '00:30', '08:30', '12:00', '12:05', '13:40', '23:59'];
    expect(kept.map(clockOf).map(timeTyped)).toEqual(kept);
    expect(clockOf('13:40')).toBe('1:40\u00a0PM');
    expect(clockOf('not yet')).toBe('not yet');
    expect(dateTyped(`${calendarDay('2026-11-30').long}, 2026`)).toBe('2026-11-30');
  });
});
