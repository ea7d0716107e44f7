import { describe, expect, it } from 'vitest';
import { momentOf } from './clock';

describe('a time on the clock of a day', () => {
  const start = '2027-05-04T06:30:00.000Z';
  it('lies as far from the first water as the clock says', () => {
    expect(momentOf(start, '08:30', '14:20')).toBe('2027-05-04T12:20:00.000Z');
    expect(momentOf(start, '08:30', '08:30')).toBe(start);
  });
  it('may be a little before it', () => {
    expect(momentOf(start, '08:30', '07:45')).toBe('2027-05-04T05:45:00.000Z');
  });
  it('is of the night after where it would be long before', () => {
    expect(momentOf(start, '08:30', '01:10')).toBe('2027-05-04T23:10:00.000Z');
    expect(momentOf('2027-05-04T14:00:00.000Z', '16:00', '00:30')).toBe('2027-05-04T22:30:00.000Z');
  });
});
