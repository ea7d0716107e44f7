import { describe, expect, it } from 'vitest';
import { keptEvents } from './keptEvents';

const common = { at: '2027-05-08T05:00:00Z', note: '' };
const told = { ...common, pour: '', device: '' };

describe('lines kept on the device', () => {
  it('are taken as they are, or brought up from the form they had before', () => {
    const event = { kind: 'boardsOff', id: 'e', ...told, pour: 'main' };
    const lines = keptEvents([
      event,
      { kind: 'wetted', id: 'a', product: null, strikes: null, ...common },
      { kind: 'covered', id: 'b', ...common },
      { kind: 'coated', id: 'c', product: 1, ...common },
      { kind: 'coated', id: 'd', product: null, ...common },
      { kind: 'struck', id: 'f', strikes: 'a', ...common },
    ]);
    expect(lines).toEqual([
      event,
      { kind: 'wetted', id: 'a', ...told },
      { kind: 'coverOn', id: 'b', ...told },
      { kind: 'coated', id: 'c', product: 1, ...told },
      { kind: 'noted', id: 'd', ...told },
      { kind: 'withdrawn', id: 'f', line: 'a', ...told },
    ]);
  });

  it('are none where something else stands', () => {
    expect(keptEvents('x')).toEqual([]);
    expect(keptEvents(null)).toEqual([]);
  });
});
