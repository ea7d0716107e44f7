import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { JobDocument } from '../api/client';
import type { Draft } from './device';
import { historyReducer, opened } from './history';
import { cutAt, setAt } from './pointer';
import { Saver } from './saver';
import type { JobSent } from './sending';

vi.stubGlobal('window', { location: { origin: 'http://127.0.0.1' } });

const job = (name: string): JobDocument =>
  ({
    name,
    elements: [{ path: [{ length: '1 m' }, { length: '2 m' }] }],
    mixing: { hands: 1 },
  }) as unknown as JobDocument;

const pathOf = (j: JobDocument) => (j.elements[0] as unknown as { path: unknown[] }).path;

describe('pointers', () => {
  test('one value changes and what is not on the way to it is shared', () => {
    const before = job('a');
    const after = setAt(before, '/elements/0/path/1/length', '3 m');
    expect(pathOf(after)[1]).toEqual({ length: '3 m' });
    expect(pathOf(before)[1]).toEqual({ length: '2 m' });
    expect(after.mixing).toBe(before.mixing);
    expect(pathOf(after)[0]).toBe(pathOf(before)[0]);
  });
});

describe('taking out a row', () => {
  test('the row goes, the others stay the same objects', () => {
    const before = job('a');
    const after = cutAt(before, '/elements/0/path', 0);
    expect(pathOf(after)).toEqual([{ length: '2 m' }]);
    expect(pathOf(after)[0]).toBe(pathOf(before)[1]);
    expect(pathOf(before)).toHaveLength(2);
  });

  test('a row that is not there, or a list that is none, changes nothing', () => {
    const before = job('a');
    expect(cutAt(before, '/elements/0/path', 2)).toBe(before);
    expect(cutAt(before, '/elements/4/path', 0)).toBe(before);
    expect(cutAt(before, '/name', 0)).toBe(before);
  });

  test('setting a row back where it was undoes it', () => {
    const before = job('a');
    const after = cutAt(before, '/elements/0/path', 1);
    expect(setAt(after, '/elements/0/path/1', { length: '2 m' })).toEqual(before);
  });
});

describe('undo and redo', () => {
  const edit = (at: number, field: string | null, name: string) => ({
    kind: 'edit' as const,
    field,
    job: job(name),
    at,
  });

  test('typing on in one field is one change; a pause or another field makes a new one', () => {
    let h = opened(job(''));
    h = historyReducer(h, edit(0, '/name', 'P'));
    h = historyReducer(h, edit(200, '/name', 'Pa'));
    h = historyReducer(h, edit(4000, '/name', 'Pat'));
    h = historyReducer(h, edit(4100, '/units', 'Path'));
    expect(h.past.map((p) => p.name)).toEqual(['', 'Pa', 'Pat']);
  });

  test('changes without a field are each a step, however fast they come', () => {
    let h = opened(job('one'));
    h = historyReducer(h, edit(0, null, 'two'));
    h = historyReducer(h, edit(1, null, 'three'));
    expect(h.past.map((p) => p.name)).toEqual(['one', 'two']);
    h = historyReducer(h, { kind: 'undo' });
    expect(h.now.name).toBe('two');
  });

  test('undo goes back, redo forward, and a new edit forgets what was undone', () => {
    let h = opened(job('one'));
    h = historyReducer(h, edit(0, '/a', 'two'));
    h = historyReducer(h, edit(0, '/b', 'three'));
    h = historyReducer(h, { kind: 'undo' });
    h = historyReducer(h, { kind: 'undo' });
    expect(h.now.name).toBe('one');
    expect(historyReducer(h, { kind: 'undo' })).toBe(h);
    h = historyReducer(h, { kind: 'redo' });
    expect(h.now.name).toBe('two');
    h = historyReducer(h, edit(1, '/b', 'other'));
    expect(historyReducer(h, { kind: 'redo' })).toBe(h);
  });
});

describe('saving', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  function saverWith(...answers: JobSent[]) {
    const device = { keeps: true };
    const sent: [number, string][] = [];
    let kept: Draft | null = null;
    const saver = new Saver(job('start'), 1, {
      send: (version, document) => {
        sent.push([version, document.name]);
        return Promise.resolve(answers.shift() ?? { kind: 'ok', version: version + 1 });
      },
      keep: (draft) => {
        if (device.keeps) kept = draft;
        return Promise.resolve(device.keeps);
      },
      drop: () => (kept = null),
    });
    return { saver, sent, device, draft: () => kept };
  }

  test('a change is kept on the device at once and sent after a pause, the last one only', async () => {
    const { saver, sent, draft } = saverWith();
    saver.change(job('a'));
    saver.change(job('ab'));
    expect(draft()?.document.name).toBe('ab');
    expect(sent).toEqual([]);
    await vi.advanceTimersByTimeAsync(400);
    expect(sent).toEqual([[1, 'ab']]);
    expect(saver.state.kind).toBe('saved');
    expect(draft()).toBeNull();
  });

  test('each save names the version the one before it made', async () => {
    const { saver, sent } = saverWith();
    saver.change(job('a'));
    await vi.advanceTimersByTimeAsync(400);
    saver.change(job('b'));
    await vi.advanceTimersByTimeAsync(400);
    expect(sent).toEqual([
      [1, 'a'],
      [2, 'b'],
    ]);
  });

  test('with no answer the draft stays and it is tried again until it is taken', async () => {
    const { saver, sent, draft } = saverWith({ kind: 'waiting' }, { kind: 'waiting' });
    saver.change(job('a'));
    await vi.advanceTimersByTimeAsync(400);
    expect(saver.state.kind).toBe('waiting');
    expect(draft()?.document.name).toBe('a');
    await vi.advanceTimersByTimeAsync(9000);
    expect(sent.length).toBe(3);
    expect(saver.state.kind).toBe('saved');
    expect(draft()).toBeNull();
  });

  test('it says that it is kept on this device only where it is', async () => {
    const { saver, device } = saverWith(...Array.from({ length: 3 }, () => ({ kind: 'waiting' as const })));
    device.keeps = false;
    saver.change(job('a'));
    await vi.advanceTimersByTimeAsync(400);
    expect(saver.state).toEqual({ kind: 'waiting', kept: false });
    device.keeps = true;
    saver.change(job('ab'));
    await vi.advanceTimersByTimeAsync(400);
    expect(saver.state).toEqual({ kind: 'waiting', kept: true });
  });

  test('it is tried again less and less often', async () => {
    const { saver, sent } = saverWith(...Array.from({ length: 99 }, () => ({ kind: 'waiting' as const })));
    saver.change(job('a'));
    await vi.advanceTimersByTimeAsync(10 * 60_000);
    expect(sent.length).toBeGreaterThan(15);
    expect(sent.length).toBeLessThan(30);
  });

  test('after a conflict nothing is sent until the person chooses, and mine goes on top of theirs', async () => {
    const { saver, sent } = saverWith({ kind: 'conflict', theirs: 5 });
    saver.change(job('mine'));
    await vi.advanceTimersByTimeAsync(400);
    saver.change(job('mine too'));
    await vi.advanceTimersByTimeAsync(4000);
    expect(sent.length).toBe(1);
    saver.keepMine();
    await vi.advanceTimersByTimeAsync(400);
    expect(sent.at(-1)).toEqual([5, 'mine too']);
    expect(saver.state.kind).toBe('saved');
  });

  test('taking theirs forgets the draft', async () => {
    const { saver, draft } = saverWith({ kind: 'conflict', theirs: 5 });
    saver.change(job('mine'));
    await vi.advanceTimersByTimeAsync(400);
    saver.takeTheirs(job('theirs'), 5);
    expect(draft()).toBeNull();
    expect(saver.state.kind).toBe('saved');
  });

  test('a page that goes away sends what is waiting at once', () => {
    const { saver, sent } = saverWith();
    saver.change(job('a'));
    saver.flush();
    expect(sent).toEqual([[1, 'a']]);
  });
});
