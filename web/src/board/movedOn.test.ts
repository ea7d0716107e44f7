import { expect, test } from 'vitest';
import type { JobEvent, PlanReport } from '../api/client';
import { movedOn } from './movedOn';
import { thingsToDo, type BoardReport } from './thing';

const at = (minute: number) => new Date(Date.UTC(2027, 4, 4, 8, minute)).toISOString();

const board: BoardReport = {
  plan: { start: at(0), mixingEnds: at(60), doneBy: at(300), batches: [], zones: [] },
  begun: false,
  closed: null,
  now: null,
  hands: 2,
  mostHands: 8,
  mixing: {
    batches: [],
    of: 2,
    next: at(0),
    lies: null,
    by: null,
    endsAt: at(60),
    plannedEnd: at(60),
    paceFactor: 1,
    jointAgeMin: 20,
    jointLimitMin: 90,
  },
  zones: [],
  todo: [1, 2].map((zone) => ({
    zone,
    pass: 'edgeAndFloat' as const,
    batch: zone,
    opens: at(120),
    closes: at(180),
    begins: at(120),
    ends: at(150),
    hands: 1,
    begun: null,
  })),
  change: null,
  ahead: [],
};
const report = { board, pour: 'p', pours: [{ id: 'p' }] } as unknown as PlanReport;

let minute = 0;
const line = (what: object): JobEvent =>
  ({
    id: `l${(minute += 1)}`,
    at: at(minute),
    device: 'here',
    note: '',
    pour: 'p',
    ...what,
  }) as unknown as JobEvent;
const first = (lines: JobEvent[], told = new Set<string>(), now = 100) => {
  const { board: moved } = movedOn(report, told, lines);
  const thing = moved && thingsToDo(moved, 'all', Date.parse(at(now)))[0];
  return (
    thing &&
    ('batch' in thing
      ? `${thing.kind} ${thing.batch}`
      : thing.kind === 'pass'
        ? `${thing.state} ${thing.task.zone}`
        : thing.kind)
  );
};

test('with nobody to plan it, each tap moves the board on to what is next', () => {
  const lines: JobEvent[] = [];
  const told = (what: object) => {
    lines.push(line(what));
    return first(lines);
  };
  expect(first(lines)).toBe('begin');
  expect(told({ kind: 'dayBegun', plan: board.plan })).toBe('mix 1');
  expect(told({ kind: 'batchMixing', batch: 1 })).toBe('place 1');
  expect(told({ kind: 'batchPlaced', batch: 1 })).toBe('mix 2');
  expect(told({ kind: 'batchMixing', batch: 2 })).toBe('place 2');
  expect(told({ kind: 'batchPlaced', batch: 2 })).toBe('calm 1');
  expect(told({ kind: 'passBegun', zone: 1, pass: 'edgeAndFloat' })).toBe('begun 1');
  expect(told({ kind: 'passDone', zone: 1, pass: 'edgeAndFloat' })).toBe('calm 2');
  expect(told({ kind: 'passDone', zone: 2, pass: 'edgeAndFloat' })).toBe('close');
});

test('what was taken back, told before the plan, or of another pour moves nothing', () => {
  const begun = line({ kind: 'dayBegun', plan: board.plan });
  expect(first([begun, line({ kind: 'withdrawn', line: begun.id })])).toBe('begin');
  expect(first([begun], new Set([begun.id]))).toBe('begin'); // the plan that was made with it is what stands
  expect(first([line({ kind: 'dayBegun', plan: board.plan, pour: 'another' })])).toBe('begin');
  expect(movedOn(report, new Set(), [])).toBe(report);
});

test('a batch told twice is one', () => {
  const lines = [
    line({ kind: 'dayBegun', plan: board.plan }),
    line({ kind: 'batchMixing', batch: 1 }),
    line({ kind: 'batchMixing', batch: 1 }),
  ];
  expect(first(lines)).toBe('place 1');
});
