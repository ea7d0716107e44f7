import { afterEach, beforeEach, expect, test, vi } from 'vitest';

// The page's own wiring is not wanted here: no worker, no window.
vi.stubGlobal('window', {
  addEventListener: () => undefined,
  location: { hostname: 'localhost', origin: 'http://localhost' },
});
const { Asking } = await import('./ask');

const post = (path: string, body = '{"document":{}}', signal?: AbortSignal) =>
  new Request(`http://localhost${path}`, { method: 'POST', body, signal: signal ?? null });

const there = (text = '{"there":1}', status = 200) => new Response(text, { status });
const never = (request: Request): Promise<Response> =>
  new Promise((_, reject) => {
    if (request.signal.aborted) reject(new DOMException('gone', 'AbortError'));
    request.signal.addEventListener('abort', () => {
      reject(new DOMException('gone', 'AbortError'));
    });
  });

function made(far: (r: Request) => Promise<Response>, ready = true) {
  const near = {
    ready: () => ready,
    start: vi.fn(),
    answer: vi.fn(() => Promise.resolve({ status: 200, text: '{"here":1}' })),
  };
  const answered = vi.fn();
  const changed = vi.fn();
  const asking = new Asking({
    far: (r, init) =>
      far(r instanceof Request ? r : new Request(new URL(String(r), 'http://localhost'), init)),
    near,
    answered,
    changed,
  });
  return { asking, near, answered, changed };
}

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('while the program answers, it is who answers', async () => {
  const { asking, near, answered } = made(() => Promise.resolve(there()));
  expect(await (await asking.fetch(post('/api/plan'))).json()).toEqual({ there: 1 });
  await vi.advanceTimersByTimeAsync(1_000);
  expect(near.answer).not.toHaveBeenCalled();
  expect(answered).toHaveBeenCalledOnce();
  expect(asking.planned()).toBe(false);
});

test('after 300 ms without an answer this device plans, and says so; the program, when it is there again, takes over', async () => {
  let back: (r: Response) => void = () => undefined;
  const { asking, near } = made(() => new Promise((done) => (back = done)));
  const answer = asking.fetch(post('/api/plan'));
  await vi.advanceTimersByTimeAsync(299);
  expect(near.answer).not.toHaveBeenCalled();
  await vi.advanceTimersByTimeAsync(2);
  expect(await (await answer).json()).toEqual({ here: 1 });
  expect(asking.planned()).toBe(true);
  back(there());
  await vi.advanceTimersByTimeAsync(1);
  expect(asking.planned()).toBe(false);
});

test('a planner that is still being fetched does not stand in for a program that is only slow', async () => {
  let back: (r: Response) => void = () => undefined;
  const { asking, near } = made(() => new Promise((done) => (back = done)), false);
  const answer = asking.fetch(post('/api/plan'));
  await vi.advanceTimersByTimeAsync(1_000);
  back(there());
  expect(await (await answer).json()).toEqual({ there: 1 });
  expect(near.answer).not.toHaveBeenCalled();
});

test('with no network this device answers at once, and the program is not asked again until it is found', async () => {
  let up = false;
  const far = vi.fn(() => (up ? Promise.resolve(there()) : Promise.reject(new TypeError('no network'))));
  const { asking } = made(far);
  expect(await (await asking.fetch(post('/api/plan'))).json()).toEqual({ here: 1 });
  const calls = far.mock.calls.length;
  expect(await (await asking.fetch(post('/api/tasks'))).json()).toEqual({ here: 1 });
  expect(far.mock.calls.length).toBe(calls);
  up = true;
  await vi.advanceTimersByTimeAsync(3_100);
  expect(asking.planned()).toBe(false);
  expect(await (await asking.fetch(post('/api/plan'))).json()).toEqual({ there: 1 });
});

test('a program that says nothing for five seconds is away', async () => {
  const far = vi.fn(never);
  const { asking } = made(far);
  await (asking.fetch(post('/api/plan')), vi.advanceTimersByTimeAsync(5_100));
  const calls = far.mock.calls.length;
  expect(await (await asking.fetch(post('/api/plan'))).json()).toEqual({ here: 1 });
  expect(far.mock.calls.length).toBe(calls);
});

test('what takes long is left to the program while it works on it', async () => {
  let back: (r: Response) => void = () => undefined;
  const { asking, near } = made(() => new Promise((done) => (back = done)));
  const answer = asking.fetch(post('/api/starts'));
  await vi.advanceTimersByTimeAsync(4_000);
  expect(near.answer).not.toHaveBeenCalled();
  back(there());
  expect(await (await answer).json()).toEqual({ there: 1 });
});

test('a refusal of the program is its answer', async () => {
  const { asking, near } = made(() => Promise.resolve(there('{"detail":"no"}', 422)));
  expect((await asking.fetch(post('/api/plan'))).status).toBe(422);
  expect(near.answer).not.toHaveBeenCalled();
});

test('a proxy that has no program behind it is no answer', async () => {
  const { asking } = made(() => Promise.resolve(there('<html>', 502)));
  expect(await (await asking.fetch(post('/api/plan'))).json()).toEqual({ here: 1 });
  expect(await (await asking.fetch(post('/api/starts'))).json()).toEqual({ here: 1 });
});

test('who no longer waits gets no answer from either', async () => {
  const { asking } = made(never);
  const left = new AbortController();
  const answer = asking.fetch(post('/api/plan', '{"document":{}}', left.signal));
  left.abort();
  await expect(answer).rejects.toThrow();
});

test('what this device cannot plan fails as the program did', async () => {
  const { asking, near } = made(() => Promise.reject(new TypeError('no network')));
  near.answer.mockRejectedValue(new Error('no planner'));
  await expect(asking.fetch(post('/api/plan'))).rejects.toThrow();
  expect(asking.planned()).toBe(false);
});

test('everything else goes to the program as it is, and a word on what was learnt is noticed', async () => {
  const far = vi.fn(() => Promise.resolve(there()));
  const { asking, changed, near } = made(far);
  await asking.fetch(new Request('http://localhost/api/plan'));
  await asking.fetch(post('/api/jobs'));
  await asking.fetch(post('/api/learnt/word'));
  expect(far).toHaveBeenCalledTimes(3);
  expect(changed).toHaveBeenCalledOnce();
  expect(near.answer).not.toHaveBeenCalled();
});
