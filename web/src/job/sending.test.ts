import { expect, it, vi } from 'vitest';

vi.stubGlobal('window', { location: { origin: 'http://127.0.0.1' } });
const { refusedBy } = await import('./sending');

it.each([
  ['$.elements[0].thickness', '/elements/0/thickness'],
  ['$.mixes[1].containers.sand.size', '/mixes/1/containers/sand/size'],
  ['$', ''],
  [undefined, ''],
])('a refusal at %s is told at the field %s', (path, at) => {
  expect(refusedBy({ detail: 'No.', path })).toEqual({ why: 'No.', at });
  expect(refusedBy(undefined)).toEqual({ why: '', at: '' });
});
