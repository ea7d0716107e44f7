import type { JobEvent } from '../api/client';
import type { LinesSent } from './sending';

export interface DiaryPorts {
  send: (lines: JobEvent[]) => Promise<LinesSent>;
  /** Keeps a line on this device; false where that cannot be. */
  keep: (line: JobEvent) => Promise<boolean>;
  /** The program has them. */
  drop: (ids: string[]) => void;
}

export interface DiaryState {
  /** All lines, those that wait included. */
  lines: JobEvent[];
  /** Ids of lines that the program has not had yet. */
  waiting: ReadonlySet<string>;
  /** Why the program will not have a line that waits; null where nothing was refused. */
  refused: string | null;
  /** False where a line that waits is kept nowhere but on this page. */
  kept: boolean;
}

/** So many go in one request. */
export const MOST_LINES = 100;

const RETRY_MS = 2_500;
const LONGEST_MS = 60_000;

/**
 * A job's diary: a line is kept on this device, shown, and sent until the program has it. A line sent twice is one,
 * so it may be sent again whenever an answer was lost.
 */
export class DiarySender {
  state: DiaryState;
  private confirmed: JobEvent[];
  private pending: JobEvent[];
  private readonly unkept = new Set<string>();
  private readonly ports: DiaryPorts;
  private refused: string | null = null;
  private pause = RETRY_MS;
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

  /** @returns When it is kept on this device, or cannot be. */
  async tell(line: JobEvent): Promise<void> {
    this.pending = [...this.pending, line];
    this.unkept.add(line.id);
    this.say();
    const kept = this.ports.keep(line);
    void this.send();
    if (await kept) this.unkept.delete(line.id);
    this.say();
  }

  private async send(): Promise<void> {
    if (this.busy || this.pending.length === 0) return;
    this.busy = true;
    const lines = this.pending.slice(0, MOST_LINES);
    const sent = await this.ports.send(lines);
    this.busy = false;
    if (sent.kind === 'waiting') {
      setTimeout(() => void this.send(), this.pause);
      this.pause = Math.min(LONGEST_MS, this.pause * 2);
      return;
    }
    if (sent.kind === 'refused') {
      // It would be refused again: it stays on the device, and the page says why.
      this.refused = sent.why;
      this.say();
      return;
    }
    this.pause = RETRY_MS;
    // What was answered is had, whether it stood there before, or was told under an id that something else has.
    const gone = new Set(lines.map((l) => l.id));
    this.confirmed = sent.lines;
    this.pending = this.pending.filter((l) => !gone.has(l.id));
    this.ports.drop([...gone]);
    this.say();
    void this.send();
  }

  private merged(): DiaryState {
    const had = new Set(this.confirmed.map((l) => l.id));
    const waiting = this.pending.filter((l) => !had.has(l.id));
    return {
      lines: [...this.confirmed, ...waiting],
      waiting: new Set(waiting.map((l) => l.id)),
      refused: this.refused,
      kept: !waiting.some((l) => this.unkept.has(l.id)),
    };
  }

  private say(): void {
    this.state = this.merged();
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}
