import { ownFetch } from '../own/session';
import { AlongShelf, keyOf } from './along';
import { PlannerHere, type Plain } from './here';
import { isQuestion, questions, type QuestionName } from './questions';
import { isKept, makeWhole, tellWhole } from './whole';

/** The program is asked first; after this long without an answer this device plans too, and what is there first is taken. */
const GRACE_MS = 300;
/** After this long it is taken to be away. */
const AWAY_MS = 5_000;
/** What a proxy says when there is no program behind it. */
const GONE = [502, 504];
const LOOK_AGAIN_MS = 3_000;
const LOOK_MS = 2_000;

/** A request that still knows what text it was made of: reading it back takes the browser several turns. */
export class Posted extends Request {
  readonly made: string | null;

  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(input, init);
    this.made = typeof init?.body === 'string' ? init.body : null;
  }
}

const questionOf = (request: Request): QuestionName | null => {
  const name = /^\/api\/([a-z]+)$/.exec(new URL(request.url).pathname)?.[1];
  return request.method === 'POST' && name !== undefined && isQuestion(name) ? name : null;
};

const responseOf = ({ status, text }: Plain): Response =>
  new Response(text, {
    status,
    headers: { 'Content-Type': status === 200 ? 'application/json' : 'application/problem+json' },
  });

const asError = (e: unknown): Error => (e instanceof Error ? e : new Error(String(e)));

const isAbort = (e: unknown): boolean => e instanceof DOMException && e.name === 'AbortError';

/** What the page can ask this device for, as soon as it knows how. */
interface Near {
  answer: (name: QuestionName, body: string) => Promise<Plain>;
  ready: () => boolean;
  /** Gets it ready: it may be wanted. */
  start: (body: string) => void;
}

interface Parts {
  far: typeof fetch;
  near: Near;
  /** Told of a job that the program has just answered about. */
  answered: (body: string) => void;
  /** Told that what was learnt is used otherwise from now on. */
  changed: () => void;
}

/** Where plans come from: the program, or this device while it does not answer. */
export class Asking {
  private away = false;
  private here = false;
  private looking: ReturnType<typeof setTimeout> | null = null;
  private readonly listeners = new Set<() => void>();
  private readonly parts: Parts;

  constructor(parts: Parts) {
    this.parts = parts;
  }

  /** The last plan was made on this device. */
  readonly planned = (): boolean => this.here;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** As fetch; a plan is answered by this device where the program does not. */
  readonly fetch = async (request: Request): Promise<Response> => {
    const name = questionOf(request);
    if (name === null) {
      if (request.method !== 'GET' && new URL(request.url).pathname.startsWith('/api/learnt'))
        this.parts.changed();
      return this.parts.far(request);
    }
    // With no turn in between where it is known: it is under way before the page is drawn with the change.
    const body = (request instanceof Posted ? request.made : null) ?? (await request.clone().text());
    if (this.away) return this.nearOr(name, body, () => this.far(request, body));
    return questions[name].takes === 'long'
      ? this.farFirst(request, name, body)
      : this.either(request, name, body);
  };

  /** Looks whether the program answers again: the device has found a network. */
  readonly look = async (): Promise<void> => {
    if (this.looking) clearTimeout(this.looking);
    this.looking = null;
    if (!this.away) return;
    try {
      const { ok } = await this.parts.far('/api/alive', { signal: AbortSignal.timeout(LOOK_MS) });
      if (ok) {
        this.away = false;
        this.tell(false);
        return;
      }
    } catch {
      // Not yet.
    }
    this.lookLater();
  };

  private async farFirst(request: Request, name: QuestionName, body: string): Promise<Response> {
    try {
      return await this.far(request, body);
    } catch (e) {
      if (isAbort(e) && request.signal.aborted) throw e;
      return this.nearOr(name, body, () => Promise.reject(asError(e)));
    }
  }

  private either(request: Request, name: QuestionName, body: string): Promise<Response> {
    return new Promise((resolve, reject) => {
      const late = new AbortController();
      const { url, method, headers } = request;
      const signal = AbortSignal.any([request.signal, late.signal]);
      const far = this.far(new Request(url, { method, headers, body, signal }), body);
      let tried = false;
      const tryNear = () => {
        if (tried) return;
        tried = true;
        void this.nearOr(name, body, () => far).then(resolve, reject);
      };
      const grace = setTimeout(() => {
        if (this.parts.near.ready()) tryNear();
        else this.parts.near.start(body);
      }, GRACE_MS);
      const giveUp = setTimeout(() => {
        late.abort();
      }, AWAY_MS);
      void far
        .then(resolve, (e: unknown) => {
          if (request.signal.aborted) reject(asError(e));
          else {
            this.gone();
            tryNear();
          }
        })
        .finally(() => {
          clearTimeout(grace);
          clearTimeout(giveUp);
        });
    });
  }

  private async far(request: Request, body: string): Promise<Response> {
    let response: Response;
    try {
      response = await this.parts.far(request);
    } catch (e) {
      if (!isAbort(e)) this.gone();
      throw e;
    }
    // A proxy that answers in its place.
    if (GONE.includes(response.status)) {
      this.gone();
      throw new TypeError(`no answer (${String(response.status)})`);
    }
    this.away = false;
    if (response.ok) {
      this.tell(false);
      this.parts.answered(body);
    }
    return response;
  }

  // What this device cannot plan is for the program after all.
  private async nearOr(
    name: QuestionName,
    body: string,
    otherwise: () => Promise<Response>,
  ): Promise<Response> {
    let answer: Plain;
    try {
      answer = await this.parts.near.answer(name, body);
    } catch {
      return otherwise();
    }
    if (answer.status >= 500) return otherwise();
    this.tell(true);
    return responseOf(answer);
  }

  private gone(): void {
    this.away = true;
    this.lookLater();
  }

  private lookLater(): void {
    this.looking ??= setTimeout(() => {
      this.looking = null;
      void this.look();
    }, LOOK_AGAIN_MS);
  }

  private tell(here: boolean): void {
    if (this.here === here) return;
    this.here = here;
    for (const listener of this.listeners) listener();
  }
}

const planner = new PlannerHere(
  () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'planner' }),
);
const shelf = new AlongShelf();
// By which key the worker has what, so that it is handed over once.
const handed = new Map<string, number>();
let started: Promise<void> | null = null;

const documentIn = (body: string) => (JSON.parse(body) as { document: Parameters<typeof keyOf>[0] }).document;

/**
 * Starts the planner, and hands it what goes along with a job.
 * @param fetching What is missing of it may be fetched: the program has just answered.
 * @returns By which key it has that.
 */
async function atHand(body: string, fetching = false): Promise<string> {
  const along = await shelf.find(keyOf(documentIn(body)));
  if (along?.planner == null) throw new Error('there is no planner on this device');
  // Its loader would try for a long time to get what is missing.
  if (!planner.ready && !fetching && !(await isKept(along.plannerFiles ?? [])))
    throw new Error('part of the planner is missing');
  started ??= planner.start(new URL(along.planner, location.origin).href).catch((e: unknown) => {
    started = null;
    handed.clear();
    throw e;
  });
  await started;
  if (handed.get(along.key) !== along.at) {
    await planner.ask({ kind: 'keep', key: along.key, json: along.json });
    handed.set(along.key, along.at);
  }
  return along.key;
}

const near: Near = {
  ready: () => planner.ready,
  start: (body) => void atHand(body).catch(() => undefined),
  answer: async (name, body) => {
    const key = await atHand(body);
    const { membersHere } = questions[name];
    const few = body.includes('"members"') ? body : `{"members":${String(membersHere)},${body.slice(1)}`;
    return planner.ask({ kind: 'answer', name, body: few, key });
  },
};

async function takeAlong(body: string): Promise<void> {
  const document = documentIn(body);
  const key = keyOf(document);
  if (!(await shelf.wants(key))) return;
  const response = await ownFetch('/api/along', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(document),
  });
  if (response.ok) await shelf.keep(key, await response.text());
}

/** How long the page has stood still before anything is fetched for later. */
const QUIET_MS = 1_500;
/** What was not to be had is not asked for again sooner. */
const AGAIN_MS = 15_000;
let settled = false;
let lookedAt = -Infinity;
let quiet: ReturnType<typeof setTimeout> | undefined;

// After the page stands: what goes along is fetched, and the planner, and kept; the first plan, which takes longest, is made while nobody waits.
async function settleDown(body: string): Promise<void> {
  await takeAlong(body);
  if (settled || performance.now() - lookedAt < AGAIN_MS) return;
  [settled, lookedAt] = [true, performance.now()];
  const files = (await shelf.find(keyOf(documentIn(body))))?.plannerFiles ?? [];
  const kept = await makeWhole(files, location.pathname);
  if (!planner.ready) {
    await atHand(body, true);
    for (let times = 0; times < 3; times++) await near.answer('plan', body);
  }
  tellWhole(kept);
  settled = kept === 'whole' || kept === 'cannot';
}

function settle(body: string): void {
  clearTimeout(quiet);
  quiet = setTimeout(() => {
    void settleDown(body).catch(() => {
      settled = false; // it is not there yet, or the line is gone: with the next plan, then
      tellWhole('not');
    });
  }, QUIET_MS);
}

export const asking = new Asking({
  far: ownFetch,
  near,
  answered: settle,
  changed: () => void shelf.age(),
});
