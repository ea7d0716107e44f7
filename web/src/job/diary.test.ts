import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobEvent } from '../api/client';
import { DiarySender, type Confirmed } from './diary';

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
  const program = { up: true, sent: 0, kept: pending };
  const sender = new DiarySender(confirmed, pending, {
    send: (lines): Promise<Confirmed> => {
      program.sent++;
      if (!program.up) return Promise.resolve(null);
      lines.forEach((l) => has.set(l.id, l));
      return Promise.resolve([...has.values()]);
    },
    keep: (lines) => {
      program.kept = lines;
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

  it('keeps a line on the device before it shows it, and lets go of it when the program has it', async () => {
    const { sender, program } = open();
    let keptWhenShown = 0;
    sender.subscribe(() => {
      keptWhenShown = Math.max(keptWhenShown, program.kept.length);
    });
    sender.tell(line('a'));
    expect(sender.current().lines.map((l) => l.id)).toEqual(['a']);
    expect(sender.current().waiting.has('a')).toBe(true);
    expect(keptWhenShown).toBe(1);
    await vi.runAllTimersAsync();
    expect(sender.current().waiting.size).toBe(0);
    expect(program.kept).toEqual([]);
  });

  it('sends again while the program is away, and loses nothing told meanwhile', async () => {
    const { sender, program } = open();
    program.up = false;
    sender.tell(line('a'));
    await vi.advanceTimersByTimeAsync(6000);
    sender.tell(line('b'));
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
    sender.tell(line('b'));
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
});
