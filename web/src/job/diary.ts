import type { JobEvent } from '../api/client';

/** What came of sending lines: all lines that the program now has, or nothing. */
export type Confirmed = JobEvent[] | null;

export interface DiaryPorts {
  send: (lines: JobEvent[]) => Promise<Confirmed>;
  /** Keeps on this device what the program has not had yet. */
  keep: (lines: JobEvent[]) => void;
}

export interface DiaryState {
  /** All lines, those that wait included. */
  lines: JobEvent[];
  /** Ids of lines that the program has not had yet. */
  waiting: ReadonlySet<string>;
}

const RETRY_MS = 2500;

/**
 * A job's diary: a line is kept on this device before it is shown, and sent until the program has it. A line sent twice is one,
 * so it may be sent again whenever an answer was lost.
 */
export class DiarySender {
  state: DiaryState;
  private confirmed: JobEvent[];
  private pending: JobEvent[];
  private readonly ports: DiaryPorts;
  private busy = false;
  private readonly listeners = new Set<() => void>();

  constructor(confirmed: JobEvent[], pending: JobEvent[], ports: DiaryPorts) {
    this.ports = ports;
    this.confirmed = confirmed;
    this.pending = pending;
    this.state = this.merged();
    if (pending.length > 0) void this.send();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): DiaryState => this.state;

  /** Takes in what the program has, asked for when the page was opened. */
  learn(lines: JobEvent[]): void {
    const had = new Set(this.confirmed.map((l) => l.id));
    this.confirmed = [...this.confirmed, ...lines.filter((l) => !had.has(l.id))];
    this.say();
  }

  tell(line: JobEvent): void {
    this.pending = [...this.pending, line];
    this.ports.keep(this.pending);
    this.say();
    void this.send();
  }

  private async send(): Promise<void> {
    if (this.busy || this.pending.length === 0) return;
    this.busy = true;
    const lines = this.pending;
    const confirmed = await this.ports.send(lines);
    this.busy = false;
    if (confirmed === null) {
      setTimeout(() => void this.send(), RETRY_MS);
      return;
    }
    this.confirmed = confirmed;
    const had = new Set(confirmed.map((l) => l.id));
    this.pending = this.pending.filter((l) => !had.has(l.id));
    this.ports.keep(this.pending);
    this.say();
    void this.send();
  }

  private merged(): DiaryState {
    const had = new Set(this.confirmed.map((l) => l.id));
    const waiting = this.pending.filter((l) => !had.has(l.id));
    return { lines: [...this.confirmed, ...waiting], waiting: new Set(waiting.map((l) => l.id)) };
  }

  private say(): void {
    this.state = this.merged();
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}
