import { describe, expect, it, test } from 'vitest';
import type { Bag, BatchRecipe, BuyDocument, BuyLine, Measure, MixDocument } from '../api/client';
import { formatsFor } from '../format/format';
import { batchSize } from './batchSize';
import { boardName } from './boardName';
import { bagName } from './bagName';
import { goodName } from './goodName';
import { measureAmount, measureName } from './measureText';
import { mixName } from './mixName';

const format = formatsFor('metric', 'Europe/Berlin', '€');
const us = formatsFor('us', 'America/Chicago', '$');
const bags = [
  { id: 'general-25kg', kind: 'general', massKg: 25 },
  { id: 'topping-60lb', kind: 'topping', massKg: 27.2 },
] as Bag[];
const own = [{ id: 'own-1', name: 'Garden mix' }] as BuyDocument['bags'];

const line = (of: Partial<BuyLine>) => ({ of: '', lengthM: 0, ...of }) as BuyLine;
const measure = (of: Partial<Measure>) =>
  ({ of: '', in: null, count: 0, litres: 0, kg: 0, ...of }) as Measure;

describe('a bag', () => {
  it('is called by its kind and mass, one of your own by its name', () => {
    expect(bagName('general-25kg', bags, own, format)).toBe('General concrete mix, 25 kg');
    expect(bagName('general-25kg', bags, own, us)).toMatch(/^General concrete mix, 55(\.\d)? lb$/);
    expect(bagName('own-1', bags, own, format)).toBe('Garden mix');
  });

  it('that is known to nobody keeps its id, so that nothing is hidden', () => {
    expect(bagName('gone-25kg', bags, own, format)).toBe('gone-25kg');
    expect(bagName('gone-25kg', [], [], format)).toBe('gone-25kg');
  });
});

describe('a thing to buy', () => {
  test.each([
    [line({ kind: 'bag', of: 'own-1' }), /Garden mix/],
    [line({ kind: 'additive', of: 'retarder' }), /Retarder/i],
    [line({ kind: 'board', of: '47x100', lengthM: 3 }), /47 × 100.*3(\.00)? m/],
    [line({ kind: 'bar', of: '10mm', lengthM: 6 }), /10mm.*6(\.00)? m/],
    [line({ kind: 'sheet', lengthM: 0.018 }), /18 mm/],
    [line({ kind: 'sand' }), /sand/i],
    [line({ kind: 'pebbles' }), /pebbles/i],
  ])('is called as a shop would call it: %#', (of, name) => {
    expect(goodName(of, bags, own, format)).toMatch(name);
  });

  it('is a board by its sizes and anything else as it is', () => {
    expect(boardName('47x150')).toBe('47 × 150');
    expect(boardName('2x6')).toBe('2 × 6');
    expect(boardName('10mm')).toBe('10mm');
    expect(boardName('47x150x3')).toBe('47x150x3');
  });
});

describe('a mix of several', () => {
  const parts = { kind: 'parts', cement: 1, sand: 2, stone: 3, ballast: 0 } as MixDocument;
  it('is told by its number and what it is', () => {
    expect(mixName({ kind: 'bagged', bag: 'topping-60lb' } as MixDocument, 1, bags, own, format)).toMatch(
      /^2: Sand and topping mix, 27/,
    );
    expect(mixName(parts, 0, bags, own, format)).toBe('1: 1 : 2 : 3');
    expect(mixName({ ...parts, sand: 2.5 } as MixDocument, 2, bags, own, format)).toBe('3: 1 : 2.5 : 3');
    expect(mixName({ ...parts, ballast: 5 } as MixDocument, 0, bags, own, format)).toBe('1: 1 : 5');
  });
});

describe('what is measured out', () => {
  test.each([
    [measure({ what: 'bag', count: 1.5 }), '1½'],
    [measure({ what: 'bag', count: 0.5 }), '½'],
    [measure({ what: 'additive', of: 'retarder', count: 2 }), '2 doses'],
    [measure({ what: 'additive', of: 'retarder', count: 1 }), '1 dose'],
    [measure({ what: 'pigment', kg: 0.12 }), '120 g'],
    [measure({ what: 'addedCement', kg: 2 }), '2 kg'],
    [measure({ what: 'water', litres: 4.8 }), '4.8 L'],
    [measure({ what: 'sand', in: 'bucket', count: 2.25 }), '2¼ buckets'],
    [measure({ what: 'sand', litres: 24 }), '24 L'],
  ])('%# is told in what it is measured with', (of, said) => {
    expect(measureAmount(of, format).replace('.00', '').replace('.0 ', ' ')).toBe(said);
  });

  it('is called by what it is, an additive by its own name', () => {
    expect(measureName(measure({ what: 'sand' }))).toMatch(/sand/i);
    expect(measureName(measure({ what: 'additive', of: 'retarder' }))).toBe('retarder');
  });

  it('makes a batch that is told by its cement where it has a container, else in bags', () => {
    const recipe = (size: number, ...measures: Measure[]) => ({ size, measures }) as BatchRecipe;
    expect(batchSize(recipe(1, measure({ what: 'cement', in: 'bucket', count: 0.75 })))).toBe(
      '¾ bucket of cement',
    );
    expect(batchSize(recipe(1.5, measure({ what: 'bag', count: 1.5 })))).toBe('1½ bags');
    expect(batchSize(recipe(2))).toBe('2 bags');
  });
});
