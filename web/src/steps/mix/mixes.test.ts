import { describe, expect, it } from 'vitest';
import type { JobDocument, MixDocument } from '../../api/client';
import { newMixId, otherKind, withoutMix } from './mixes';

const bagged = (id: string, bag = 'general-25kg'): MixDocument =>
  ({
    kind: 'bagged',
    id,
    bag,
    waterPerBag: '2 L',
    cementAdded: 0,
    exposure: 'freezesOftenWet',
    containers: { cement: { kind: 'bucket', size: '12 L' } },
    additives: { retarder: 1 },
  }) as unknown as MixDocument;

const job = (ids: string[], elements: object[] = []): JobDocument =>
  ({ mixes: ids.map((id) => bagged(id)), elements }) as unknown as JobDocument;

describe('mixes of a job', () => {
  it('get a name that none of them has', () => {
    expect(newMixId(job(['mix-1']))).toBe('mix-2');
    expect(newMixId(job(['mix-1', 'mix-3']))).toBe('mix-4');
  });

  it('can be done without: what took one of them takes the first', () => {
    const before = job(
      ['mix-1', 'mix-2'],
      [
        { id: 'a', mix: 'mix-2' },
        { id: 'b', mix: 'mix-1', toppingMix: 'mix-2' },
        { id: 'c', slurryMix: 'mix-2' },
      ],
    );
    const after = withoutMix(before, 'mix-2');
    expect(after.mixes.map((m) => m.id)).toEqual(['mix-1']);
    expect(after.elements).toEqual([{ id: 'a' }, { id: 'b', mix: 'mix-1' }, { id: 'c' }]);
    expect(before.elements).toHaveLength(3);
    expect((before.elements[0] as { mix?: string }).mix).toBe('mix-2');
  });

  it('keep what they are measured with when they change their kind', () => {
    const parts = otherKind(bagged('mix-2'), 'parts', 'metric');
    expect(parts).toMatchObject({
      kind: 'parts',
      id: 'mix-2',
      exposure: 'freezesOftenWet',
      additives: { retarder: 1 },
      cement: 1,
      sand: 2,
      stone: 3,
    });
    expect(otherKind(parts, 'bagged', 'us')).toMatchObject({
      kind: 'bagged',
      id: 'mix-2',
      bag: 'general-80lb',
    });
    expect(otherKind(parts, 'bagged', 'metric')).toMatchObject({ bag: 'general-25kg', waterPerBag: '' });
  });
});
