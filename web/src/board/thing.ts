import type { Enum, PlanReport } from '../api/client';

export type BoardReport = NonNullable<PlanReport['board']>;
export type BoardTask = BoardReport['todo'][number];
export type Role = Enum<'BoardRole'>;

export type ThingState = 'calm' | 'soon' | 'open' | 'closing' | 'missed' | 'begun';

/** Something to do next, by the clock. A batch has an end where the joint before it runs out; a pass waits for a batch where its zone does not lie yet. */
export type Thing =
  | { kind: 'begin'; at: number; state: ThingState }
  | { kind: 'mix' | 'place'; batch: number; at: number; until: number | null; state: ThingState }
  | { kind: 'pass'; task: BoardTask; at: number; until: number; waitsFor: number | null; state: ThingState }
  | { kind: 'close'; at: number; state: ThingState };

/** A window that opens, or closes, within so long is told of. */
const NEAR_MS = 10 * 60_000;

const passState = (opens: number, closes: number, begun: boolean, now: number): ThingState =>
  begun
    ? 'begun'
    : now > closes
      ? 'missed'
      : now >= opens
        ? closes - now < NEAR_MS
          ? 'closing'
          : 'open'
        : opens - now < NEAR_MS
          ? 'soon'
          : 'calm';

/** A batch that is in the mixer, or goes in next: the joint to the one before it may run out. */
const batchState = (inMixer: boolean, at: number, by: number | null, now: number): ThingState =>
  by !== null && now > by
    ? 'missed'
    : by !== null && by - now < NEAR_MS
      ? 'closing'
      : inMixer
        ? 'begun'
        : now >= at
          ? 'open'
          : 'calm';

const millis = (at: string | null): number | null => (at === null ? null : Date.parse(at));

/** How many lie. */
export const placedBatches = ({ mixing }: BoardReport): number =>
  mixing.batches.filter((b) => b.placed !== null).length;

/** The batch that is in hand, or comes next; null where all of them lie. */
function batchOf({ mixing }: BoardReport, now: number): Extract<Thing, { kind: 'mix' | 'place' }> | null {
  const last = mixing.batches.at(-1);
  const until = millis(mixing.by);
  if (last !== undefined && last.placed === null) {
    const at = Date.parse(mixing.lies ?? last.begun);
    return {
      kind: 'place',
      batch: mixing.batches.length,
      at,
      until,
      state: batchState(true, at, until, now),
    };
  }
  if (mixing.next === null) return null;
  const at = Date.parse(mixing.next);
  return {
    kind: 'mix',
    batch: mixing.batches.length + 1,
    at,
    until,
    state: batchState(false, at, until, now),
  };
}

const URGENCY: Record<ThingState, number> = { missed: 0, closing: 1, begun: 2, open: 3, soon: 4, calm: 5 };

/**
 * What there is to do, for somebody with a role, the most pressing first: what is late or closes, then what is in hand, then by the clock.
 * While nothing lies that one could finish, the batches are what there is to do for everybody.
 * @param now Milliseconds.
 */
export function thingsToDo(board: BoardReport, role: Role, now: number): Thing[] {
  if (board.closed !== null) return [];
  if (!board.begun) {
    const at = Date.parse(board.plan.start);
    return [{ kind: 'begin', at, state: now >= at ? 'open' : at - now < NEAR_MS ? 'soon' : 'calm' }];
  }
  const batch = batchOf(board, now);
  const placed = placedBatches(board);
  const passes = board.todo.map((task): Extract<Thing, { kind: 'pass' }> => {
    const [opens, closes] = [Date.parse(task.opens), Date.parse(task.closes)];
    const waitsFor = task.begun === null && task.batch > placed ? task.batch : null;
    return {
      kind: 'pass',
      task,
      at: Date.parse(task.begins),
      until: closes,
      waitsFor,
      state: waitsFor === null ? passState(opens, closes, task.begun !== null, now) : 'calm',
    };
  });
  const things: Thing[] = [];
  const finishes = role === 'all' || role === 'finishing' || batch === null;
  const mixes =
    role === 'all' ||
    role === 'mixing' ||
    (role === 'placing' ? batch?.kind === 'place' : passes.every((p) => p.state === 'calm'));
  if (batch !== null && mixes) things.push(batch);
  if (finishes) things.push(...passes);
  things.sort((a, b) => URGENCY[a.state] - URGENCY[b.state] || a.at - b.at);
  if (batch === null && board.todo.length === 0) things.push({ kind: 'close', at: now, state: 'open' });
  return things;
}

/** What one thing is called among others, so that it is told of once. */
export const keyOf = (thing: Thing): string =>
  thing.kind === 'pass'
    ? `pass ${thing.task.zone} ${thing.task.pass}`
    : thing.kind === 'mix' || thing.kind === 'place'
      ? `${thing.kind} ${thing.batch}`
      : thing.kind;
