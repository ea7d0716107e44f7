import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { PlannerHere } from './here';
import type { Asking } from './worker';

class FakeWorker {
  onmessage: ((e: { data: unknown }) => void) | null = null;
  onerror: ((e: { message: string }) => void) | null = null;
  asked: Asking[] = [];
  ended = false;

  postMessage(asking: Asking) {
    this.asked.push(asking);
  }

  terminate() {
    this.ended = true;
  }

  answer(status = 200, text = '{}') {
    const { id } = this.asked[this.asked.length - 1] ?? { id: 0 };
    this.onmessage?.({ data: { id, status, text } });
  }
}

let workers: FakeWorker[] = [];
const made = () =>
  new PlannerHere(() => {
    const worker = new FakeWorker();
    workers.push(worker);
    return worker as unknown as Worker;
  });

beforeEach(() => {
  workers = [];
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('it is ready when it has booted, and answers each who asked', async () => {
  const planner = made();
  const started = planner.start('/planner/dotnet.js');
  expect(planner.ready).toBe(false);
  workers[0]?.answer();
  await started;
  expect(planner.ready).toBe(true);
  const answer = planner.ask({ kind: 'answer', name: 'plan', body: '{}', key: 'k' });
  workers[0]?.answer(200, '{"a":1}');
  expect(await answer).toMatchObject({ status: 200, text: '{"a":1}' });
});

test('one that cannot be fetched fails who waits, and the next who starts it has another', async () => {
  const planner = made();
  const started = planner.start('/planner/dotnet.js');
  workers[0]?.onerror?.({ message: 'no such file' });
  await expect(started).rejects.toThrow();
  expect(workers[0]?.ended).toBe(true);
  void planner.start('/planner/dotnet.js');
  expect(workers.length).toBe(2);
});

test('one that the device has ended is given up after a while', async () => {
  const planner = made();
  const started = planner.start('/planner/dotnet.js');
  workers[0]?.answer();
  await started;
  const answer = planner.ask({ kind: 'answer', name: 'plan', body: '{}', key: 'k' });
  const failed = expect(answer).rejects.toThrow('does not answer');
  await vi.advanceTimersByTimeAsync(90_001);
  await failed;
  expect(planner.ready).toBe(false);
});
