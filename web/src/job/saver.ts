import type { JobDocument } from '../api/client';
import type { Draft } from './device';
import type { JobSent, Refused } from './sending';

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** Kept on this device or, where that cannot be, on this page alone. */
  | { kind: 'waiting'; kept: boolean }
  | { kind: 'conflict'; theirs: number }
  | ({ kind: 'refused' } & Refused);

export interface SaverPorts {
  send: (version: number, document: JobDocument) => Promise<JobSent>;
  /** False where it cannot be kept. */
  keep: (draft: Draft) => Promise<boolean>;
  drop: () => void;
}

const PAUSE_MS = 300;
const RETRY_MS = 2_500;
const LONGEST_MS = 30_000;

/**
 * Saves one job: each change is kept on the device at once and sent after a pause. One send at a time, each naming the
 * version that the one before it made, so that we never collide with ourselves.
 */
export class Saver {
  state: SaveState = { kind: 'saved' };
  private confirmed: JobDocument;
  private latest: JobDocument;
  private version: number;
  private readonly ports: SaverPorts;
  private busy = false;
  private kept = true;
  private pause = RETRY_MS;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<() => void>();

  constructor(confirmed: JobDocument, version: number, ports: SaverPorts) {
    this.confirmed = confirmed;
    this.latest = confirmed;
    this.version = version;
    this.ports = ports;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): SaveState => this.state;

  change(document: JobDocument): void {
    if (document === this.latest) return;
    this.latest = document;
    this.keep();
    if (this.state.kind === 'conflict') return;
    this.tell({ kind: 'saving' });
    this.later(PAUSE_MS);
  }

  /** After a conflict: what is here goes on top of what is there. */
  keepMine(): void {
    if (this.state.kind !== 'conflict') return;
    this.version = this.state.theirs;
    this.tell({ kind: 'saving' });
    this.later(0);
  }

  /** After a conflict: what is there replaces what is here. */
  takeTheirs(document: JobDocument, version: number): void {
    clearTimeout(this.timer);
    [this.latest, this.confirmed, this.version] = [document, document, version];
    this.ports.drop();
    this.tell({ kind: 'saved' });
  }

  /** Sends what is waiting now: the page is going away. */
  flush(): void {
    if (this.latest !== this.confirmed && this.state.kind !== 'conflict') void this.sendLatest();
  }

  private keep(): void {
    void this.ports.keep({ version: this.version, document: this.latest }).then((kept) => {
      this.kept = kept;
      if (this.state.kind === 'waiting' && this.state.kept !== kept) this.tell({ kind: 'waiting', kept });
    });
  }

  private later(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.sendLatest(), ms);
  }

  private async sendLatest(): Promise<void> {
    if (this.busy) return; // the send under way looks again when it ends
    this.busy = true;
    const document = this.latest;
    const sent = await this.ports.send(this.version, document);
    this.busy = false;
    if (sent.kind !== 'ok') {
      this.tell(sent.kind === 'waiting' ? { kind: 'waiting', kept: this.kept } : sent);
      if (sent.kind === 'waiting') {
        this.later(this.pause);
        this.pause = Math.min(LONGEST_MS, this.pause * 2);
      }
      return;
    }
    this.pause = RETRY_MS;
    [this.version, this.confirmed] = [sent.version, document];
    if (this.latest === document) {
      this.ports.drop();
      this.tell({ kind: 'saved' });
    } else {
      this.keep();
      this.later(PAUSE_MS);
    }
  }

  private tell(state: SaveState): void {
    this.state = state;
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}
