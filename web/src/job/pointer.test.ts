import { describe, expect, test } from 'vitest';
import type { Pointer } from './pointer';
import { told } from './pointer';

/** What takes a pointer, as a field does. */
const at = (pointer: Pointer): string => pointer;

describe('places in the document', () => {
  test('every depth of it has its pointers', () => {
    const places = [
      at('/name'),
      at('/elements/0'),
      at('/elements/3/thickness'),
      at('/elements/0/outline/corners/2/a'),
      at('/elements/0/form/tubeDepth'),
      at('/mixes/1/containers/sand/size'),
      at('/mixing/mixer/size'),
      at('/pours/2/parts/0/panels/1'),
      at('/buy/bags/0/f28Mpa'),
    ];
    expect(new Set(places).size).toBe(places.length);
  });

  // Held by the compiler: each line under a mark has to be wrong, or the build fails.
  test('a place that the document does not have does not compile', () => {
    const wrong = [
      // @ts-expect-error a field misspelt
      at('/elements/0/thikness'),
      // @ts-expect-error a part that is none
      at('/weather'),
      // @ts-expect-error a row without its number
      at('/elements/thickness'),
      // @ts-expect-error a number where a name belongs
      at('/mixing/0'),
      // @ts-expect-error a field of another part
      at('/day/hands'),
      // @ts-expect-error not a pointer
      at('name'),
    ];
    expect(wrong).toHaveLength(6);
  });

  test('what the report names is taken as it is', () => {
    expect(told('/elements/0/thickness')).toBe(at('/elements/0/thickness'));
  });
});
