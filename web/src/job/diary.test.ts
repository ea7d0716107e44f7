import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobEvent } from '../api/client';
import { DiarySender } from './diary';
import type { LinesSent } from './sending';

const line = (id: string): JobEvent => ({
  id,
  at: '2027-05-08T05:00:00Z',
  kind: 'wetted',
  pour: '',
  device: '',
  note: '',
});

/** A program that answers when it is told to, and what is kept on the device. */
function open(confirmed: JobEvent[] = [], pending: JobEvent[] = []) {
  const has = new Map(confirmed.map((l) => [l.id, l]));
  const program = {
    up: true,
    refuses: false,
    keeps: true,
    sent: 0,
    batches: [] as number[],
    kept: [...pending],
  };
  const sender = new DiarySender(confirmed, pending, {
    send: (lines): Promise<LinesSent> => {
      program.sent++;
      program.batches.push(lines.length);
      if (!program.up) return Promise.resolve({ kind: 'waiting' });
      if (program.refuses) return Promise.resolve({ kind: 'refused', why: 'no' });
      lines.filter((l) => l.id !== 'held elsewhere').forEach((l) => has.set(l.id, l));
      return Promise.resolve({ kind: 'ok', lines: [...has.values()] });
    },
    keep: (l) => {
      if (program.keeps) program.kept.push(l);
      return Promise.resolve(program.keeps);
    },
    drop: (ids) => {
      program.kept = program.kept.filter((l) => !ids.includes(l.id));
    },
  });
  return { sender, program };
}

describe('a diary', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('keeps a line on the device, and says so when it is, and lets go of it when the program has it', async () => {
    const { sender, program } = open();
    const told = sender.tell(line('a'));
    expect(sender.current().kept).toBe(false); // said only when it is
    expect(program.kept.map((l) => l.id)).toEqual(['a']);
    await told;
    expect(sender.current().kept).toBe(true);
    expect(sender.current().lines.map((l) => l.id)).toEqual(['a']);
    await vi.runAllTimersAsync();
    expect(sender.current().waiting.size).toBe(0);
    expect(program.kept).toEqual([]);
  });

  it('sends again while the program is away, and loses nothing told meanwhile', async () => {
    const { sender, program } = open();
    program.up = false;
    void sender.tell(line('a'));
    await vi.advanceTimersByTimeAsync(6000);
    void sender.tell(line('b'));
    expect(program.sent).toBeGreaterThan(1);
    expect(sender.current().waiting.size).toBe(2);
    program.up = true;
    await vi.advanceTimersByTimeAsync(6000);
    expect(sender.current().lines.map((l) => l.id)).toEqual(['a', 'b']);
    expect(sender.current().waiting.size).toBe(0);
  });

  it('takes in what the program has without losing what was told before the answer came', async () => {
    const { sender, program } = open();
    program.up = false;
    void sender.tell(line('b'));
    sender.learn([line('a')]);
    sender.learn([line('a')]);
    expect(sender.current().lines.map((l) => l.id)).toEqual(['a', 'b']);
    expect(program.kept.map((l) => l.id)).toEqual(['b']);
    program.up = true;
    await vi.advanceTimersByTimeAsync(6000);
    expect(sender.current().waiting.size).toBe(0);
  });

  it('sends what an earlier page left behind, and shows once what the program already had', async () => {
    const { sender, program } = open([line('a')], [line('a'), line('b')]);
    expect(sender.current().lines.map((l) => l.id)).toEqual(['a', 'b']);
    await vi.runAllTimersAsync();
    expect(sender.current().lines.map((l) => l.id)).toEqual(['a', 'b']);
    expect(program.kept).toEqual([]);
  });

  it('sends nine thousand lines a hundred at a time', async () => {
    const many = Array.from({ length: 9_200 }, (_, i) => line(`l${String(i)}`));
    const { sender, program } = open([], many);
    await vi.runAllTimersAsync();
    expect(Math.max(...program.batches)).toBe(100);
    expect(program.batches).toHaveLength(92);
    expect(sender.current().waiting.size).toBe(0);
  });

  it('does not send for ever what the program answers and does not take', async () => {
    const { sender, program } = open([], [line('held elsewhere'), line('a')]);
    await vi.advanceTimersByTimeAsync(600_000);
    expect(program.sent).toBe(1);
    expect(sender.current().waiting.size).toBe(0);
  });

  it('says why a line is refused, keeps it, and does not ask again and again', async () => {
    const { sender, program } = open([], [line('a')]);
    program.refuses = true;
    const { sender: again, program: second } = open([], [line('b')]);
    second.refuses = true;
    void again.tell(line('c'));
    await vi.advanceTimersByTimeAsync(600_000);
    expect(again.current().refused).toBe('no');
    expect(again.current().waiting.has('c')).toBe(true);
    expect(second.sent).toBeLessThan(4);
    expect(sender.current().refused).toBeNull(); // it was on its way before
  });

  it('asks less and less often while nobody answers', async () => {
    const { sender, program } = open();
    program.up = false;
    void sender.tell(line('a'));
    await vi.advanceTimersByTimeAsync(10 * 60_000);
    expect(program.sent).toBeLessThan(20);
    expect(program.sent).toBeGreaterThan(8);
  });

  it('says that a line is kept on this page only where the device keeps nothing', async () => {
    const { sender, program } = open();
    [program.up, program.keeps] = [false, false];
    await sender.tell(line('a'));
    expect(sender.current().kept).toBe(false);
    program.up = true;
    await vi.advanceTimersByTimeAsync(6000);
    expect(sender.current().kept).toBe(true);
  });
});
