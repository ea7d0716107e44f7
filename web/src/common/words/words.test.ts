import { describe, expect, test } from 'vitest';
import { factText, formatsFor } from '../format';
import { findings, remedies, unread } from './findings';
import { counted, load } from './mixing';
import { whys } from './whys';

const systems = [formatsFor('metric', 'UTC'), formatsFor('us', 'UTC')];
const broken = /undefined|NaN|null|\[object/;

/** Every fact that any finding carries, with a value that could be. */
const facts: Record<string, number> = {
  doses: 2,
  givenPct: 8,
  usualPct: 6,
  mostPct: 10,
  deepMm: 400,
  belowC: 6,
  mixers: 3,
  offPct: 9.4,
  yieldPct: -3,
  used: 12,
  mostKg: 850,
  payloadKg: 400,
  wantedC: 15,
  waterC: 64,
  leastC: 2,
  mostC: 60,
  at: 2,
  valueMm: 3,
  leastMm: 5,
  mostMm: 2000,
  count: 3,
  most: 50,
  sumDegrees: 350,
  gapMm: 20,
  limitMm: 5,
  blanks: 3,
  lengthMm: -120,
  xM: 1,
  yM: -2,
  other: 0,
  waterL: 4.7,
  mostL: 3.8,
  leastL: 2.8,
  f28Mpa: 17.6,
  bestF28Mpa: 28,
  waterCement: 0.62,
  least: 0.36,
  thicknessMm: 40,
  stoneMm: 20,
  leastMpa: 24,
  airPct: 2,
  wantedPct: 6,
  unitL: 5.85,
  capacityL: 5,
  limit: 20,
  volumeM3: 1.4,
  limitM3: 0.8,
  comfortM3: 1.5,
  exhaustionM3: 3,
  hands: 2,
  ageMin: 20,
  limitMin: 15,
  hour: 4,
  hoursGiven: 300,
  chancePct: 40,
  limitPct: 30,
  peakKgM2H: 0.7,
  limitKgM2H: 0.5,
  airC: 2,
  limitC: 4,
  mixC: 9,
  overlapMin: 30,
  wetDays: 2,
  adviceDays: 7,
  sharePct: 74,
  intervalH: 0.6,
  strengthMpa: 1.2,
  safeMpa: 3.5,
  neededMpa: 20,
  sumMm: 3500,
  apartMm: 4000,
  differenceMm: 5000,
  misfitMm: 50,
  tapedMm: 4050,
  workedOutMm: 4000,
  alongMm: 500,
  acrossMm: 500,
  radiusMm: 1500,
  widthMm: 80,
  batterDegrees: 45,
  heightMm: 400,
  easeMm: 200,
  topMm: 155,
  baseMm: 70,
  toppingMm: 50,
  gradePct: 1.5,
  leastPct: 2,
  withinM: 3,
  edge: 4,
  atMm: 900,
  panel: 2,
  ratio: 1.8,
  corner: 5,
  depthMm: 25,
  grooverMm: 19,
  deepM: 1.6,
  reachM: 1.2,
  advisedMm: 125,
  boardMm: 89,
  pourMm: 150,
  plyMm: 18,
  edges: 4000,
  lengthM: 31,
  longestM: 3,
  machineKg: 50,
  line: 7,
  unit: 13,
  massKg: 36.3,
  limitKg: 25,
};
const texts = {
  reason: 'negative',
  given: 'elsewhere',
  field: 'airC',
  pass: 'broom',
  method: 'bare',
  milestone: 'cars',
  school: 'barGrid',
  misfit: 'tooThin',
  better: 'mesh',
  additive: 'pigment',
  good: 'bag/general-25kg',
};

describe.each(systems)('in $units', (format) => {
  test.each(Object.keys(findings) as (keyof typeof findings)[])('%s is a whole sentence', (code) => {
    const sentence = findings[code](facts, texts, format);
    expect(sentence).not.toMatch(broken);
    expect(sentence).toMatch(/^[\p{Lu}\d“].*[.?]$/u);
  });

  test.each(Object.keys(remedies) as (keyof typeof remedies)[])('%s says what it would do', (code) => {
    const effect = {
      hands: 3,
      ageMin: 8,
      limitMin: 15,
      mixingMin: 50,
      sizeL: 140,
      daysLater: 1,
      chancePct: 3,
      waterL: 2.4,
      f28Mpa: 28,
      adviceDays: 7,
      intervalH: 24,
      mixers: 2,
      doses: 1,
      costMoney: 120,
      pigmentPct: 6,
      waterC: 44,
      mixC: 13,
      used: 12,
      savesMoney: 60,
    };
    expect(remedies[code](effect, format, { bag: 'general-25kg', good: 'cement' })).not.toMatch(broken);
  });

  test.each(Object.keys(whys) as (keyof typeof whys)[])('why %s has a formula and a result', (code) => {
    const words = whys[code];
    expect(words.formula.length).toBeGreaterThan(8);
    expect(words.result(12.3, format)).not.toMatch(broken);
    for (const [name, label] of Object.entries(words.inputs)) {
      expect(label).not.toBe('');
      expect(factText(name, 1.5, format)).not.toMatch(broken);
    }
  });
});

test('one helper more is told by what it changes', () => {
  const format = formatsFor('metric', 'UTC');
  expect(remedies.addHand({ hands: 3, ageMin: 8 }, format, {})).toBe('Ask one more: 3 hands, 8 min old');
  expect(remedies.addHand({ hands: 3, mixingMin: 70 }, format, {})).toBe(
    'Ask one more: 3 hands, done in 1 h 10 min',
  );
});

test('a size out of range is told in its own unit, with the range', () => {
  const format = formatsFor('metric', 'UTC');
  expect(findings.outOfRange({ valueMm: 3, leastMm: 5, mostMm: 2000 }, {}, format)).toBe(
    '3 mm is outside what makes sense here: 5 mm to 2\u202f000 mm.',
  );
  expect(findings.outOfRange({ value: 9, least: 1, most: 6 }, {}, format)).toContain('9 is outside');
});

test('every reason why a text could not be read has its sentence', () => {
  for (const sentence of Object.values(unread)) expect(sentence).toMatch(/[.?]$/);
});

test('half a bag and one bag are a bag, more are bags; buckets likewise', () => {
  expect(['½', '1', '1½', '2', '7½'].map(load.bagsEach)).toEqual([
    '½ bag',
    '1 bag',
    '1½ bags',
    '2 bags',
    '7½ bags',
  ]);
  expect(load.cementEach(counted('¾', 'bucket'))).toBe('¾ bucket of cement');
  expect(counted('1¼', 'bucket')).toBe('1¼ buckets');
  expect(counted('6', 'shovel')).toBe('6 shovels');
  expect(counted('1', 'box')).toBe('1 box');
});
