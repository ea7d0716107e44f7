import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobDocument } from '../api/client';
import { dropDraft, keepDraft, readDraft } from './draft';

const draft = { version: 7, document: { version: 4, name: 'Terrace' } as JobDocument };

describe('a draft on the device', () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
      removeItem: (key: string) => kept.delete(key),
    });
  });

  it('is taken up again where documents still have its form, whichever that is', () => {
    keepDraft('a', draft);
    expect(readDraft('a', 4)).toEqual(draft);
    expect(readDraft('a', 5)).toBeNull();
    expect(readDraft('b', 4)).toBeNull();
  });

  it('is gone once it is dropped, and a damaged one is none', () => {
    keepDraft('a', draft);
    dropDraft('a');
    expect(readDraft('a', 4)).toBeNull();
    localStorage.setItem('setfirm-draft-a', '{');
    expect(readDraft('a', 4)).toBeNull();
  });
});
