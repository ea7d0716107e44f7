import { describe, expect, test } from 'vitest';
import type { Bag, BuyDocument, BuyLine, BuyReport, JobDocument } from '../../api/client';
import { formatsFor } from '../../format/format';
import { goodName } from '../../common/goodName';
import { csvOf } from './csv';
import { amountText, packsText } from '../../common/goodText';
import { newerPrices, priced, stocked } from './rows';

const metric = formatsFor('metric', 'UTC', '€');

const empty: BuyDocument = {
  currency: '€',
  prices: [],
  shed: [],
  extras: [],
  bags: [],
  payload: '400 kg',
  hourWorth: 15,
};

const line = (over: Partial<BuyLine>): BuyLine => ({
  good: 'sand',
  kind: 'sand',
  of: '',
  lengthM: 0,
  group: 'concrete',
  unit: 'kg',
  used: 920,
  fromShed: 0,
  packs: [
    { id: 'sand:850', size: 850, count: 1, price: 62, noted: false, date: '' },
    { id: 'sand:25', size: 25, count: 3, price: 3.2, noted: false, date: '' },
  ],
  cost: 71.6,
  kg: 925,
  ...over,
});

const bags = [{ id: 'general-25kg', kind: 'general', massKg: 25 }] as Bag[];

describe('the price book', () => {
  test('notes a price with its day, writes it over, and forgets it', () => {
    const once = priced(empty, 'sand:25', 3.5, '2026-11-25');
    expect(once.prices).toEqual([{ good: 'sand:25', price: 3.5, date: '2026-11-25' }]);
    const twice = priced(once, 'sand:25', 4, '2026-12-01');
    expect(twice.prices).toEqual([{ good: 'sand:25', price: 4, date: '2026-12-01' }]);
    expect(priced(twice, 'sand:25', null, '').prices).toEqual([]);
    expect(priced(twice, 'trip', 7, '').prices).toHaveLength(2);
  });
});

describe('the shed', () => {
  test('keeps the place of a row, so that the field that is typed in stays', () => {
    const two = stocked(stocked(empty, 'sand', 50), 'stake', 10);
    expect(stocked(two, 'sand', 80).shed).toEqual([
      { good: 'sand', amount: 80 },
      { good: 'stake', amount: 10 },
    ]);
    expect(stocked(two, 'sand', null).shed).toEqual([{ good: 'stake', amount: 10 }]);
  });
});

describe('a line of the list', () => {
  test('tells amounts in its own unit and packs by their size', () => {
    expect(amountText(line({}), 920, metric)).toBe('920 kg');
    expect(amountText(line({ unit: 'm2' }), 18.4, metric)).toBe('18.4 m²');
    expect(packsText(line({}), metric)).toBe('1 × 850 kg, 3 × 25 kg');
    expect(packsText(line({ packs: [] }), metric)).toBe('none');
    const stakes = line({
      unit: 'piece',
      packs: [{ id: 'stake', size: 1, count: 14, price: 1, noted: false, date: '' }],
    });
    expect(packsText(stakes, metric)).toBe('14');
  });

  test('is called what a shop calls it', () => {
    const name = (over: Partial<BuyLine>) => goodName(line(over), bags, [], metric);
    expect(name({ kind: 'bag', of: 'general-25kg' })).toBe('General concrete mix, 25 kg');
    expect(name({ kind: 'board', of: '47x100', lengthM: 3 })).toBe('Board 47 × 100, 3.00 m');
    expect(name({ kind: 'additive', of: 'plasticiser' })).toBe('Plasticiser');
    expect(name({ kind: 'sheet', lengthM: 0.018 })).toBe('Sheet, coated, 18 mm');
    const own = [{ id: 'own-1', name: 'Garden mix' }] as BuyDocument['bags'];
    expect(goodName(line({ kind: 'bag', of: 'own-1' }), bags, own, metric)).toBe('Garden mix');
  });
});

test('the table in a file has every line, quoted, and no cell that a spreadsheet would work out', () => {
  const document = {
    buy: { ...empty, extras: [{ name: '=SUM(A1) "or" so', count: 2, price: 3 }] },
  } as unknown as JobDocument;
  const csv = csvOf({ lines: [line({})], cost: 77.6 } as unknown as BuyReport, document, bags, metric);
  const rows = csv.trimEnd().split('\r\n');
  expect(rows).toHaveLength(4);
  expect(rows[1]).toBe('"Concrete","Sharp sand","920 kg","0 kg","1 × 850 kg, 3 × 25 kg","71.60"');
  expect(rows[2]).toContain(`"'=SUM(A1) ""or"" so"`);
  expect(rows[3]).toContain('"77.60"');
});

describe('prices that the yard noted since', () => {
  const yard = [
    { currency: '€', good: 'mesh', price: 14, date: '2027-05-02' },
    { currency: '€', good: 'tape', price: 3, date: '2027-01-01' },
    { currency: '$', good: 'rope', price: 9, date: '2027-05-02' },
  ];
  test('are those of the same money that are newer, or that the job has not', () => {
    const prices = [
      { good: 'mesh', price: 12, date: '2027-04-01' },
      { good: 'tape', price: 4, date: '2027-02-01' },
    ];
    const buy = { ...empty, prices };
    expect(newerPrices(buy, yard).map((p) => p.good)).toEqual(['mesh']);
    expect(newerPrices({ ...buy, prices: [] }, yard).map((p) => p.good)).toEqual(['mesh', 'tape']);
  });
});
