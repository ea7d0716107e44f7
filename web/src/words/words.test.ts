import { describe, expect, test } from 'vitest';
import contract from '../../openapi/setfirm.json';
import type { Mend, Notice } from '../api/client';
import { factText, formatsFor } from '../format/format';
import { findingText } from './findings';
import { remedyText } from './remedies';
import { counted, load } from './mixing';
import { whys } from './whys';

const systems = [formatsFor('metric', 'UTC'), formatsFor('us', 'UTC')];
const broken = /undefined|NaN|null|\[object/;

interface Schema {
  format?: string;
  $ref?: string;
  type?: string | string[];
  enum?: (string | null)[];
  oneOf?: Schema[];
  properties?: Record<string, Schema>;
  discriminator?: { mapping: Record<string, string> };
}

const schemas = contract.components.schemas as unknown as Record<string, Schema>;
const named = (ref: string): Schema => schemas[ref.split('/').at(-1) ?? ''] ?? {};

/** A value that could stand where the contract wants one. */
function sample(schema: Schema, at: number): unknown {
  if (schema.$ref !== undefined) return sample(named(schema.$ref), at);
  if (schema.oneOf !== undefined) return sample(schema.oneOf.at(-1) ?? {}, at);
  if (schema.enum !== undefined) return schema.enum.filter((e) => e !== null)[at % schema.enum.length];
  const type = [schema.type].flat();
  if (type.includes('number') || type.includes('integer')) return at + 0.4;
  if (type.includes('boolean')) return at % 2 === 0;
  if (schema.format === 'date') return '2027-05-08';
  return 'general-25kg';
}

/** Every member of a closed family as the contract has it, with values that could be. */
const members = (family: string, at: number): [string, object][] =>
  Object.entries(schemas[family]?.discriminator?.mapping ?? {}).map(([code, ref]) => [
    code,
    {
      ...Object.fromEntries(
        Object.entries(named(ref).properties ?? {}).map(([name, schema]) => [name, sample(schema, at)]),
      ),
      code,
    },
  ]);

describe.each(systems)('in $units', (format) => {
  test.each([...members('Notice', 2), ...members('Notice', 41)])('%s is a whole sentence', (_, says) => {
    const sentence = findingText(says as Notice, format);
    expect(sentence).not.toMatch(broken);
    expect(sentence).toMatch(/^[\p{Lu}\d“].*[.?]$/u);
  });

  test.each(members('Mend', 2))('%s says what it would do', (_, does) => {
    expect(remedyText(does as Mend, format)).not.toMatch(broken);
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

test('the families of the contract are not empty', () => {
  expect(members('Notice', 0).length).toBeGreaterThan(100);
  expect(members('Mend', 0).length).toBeGreaterThan(30);
  expect(Object.keys(whys).sort()).toEqual(
    members('Why', 0)
      .map(([code]) => code)
      .sort(),
  );
});

test('what is misspelt does not compile', () => {
  const format = formatsFor('metric', 'UTC');
  const told = { code: 'boardTooLow', boardMm: 89, pourMm: 150 } as const;
  expect(findingText(told, format)).toContain('89 mm');
  // @ts-expect-error a fact of another name is no fact of this finding
  const other: Notice = { code: 'boardTooLow', boardMm: 89, poorMm: 150 };
  // @ts-expect-error and no finding has this code
  const unknown: Notice['code'] = 'boardToLow';
  // @ts-expect-error a value of a formula has the contract's name
  const value: keyof (typeof whys)['boards']['inputs'] = 'cutsM';
  expect([other.code, unknown, value]).toHaveLength(3);
});

test('one helper more is told by what it changes', () => {
  const format = formatsFor('metric', 'UTC');
  expect(remedyText({ code: 'addHand', hands: 3, ageMin: 8 }, format)).toBe('With 3 hands: 8 min old');
  expect(remedyText({ code: 'addHand', hands: 3, mixingMin: 70 }, format)).toBe(
    'With 3 hands: done in 1 h 10 min',
  );
});

test('a size out of range is told in its own unit, with the range', () => {
  const format = formatsFor('metric', 'UTC');
  expect(findingText({ code: 'outOfRange', value: 3, least: 5, most: 2000, unit: 'mm' }, format)).toBe(
    '3 mm is outside what makes sense here: 5 mm to 2\u202f000 mm.',
  );
  expect(findingText({ code: 'outOfRange', value: 9, least: 1, most: 6, unit: 'none' }, format)).toContain(
    '9 is outside',
  );
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
