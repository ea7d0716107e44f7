import { describe, expect, it } from 'vitest';
import type { Standout } from '../api/client';
import { change, formatsFor } from '../format/format';
import { learntWhose, standoutText } from './lookback';

const metric = formatsFor('metric', 'UTC', '€');
const us = formatsFor('us', 'UTC', '$');

describe('what stood out of a day', () => {
  const said: [Standout, string][] = [
    [{ code: 'begun', laterMin: 40 }, 'First water was 40 min later than planned.'],
    [{ code: 'begun', laterMin: -75 }, 'First water was 1 h 15 min sooner than planned.'],
    [
      { code: 'mixing', tookMin: 160, plannedMin: 120, roundMin: 7.5, plannedRoundMin: 6 },
      'Mixing took 2 h 40 min, not 2 h: 7.5 min a batch, not 6.',
    ],
    [{ code: 'passOff', zone: 3, pass: 'broom', laterMin: 25 }, 'Zone 3: broom 25 min too late.'],
    [
      { code: 'passOff', zone: 1, pass: 'broom', laterMin: -39 },
      'Zone 1: broom 39 min before the concrete was ready.',
    ],
    [{ code: 'setting', laterPct: 11 }, 'It set 11 % later than planned, by its signs.'],
    [{ code: 'setting', laterPct: -9 }, 'It set 9 % sooner than planned, by its signs.'],
    [{ code: 'sheen', longerPct: 19 }, 'The sheen stayed 19 % longer than reckoned.'],
    [{ code: 'finishing', longerPct: -12 }, 'Passes took 12 % less than planned.'],
    [{ code: 'moreWater', l: 1.5, batches: 1 }, '1.5 L more water than planned went into 1 batch.'],
    [{ code: 'moreWater', l: 3, batches: 2 }, '3 L more water than planned went into 2 batches.'],
    [{ code: 'bags', used: 46, planned: 44 }, '46 bags were used, 44 were planned.'],
    [
      { code: 'layDry', dryH: 30, lostMpa: 1.5 },
      'It lay dry for 30 h while it should have been wet: that costs 1.5 MPa.',
    ],
    [{ code: 'stood', times: 1 }, 'Work stood still once.'],
    [{ code: 'stood', times: 3 }, 'Work stood still 3 times.'],
    [{ code: 'rained' }, 'It rained on it.'],
    [{ code: 'done', laterMin: 90 }, 'The last pass was done 1 h 30 min later than planned.'],
  ];
  it.each(said)('%o is said in a sentence', (standout, text) => {
    expect(standoutText(standout, metric)).toBe(text);
  });
  it('is said in the units of the job', () => {
    expect(standoutText({ code: 'moreWater', l: 3.785, batches: 2 }, us)).toContain('1 gal more water');
  });
});

describe('a change that was learnt', () => {
  it.each([
    [1.08, '+8 %'],
    [0.9, '−10 %'],
    [1.001, '±0 %'],
  ])('%d reads %s', (factor, text) => {
    expect(change(factor)).toBe(text);
  });
});

describe('whose a value is', () => {
  const bag = (id: string) => (id === 'general-25kg' ? 'General mix' : id);
  it('is said by the names of the yard, and in plain words where it has none', () => {
    expect(learntWhose({ of: 'pace', what: 'Our drum', who: 'The two' }, bag)).toBe('Our drum, The two');
    expect(learntWhose({ of: 'pace', what: 'drillBucket', who: '' }, bag)).toBe('drill and bucket, you');
    expect(learntWhose({ of: 'set', what: 'general-25kg', who: '' }, bag)).toBe('General mix, you');
    expect(learntWhose({ of: 'set', what: 'parts', who: 'The two' }, bag)).toBe('mixed by parts, The two');
    expect(learntWhose({ of: 'set', what: 'ready', who: '' }, bag)).toBe('by truck, you');
    expect(learntWhose({ of: 'finishing', what: '', who: 'The two' }, bag)).toBe('The two');
    expect(learntWhose({ of: 'waste', what: 'handDug', who: '' }, bag)).toBe('hand-dug ground');
    expect(learntWhose({ of: 'sheen', what: '', who: '' }, bag)).toBe('your site');
  });
});
