import { afterEach, describe, expect, test } from 'vitest';
import { csvText } from '../../common/csvFile';
import { formatsFor } from '../../format/format';
import { paper, speak } from '../../words';
import { tableOf, type Table, type Tabled } from './tables';

const board = (lengthM: number, ...cuts: number[]) => ({
  lengthM,
  cuts: cuts.map((c) => ({ lengthM: c, for: 'Pad, edge 1' })),
});

/** Only what the tables look at. */
const job = {
  sections: {
    build: {
      boards: [{ stock: '22x100', boards: [board(3, 1.8, 1.2), board(2.4, 0.9)] }],
      bars: [{ stock: 'B10', boards: [board(6, 2.9)] }],
      elements: [
        { index: 0, corners: [0, 12.4], forms: { nailed: false, stakes: [{ downMm: 36, why: 'end' }] } },
      ],
    },
    load: {
      batches: [
        { number: 1, volumeL: 58.25, waterAdded: '2027-05-07T07:00:00Z', placed: '2027-05-07T07:09:00Z' },
        { number: 2, volumeL: 41, waterAdded: null, placed: null },
      ],
    },
    day: null,
    cure: null,
  },
  tasks: [],
  names: ['=Pad'],
  format: formatsFor('metric', 'UTC'),
} as unknown as Tabled;

afterEach(() => {
  speak('metric');
});

describe('tables of a job as files', () => {
  test('every cut stands on its board, in the words of the job and in millimetres', () => {
    expect(tableOf('cuts', job)?.slice(1)).toEqual([
      ['22 × 100', '1', '3000.0', '1.80 m', '1800.0', 'Pad, edge 1'],
      ['22 × 100', '1', '3000.0', '1.20 m', '1200.0', 'Pad, edge 1'],
      ['22 × 100', '2', '2400.0', '0.90 m', '900.0', 'Pad, edge 1'],
      ['B10', '1', '6000.0', '2.90 m', '2900.0', 'Pad, edge 1'],
    ]);
    const us = { ...job, format: formatsFor('us', 'UTC') };
    expect(tableOf('cuts', us)?.[1]?.slice(3, 5)).toEqual(['5′ 10 7/8″', '1800.0']);
  });

  test('corners and stakes have their heights, batches their hours', () => {
    expect(tableOf('heights', job)?.map((r) => r.at(-1))).toEqual(['Down, mm', '0.0', '12.4', '36.0']);
    expect(tableOf('batches', job)?.slice(1)).toEqual([
      ['1', '58.3', 'Fri 7 May, 07:00', 'Fri 7 May, 07:09'],
      ['2', '41.0', '', ''],
    ]);
  });

  test('what a job has not is no table', () => {
    expect(tableOf('passes', job)).toBeNull();
    expect(tableOf('tasks', job)).toBeNull();
    expect(tableOf('cure', job)).toBeNull();
  });

  test('every row of every table is as wide as its head, in both Englishes', () => {
    for (const units of ['metric', 'us'] as const) {
      speak(units);
      for (const table of Object.keys(paper.tables) as Table[]) {
        const rows = tableOf(table, { ...job, format: formatsFor(units, 'UTC') }) ?? [];
        for (const row of rows) expect(row.length).toBe(rows[0]?.length);
      }
    }
    expect(tableOf('batches', job)?.[0]?.[1]).toBe('Liters');
  });

  test('a name is never a formula of a spreadsheet', () => {
    const text = csvText(tableOf('heights', job) ?? []);
    expect(text).toContain('"\'=Pad"');
    expect(text.split('\r\n').length).toBe(5);
  });
});
