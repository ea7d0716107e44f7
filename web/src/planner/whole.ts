/** Whether this device has all that it needs with no network; it cannot where the browser keeps no programs: without HTTPS, on another machine. */
export type Whole = 'not' | 'whole' | 'cannot';

/** Lists that pages read before anything can be done on them. */
const LISTS = [
  '/api/session',
  '/api/preferences',
  '/api/bags',
  '/api/coats',
  '/api/lumber',
  '/api/bars',
  '/api/things',
  '/api/learnt',
  '/api/weather-files',
  '/api/lessons',
  '/api/jobs/removed',
];
/** More jobs than this nobody has under way. */
const MOST_JOBS = 40;
/** As long as a first service worker may take to fetch the program and take charge of this page. */
const CHARGE_MS = 20_000;
/** And to look all of it through. */
const KEEP_MS = 120_000;

// Without HTTPS on another machine, in some private windows, and while the page is being written.
const keepsNothing = !import.meta.env.PROD || !('serviceWorker' in navigator) || !('caches' in globalThis);
let state: Whole = 'not';
const listeners = new Set<() => void>();

export const wholeNow = (): Whole => state;

export const onWhole = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export function tellWhole(now: Whole): void {
  state = now;
  // For who looks from outside: only a device that is whole says so.
  if (now === 'whole') document.documentElement.dataset.planner = 'here';
  else delete document.documentElement.dataset.planner;
  for (const listener of listeners) listener();
}

const late = (ms: number, what: string) =>
  new Promise<never>((_, fail) => {
    setTimeout(() => {
      fail(new Error(what));
    }, ms);
  });

/** The service worker that serves this page; a first one takes charge when it has all of the program, which over a slow line takes its time. Null where none does yet. */
async function inCharge(): Promise<ServiceWorker | null> {
  const has = navigator.serviceWorker.controller;
  if (has) return has;
  const taken = new Promise<ServiceWorker>((done) => {
    navigator.serviceWorker.addEventListener('controllerchange', () => {
      if (navigator.serviceWorker.controller) done(navigator.serviceWorker.controller);
    });
  });
  return Promise.race([taken, late(CHARGE_MS, 'none takes charge')]).catch(() => null);
}

/** Has the service worker keep what is named, and look through what is kept. @returns What is missing. */
function kept(worker: ServiceWorker, planner: string[], read: string[]): Promise<string[]> {
  const { port1, port2 } = new MessageChannel();
  const answer = new Promise<string[]>((done) => {
    port1.onmessage = ({ data }: MessageEvent<string[]>) => {
      done(data);
    };
  });
  worker.postMessage({ keep: { planner, read } }, [port2]);
  return Promise.race([answer, late(KEEP_MS, 'the service worker says nothing')]);
}

/** Where the service worker keeps the planner (sw.js). */
const PLANNER = 'setfirm-planner';

/** Whether files of the planner are all on this device; where browsers keep nothing by name nobody knows, and it is tried. */
export async function isKept(files: string[]): Promise<boolean> {
  if (keepsNothing) return true;
  const cache = await caches.open(PLANNER);
  const found = await Promise.all(files.map((file) => cache.match(file)));
  return found.every((f) => f !== undefined);
}

/**
 * Puts on this device, by name, all that it needs with no network: the program, the planner, the job that is looked at, then the yard.
 * @param planner Files of the planner; none while the program has none to take along.
 * @param page Path of the page.
 * @returns Whole only where every one of them was looked for and found.
 */
export async function makeWhole(planner: string[], page: string): Promise<Whole> {
  if (keepsNothing) return 'cannot';
  const worker = await inCharge();
  if (!worker) return 'not';
  const open = /^\/jobs\/([0-9a-f-]{36})/.exec(page)?.[1];
  const reading = (id: string) => [`/api/jobs/${id}`, `/api/jobs/${id}/log`];
  // What is looked at first: nobody knows when the network goes.
  const first = ['/api/jobs', ...(open === undefined ? [] : reading(open))];
  const missing = [...(await kept(worker, [], first)), ...(await kept(worker, planner, []))];
  const jobs = (await (await fetch('/api/jobs')).json()) as { id: string }[];
  const rest = await kept(
    worker,
    [],
    [...LISTS, ...jobs.slice(0, MOST_JOBS).flatMap(({ id }) => reading(id))],
  );
  return planner.length > 0 && missing.length + rest.length === 0 ? 'whole' : 'not';
}
