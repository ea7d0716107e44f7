import { describe, expect, it, test } from 'vitest';
import type { DayReport } from '../api/client';
import { frameOf, HOUR_MS, hoursOf, ms, RIGHT, TIMES } from './dayFrame';

const day = (start: string, doneBy: string, finalSet: string | null = null) =>
  ({ start, doneBy, finalSet }) as DayReport;
const short = day('2027-05-08T06:00:00Z', '2027-05-08T13:00:00Z', '2027-05-08T14:30:00Z');

describe('where the moments of a day lie', () => {
  it('is from half an hour before the first water to half an hour after the last', () => {
    const frame = frameOf(short, 900);
    expect(frame.from).toBe(ms('2027-05-08T05:30:00Z'));
    expect(frame.until).toBe(ms('2027-05-08T15:00:00Z'));
    expect(frame.x(frame.from)).toBeCloseTo(frame.left);
    expect(frame.x(frame.until)).toBeCloseTo(900 - RIGHT - TIMES);
  });

  it('ends with the work where that ends later, or where it never sets', () => {
    const late = '2027-05-08T20:00:00Z';
    expect(frameOf(day(short.start, late, short.finalSet), 900).until).toBe(ms(late) + HOUR_MS / 2);
    expect(frameOf(day(short.start, late), 900).until).toBe(ms(late) + HOUR_MS / 2);
  });

  test.each([390, 459, 460, 1280])('rises evenly within %i pixels', (width) => {
    const frame = frameOf(short, width);
    const xs = Array.from({ length: 20 }, (_, i) =>
      frame.x(frame.from + (i * (frame.until - frame.from)) / 19),
    );
    const steps = xs.slice(1).map((x, i) => x - (xs[i] ?? 0));
    expect(Math.min(...steps)).toBeGreaterThan(0);
    expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(1e-6);
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...xs)).toBeLessThanOrEqual(width - RIGHT);
    expect(frame.narrow).toBe(width < 460);
  });

  it('is marked by full hours, every other one where there is no room for each', () => {
    const each = hoursOf(frameOf(short, 900));
    expect(each.every((at) => at % HOUR_MS === 0)).toBe(true);
    expect(each.slice(1).map((at, i) => at - (each[i] ?? 0))).toEqual(each.slice(1).map(() => HOUR_MS));
    const long = hoursOf(frameOf(day(short.start, '2027-05-08T22:00:00Z'), 900));
    expect((long[1] ?? 0) - (long[0] ?? 0)).toBe(2 * HOUR_MS);
    const phone = hoursOf(frameOf(short, 390));
    expect((phone[1] ?? 0) - (phone[0] ?? 0)).toBe(2 * HOUR_MS);
    for (const frame of [frameOf(short, 900), frameOf(short, 390)]) {
      expect(hoursOf(frame).every((at) => at >= frame.from && at <= frame.until)).toBe(true);
    }
  });
});
