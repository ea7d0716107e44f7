import { afterEach, beforeEach, expect, test, vi } from 'vitest';

const ID = '0f8fad5b-d9cb-469f-a165-70867728950e';
const OTHER = '7c9e6679-7425-40de-944b-e07fc1f90ae7';

type Asked = { planner: string[]; read: string[] };
let asked: Asked[];
let missing: (asked: Asked) => string[];
let inCharge: boolean;
const root = { dataset: {} as Record<string, string> };

async function fresh(withCaches = true) {
  vi.resetModules();
  vi.stubEnv('PROD', true);
  const controller = {
    postMessage: ({ keep }: { keep: Asked }, [port]: [MessagePort]) => {
      asked.push(keep);
      port.postMessage(missing(keep));
    },
  };
  vi.stubGlobal('navigator', {
    serviceWorker: { controller: inCharge ? controller : null, addEventListener: () => undefined },
  });
  vi.stubGlobal('document', { documentElement: root });
  const held = new Set(['/planner/a.wasm']);
  vi.stubGlobal(
    'caches',
    withCaches
      ? {
          open: () =>
            Promise.resolve({ match: (f: string) => Promise.resolve(held.has(f) ? {} : undefined) }),
        }
      : undefined,
  );
  if (!withCaches) Reflect.deleteProperty(globalThis, 'caches');
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify([{ id: ID }, { id: OTHER }]))));
  return import('./whole');
}

beforeEach(() => {
  [asked, missing, inCharge, root.dataset] = [[], () => [], true, {}];
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.unstubAllEnvs();
});

test('the job that is looked at is kept first, then the planner, then the yard, and only then it is whole', async () => {
  const { makeWhole } = await fresh();
  expect(await makeWhole(['/planner/a.wasm'], `/jobs/${ID}/shape`)).toBe('whole');
  expect(asked[0]).toEqual({ planner: [], read: ['/api/jobs', `/api/jobs/${ID}`, `/api/jobs/${ID}/log`] });
  expect(asked[1]).toEqual({ planner: ['/planner/a.wasm'], read: [] });
  expect(asked[2]?.read).toEqual(
    expect.arrayContaining(['/api/bags', '/api/session', `/api/jobs/${OTHER}`, `/api/jobs/${OTHER}/log`]),
  );
});

test.each([0, 1, 2])('one thing missing of any of the three (%i) and it is not', async (which) => {
  const { makeWhole } = await fresh();
  missing = () => (asked.length - 1 === which ? ['/something'] : []);
  expect(await makeWhole(['/planner/a.wasm'], '/')).toBe('not');
});

test('with no planner to take along it is not whole, however much is kept', async () => {
  const { makeWhole } = await fresh();
  expect(await makeWhole([], '/')).toBe('not');
});

test('a service worker that takes long is waited for again later: that is no browser that cannot', async () => {
  inCharge = false;
  const { makeWhole } = await fresh();
  vi.useFakeTimers();
  const made = makeWhole(['/planner/a.wasm'], '/');
  await vi.advanceTimersByTimeAsync(20_100);
  expect(await made).toBe('not');
  expect(asked).toEqual([]);
});

test('where a browser keeps nothing it cannot, and a planner is tried without looking', async () => {
  const { isKept, makeWhole } = await fresh(false);
  expect(await makeWhole(['/planner/a.wasm'], '/')).toBe('cannot');
  expect(await isKept(['/planner/nowhere.wasm'])).toBe(true);
});

test('a planner of which a file is missing is not started', async () => {
  const { isKept } = await fresh();
  expect(await isKept(['/planner/a.wasm'])).toBe(true);
  expect(await isKept(['/planner/a.wasm', '/planner/b.wasm'])).toBe(false);
});

test('only a device that is whole says so, and no longer than it is', async () => {
  const { onWhole, tellWhole, wholeNow } = await fresh();
  const heard = vi.fn();
  const stop = onWhole(heard);
  tellWhole('whole');
  expect(root.dataset).toEqual({ planner: 'here' });
  tellWhole('not');
  expect(root.dataset).toEqual({});
  expect(wholeNow()).toBe('not');
  stop();
  tellWhole('cannot');
  expect(heard).toHaveBeenCalledTimes(2);
});
