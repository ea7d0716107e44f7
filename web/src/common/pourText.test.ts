import { describe, expect, it } from 'vitest';
import type { ElementDocument, Pour } from '../api/client';
import { pourHolds, pourState } from './pourText';

const elements = [{ name: 'Terrace' }, { name: 'Stone' }, { name: 'Porch' }] as ElementDocument[];

const pour = (...parts: Partial<Pour['parts'][number]>[]): Pour =>
  ({
    parts: parts.map((p) => ({ element: 0, panels: [], casting: null, course: null, ...p })),
    startsAt: '2027-05-08T08:00:00Z',
  }) as unknown as Pour;

describe('a pour in a few words', () => {
  it('names the element where it has all of it, else what of it', () => {
    expect(pourHolds(pour({}), elements)).toBe('Terrace');
    expect(pourHolds(pour({ panels: [1, 3] }), elements)).toBe('Terrace, panels 1, 3');
    expect(pourHolds(pour({ panels: [2] }), elements)).toBe('Terrace, panel 2');
    expect(pourHolds(pour({ element: 1, casting: 4 }), elements)).toBe('Stone, casting 4');
    expect(pourHolds(pour({ element: 2, course: 'topping' }), elements)).toBe('Porch, topping');
    expect(pourHolds(pour({}, { element: 1, casting: 1 }), elements)).toBe('Terrace; Stone, casting 1');
  });

  it('stands by the clock, and is poured where somebody told of it', () => {
    const start = Date.parse('2027-05-08T08:00:00Z');
    expect(pourState(pour({}), start - 1)).toBe('coming');
    expect(pourState(pour({}), start)).toBe('now');
    // On its evening nobody asks; when its day went by the plan says so.
    expect(pourState(pour({}), start + 12 * 3_600_000)).toBe('now');
    expect(pourState({ ...pour({}), wentBy: true }, start + 24 * 3_600_000)).toBe('wentBy');
    expect(pourState({ ...pour({}), poured: true }, start + 12 * 3_600_000)).toBe('poured');
    expect(pourState({ ...pour({}), startsAt: null }, start)).toBe('coming');
  });
});
