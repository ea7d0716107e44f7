import { describe, expect, it } from 'vitest';
import type { JobEvent } from '../api/client';
import { formatsFor } from '../format/format';
import { lineText, standing } from './lineText';

const format = formatsFor('metric', 'UTC');
const base = { pour: '', device: 'a', note: '' };
const line = (id: string, clock: string, more: object): JobEvent =>
  ({ ...base, id, at: `2027-05-04T${clock}:00Z`, ...more }) as JobEvent;

describe('lines of the day', () => {
  it('stand once, the last first, those struck out left out', () => {
    const lines = [
      line('a', '09:00', { kind: 'rain' }),
      line('b', '10:00', { kind: 'paused' }),
      line('c', '09:30', { kind: 'rain' }),
      line('d', '10:05', { kind: 'withdrawn', line: 'b' }),
    ];
    expect(standing(lines, '', true).map((l) => l.id)).toEqual(['c', 'a']);
  });

  it('of one moment what was told last comes first', () => {
    const lines = [
      line('a', '09:00', { kind: 'passBegun', zone: 1, pass: 'broom' }),
      line('b', '09:00', { kind: 'passDone', zone: 1, pass: 'broom' }),
    ];
    expect(standing(lines, '', true)[0]?.id).toBe('b');
  });

  it('are those of one pour; what names none is of the first', () => {
    const lines = [
      line('a', '09:00', { kind: 'rain' }),
      line('b', '09:01', { kind: 'rain', pour: 'pour-1' }),
      line('c', '09:02', { kind: 'rain', pour: 'pour-2' }),
    ];
    expect(standing(lines, 'pour-1', true).map((l) => l.id)).toEqual(['b', 'a']);
    expect(standing(lines, 'pour-2', false).map((l) => l.id)).toEqual(['c']);
  });

  it('say what was done, where and how much', () => {
    const said = (more: object) => lineText(line('a', '09:00', more), format);
    expect(said({ kind: 'thumbTest', zone: 3, mark: 'sixMm' })).toBe('Zone 3: dents 6 mm');
    expect(said({ kind: 'waterAdded', batch: 4, litres: 1.5 })).toBe('Water over plan: 1.5 L, into batch 4');
    expect(said({ kind: 'passDone', zone: 2, pass: 'broom' })).toBe('Zone 2: Broom, done');
    expect(said({ kind: 'temperature', of: 'mix', celsius: 21 })).toBe('Mix: 21 °C');
    expect(said({ kind: 'handsChanged', hands: 3 })).toBe('Hands: 3');
    expect(said({ kind: 'coverOn', zone: null })).toBe('Covered');
  });
});
