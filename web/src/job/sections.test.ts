import { expect, test } from 'vitest';
import { overlay, type Sections } from './sections';

const none: Sections = { shape: null, build: null, mix: null, load: null, buy: null, day: null, cure: null };
const some = (key: keyof Sections, says: string): Sections => ({ ...none, [key]: { says } });

test('what is told anew stands over what stood', () => {
  expect(overlay(some('shape', 'old'), some('shape', 'new'), ['shape']).shape).toEqual({ says: 'new' });
  expect(overlay(some('shape', 'old'), some('shape', 'new'), null).shape).toEqual({ says: 'new' });
});

test('what was not asked for stays, and so does what cannot be planned just now', () => {
  expect(overlay(some('mix', 'old'), some('shape', 'new'), ['shape'])).toEqual({
    ...some('shape', 'new'),
    mix: { says: 'old' },
  });
  expect(overlay(some('shape', 'old'), none, ['shape', 'build']).shape).toEqual({ says: 'old' });
});

test('before anything was told there is nothing but what is told', () => {
  expect(overlay(null, some('day', 'new'), ['day', 'load'])).toEqual(some('day', 'new'));
});
