import type { Answered, Asking } from './worker';

/** As the worker answers. */
export interface Plain {
  status: number;
  text: string;
}

type Question = Asking extends infer A ? (A extends unknown ? Omit<A, 'id'> : never) : never;

/** A worker that was ended by the device says nothing any more; the first plan on a slow telephone takes a while. */
const DEAD_MS = 90_000;

/** The planner on this device. It is fetched when it is first wanted, and stays. */
export class PlannerHere {
  private worker: Worker | null = null;
  private readonly open = new Map<number, { done: (a: Plain) => void; fail: (e: Error) => void }>();
  private next = 1;
  private isReady = false;

  private readonly make: () => Worker;

  constructor(make: () => Worker) {
    this.make = make;
  }

  /** It answers at once. */
  get ready(): boolean {
    return this.isReady;
  }

  /**
   * Fetches and starts it, if it does not stand already.
   * @param url Where its loader is.
   */
  async start(url: string): Promise<void> {
    if (this.worker) return;
    const worker = this.make();
    this.worker = worker;
    worker.onmessage = ({ data }: MessageEvent<Answered>) => {
      this.close(data);
    };
    worker.onerror = (e) => {
      this.giveUp(e.message);
    };
    try {
      await this.ask({ kind: 'boot', url });
      this.isReady = true;
    } catch (e) {
      this.giveUp(String(e));
      throw e;
    }
  }

  ask(question: Question): Promise<Plain> {
    const { worker } = this;
    if (!worker) return Promise.reject(new Error('it does not stand'));
    const id = this.next++;
    return new Promise((done, fail) => {
      this.open.set(id, { done, fail });
      setTimeout(() => {
        if (this.open.has(id)) this.giveUp('it does not answer');
      }, DEAD_MS);
      worker.postMessage({ ...question, id });
    });
  }

  private close(answer: Answered): void {
    const asked = this.open.get(answer.id);
    this.open.delete(answer.id);
    if ('broken' in answer) asked?.fail(new Error(answer.broken));
    else asked?.done(answer);
  }

  // It could not be fetched, or fell over: the next who asks starts another.
  private giveUp(why: string): void {
    this.worker?.terminate();
    this.worker = null;
    this.isReady = false;
    for (const { fail } of this.open.values()) fail(new Error(why));
    this.open.clear();
  }
}
