import { readFileSync } from 'node:fs';
import { runInNewContext } from 'node:vm';
import { beforeEach, expect, test, vi } from 'vitest';

// The worker as it is shipped, in a world of its own: caches that are maps, and a network that is cut or slow.
const source = readFileSync(new URL('src/planner/sw.js', import.meta.url), 'utf8')
  .replace('__FILES__', JSON.stringify(['/', '/app.js']))
  .replace('__QUESTIONS__', JSON.stringify(['plan', 'starts']))
  .replace('__VERSION__', 'one');
const ORIGIN = 'http://yard.test';
const absolute = (of) => new URL(typeof of === 'string' ? of : of.url, ORIGIN).href;

class Cache {
  held = new Map();
  match = (of) => Promise.resolve(this.held.get(absolute(of))?.clone());
  put = (of, answer) => {
    this.held.set(absolute(of), answer);
    return Promise.resolve();
  };
  delete = (of) => Promise.resolve(this.held.delete(absolute(of)));
  keys = () => Promise.resolve([...this.held.keys()].map((url) => ({ url })));
  addAll = async (files) => {
    for (const file of files) await this.put(file, await network(absolute(file)));
  };
}

let network;
let patience;
let now;

function worker() {
  const listeners = new Map();
  const shelves = new Map();
  const open = (name) => {
    const cache = shelves.get(name) ?? new Cache();
    shelves.set(name, cache);
    return Promise.resolve(cache);
  };
  const addRoutes = vi.fn(() => Promise.resolve());
  const world = {
    self: {
      addEventListener: (name, listener) => listeners.set(name, listener),
      location: { origin: ORIGIN },
      skipWaiting: vi.fn(),
    },
    location: { origin: ORIGIN },
    caches: {
      open,
      match: async (of, { cacheName }) => (await open(cacheName)).match(of),
    },
    fetch: (of, init) => network(absolute(of), init?.signal),
    AbortSignal: {
      timeout: (ms) => {
        patience.push(ms);
        return undefined;
      },
    },
    performance: { now: () => now },
    Request: class {
      url;
      constructor(of) {
        this.url = absolute(of);
      }
    },
    Response,
    Headers,
    URL,
    URLPattern: class {
      pathname;
      constructor({ pathname }) {
        this.pathname = pathname;
      }
    },
  };
  runInNewContext(source, world);
  const told = async (name, e) => {
    const work = [];
    listeners.get(name)?.({ ...e, waitUntil: (p) => work.push(p) });
    await Promise.all(work);
  };
  const keep = async (planner, read) => {
    const port = { postMessage: vi.fn() };
    await told('message', { data: { keep: { planner, read } }, ports: [port] });
    return [...(port.postMessage.mock.calls[0]?.[0] ?? [])];
  };
  const get = (path, mode = 'cors') =>
    new Promise((done, fail) => {
      const respondWith = (answer) => void answer.then(done, fail);
      listeners.get('fetch')?.({ request: { url: ORIGIN + path, method: 'GET', mode }, respondWith });
    });
  return { told, keep, get, open, addRoutes };
}

const there = (url) => Promise.resolve(new Response(`now ${new URL(url).pathname}`));
const cut = () => Promise.reject(new TypeError('no network'));

beforeEach(() => {
  network = there;
  patience = [];
  now = 0;
});

test('only what was looked for and found is not missing; what is missing is fetched when it is asked for again', async () => {
  const { keep, open } = worker();
  network = (url) => (/b\.wasm|app\.js/.test(url) ? cut() : there(url));
  expect(await keep(['/planner/a.wasm', '/planner/b.wasm'], ['/api/jobs'])).toEqual([
    '/app.js',
    '/planner/b.wasm',
  ]);
  network = there;
  expect(await keep(['/planner/a.wasm', '/planner/b.wasm'], ['/api/jobs'])).toEqual([]);
  expect([...(await open('setfirm-planner')).held.keys()]).toHaveLength(2);
});

test('an older planner goes only when the newer one is all there', async () => {
  const { keep, open } = worker();
  await keep(['/planner/core.one.wasm'], []);
  const held = async () => [...(await open('setfirm-planner')).held.keys()].map((u) => new URL(u).pathname);
  network = cut;
  await keep(['/planner/core.two.wasm'], []);
  expect(await held()).toEqual(['/planner/core.one.wasm']);
  network = there;
  await keep(['/planner/core.two.wasm'], []);
  expect(await held()).toEqual(['/planner/core.two.wasm']);
});

test('the loader is fetched each time, since its name says nothing of what is in it', async () => {
  const { keep } = worker();
  const asked = vi.fn(there);
  network = asked;
  await keep(['/planner/_framework/dotnet.js', '/planner/a.wasm'], []);
  asked.mockClear();
  await keep(['/planner/_framework/dotnet.js', '/planner/a.wasm'], []);
  expect(asked.mock.calls.map(([url]) => new URL(url).pathname)).toEqual(['/planner/_framework/dotnet.js']);
});

test('what this device may not read, or is gone, it does not miss; an answer that is none it does', async () => {
  const { keep } = worker();
  const status = { '/api/learnt': 403, '/api/jobs/gone': 404, '/api/jobs': 503 };
  network = (url) => Promise.resolve(new Response('', { status: status[new URL(url).pathname] ?? 200 }));
  expect(await keep([], ['/api/learnt', '/api/jobs/gone', '/api/jobs', '/api/bags'])).toEqual(['/api/jobs']);
});

test('with the network back the first answer is of now, however short ago it was gone', async () => {
  const { get } = worker();
  network = (url) => Promise.resolve(new Response(`first ${url}`));
  await get('/api/jobs');
  network = cut;
  const kept = await get('/api/jobs');
  expect(await kept?.text()).toMatch(/^first/);
  expect(kept?.headers.get('X-Kept-At')).not.toBeNull();
  now = 100;
  network = there;
  expect(await (await get('/api/jobs'))?.text()).toBe('now /api/jobs');
});

test('after it was waited for in vain it is waited for briefly, and ten seconds later in full again, however slow the line', async () => {
  const { get } = worker();
  await get('/api/jobs');
  network = cut;
  for (const at of [0, 3_000, 6_000, 9_999, 10_001]) {
    now = at;
    await get('/api/jobs');
  }
  expect(patience).toEqual([4_000, 4_000, 1_000, 1_000, 1_000, 4_000]);
});

test('a page with no network is the program as it is kept, or says that there is none', async () => {
  const { get, keep } = worker();
  await keep([], []);
  network = cut;
  expect(await (await get('/jobs/1/shape', 'navigate'))?.text()).toBe('now /');
  const empty = worker();
  expect((await empty.get('/jobs/1/shape', 'navigate'))?.type).toBe('error');
});

test('questions to the planner go past it where the browser can be told', async () => {
  const { told, addRoutes } = worker();
  await told('install', { addRoutes });
  const [[route]] = addRoutes.mock.calls[0];
  expect(route.source).toBe('network');
  expect(route.condition.urlPattern.pathname).toBe('/api/(alive|along|plan|starts)');
  await worker().told('install', {}); // and where it cannot, it is installed all the same
});
