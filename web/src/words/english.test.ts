import { afterEach, expect, test } from 'vitest';
import { both, speak, toAmerican } from './english';

afterEach(() => {
  speak('metric');
});

test.each([
  ['A kerb and its mould', 'A curb and its mold'],
  ['Moulds: 3 litres of grey colour', 'Molds: 3 liters of gray color'],
  ['two metres from the neighbour’s kerbs', 'two meters from the neighbor’s curbs'],
  ['levelled, trowelled, labelled', 'leveled, troweled, labeled'],
  ['diameter, perimeter, shoulder, would, boulder', 'diameter, perimeter, shoulder, would, boulder'],
])('%s', (british, american) => {
  expect(toAmerican(british)).toBe(american);
});

test('words are told in the English that is spoken, however deep, whatever makes them', () => {
  const words = both({
    a: 'kerb',
    deep: { b: 'mould' },
    made: (n: number) => `${String(n)} litres`,
    list: ['grey'],
    n: 5,
  });
  const said = () => [words.a, words.deep.b, words.made(2), words.list[0], words.n];
  expect(said()).toEqual(['kerb', 'mould', '2 litres', 'grey', 5]);
  speak('us');
  expect(said()).toEqual(['curb', 'mold', '2 liters', 'gray', 5]);
  expect(Object.keys(words)).toEqual(['a', 'deep', 'made', 'list', 'n']);
  speak('metric');
  expect(said()).toEqual(['kerb', 'mould', '2 litres', 'grey', 5]);
});

test('what a person named keeps the name that it was given', () => {
  const words = both({
    gone: (name: string) => `${name} was removed; its mould stays.`,
    of: (facts: { name: string; litres: number }) =>
      `${facts.name}: a kerb of ${String(facts.litres)} litres`,
  });
  speak('us');
  expect(words.gone('Drive kerb')).toBe('Drive kerb was removed; its mold stays.');
  expect(words.of({ name: 'Grey kerb', litres: 3 })).toBe('Grey kerb: a curb of 3 liters');
});
