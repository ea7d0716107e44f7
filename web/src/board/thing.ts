import type { Enum, PlanReport } from '../api/client';

export type BoardReport = NonNullable<PlanReport['board']>;
export type BoardTask = BoardReport['todo'][number];
export type Role = Enum<'BoardRole'>;

export type ThingState = 'calm' | 'soon' | 'open' | 'closing' | 'missed' | 'begun';

/** Something to do next, by the clock. */
export type Thing =
  | { kind: 'begin'; at: number; state: ThingState }
  | { kind: 'mix'; batch: number; at: number; state: ThingState }
  | { kind: 'place'; batch: number; at: number; state: ThingState }
  | { kind: 'pass'; task: BoardTask; at: number; until: number; state: ThingState }
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

const URGENCY: Record<ThingState, number> = { missed: 0, closing: 1, begun: 2, open: 3, soon: 4, calm: 5 };

/**
 * What there is to do, for somebody with a role, the most pressing first: what is late or closes, then what is in hand, then by the clock.
 * @param now Milliseconds.
 */
export function thingsToDo(board: BoardReport, role: Role, now: number): Thing[] {
  if (board.closed !== null) return [];
  if (!board.begun) {
    const at = Date.parse(board.plan.start);
    return [{ kind: 'begin', at, state: now >= at ? 'open' : at - now < NEAR_MS ? 'soon' : 'calm' }];
  }
  const things: Thing[] = [];
  const { mixing } = board;
  const last = mixing.batches.at(-1);
  const inMixer = last !== undefined && last.placed === null;
  if (role !== 'finishing') {
    if (inMixer) {
      things.push({
        kind: 'place',
        batch: mixing.batches.length,
        at: Date.parse(last.begun),
        state: 'begun',
      });
    }
    if (mixing.next !== null && role !== 'placing' && !inMixer) {
      const at = Date.parse(mixing.next);
      things.push({ kind: 'mix', batch: mixing.batches.length + 1, at, state: now >= at ? 'open' : 'calm' });
    }
  }
  if (role === 'all' || role === 'finishing' || mixing.next === null) {
    for (const task of board.todo) {
      const [opens, closes] = [Date.parse(task.opens), Date.parse(task.closes)];
      things.push({
        kind: 'pass',
        task,
        at: Date.parse(task.begins),
        until: closes,
        state: passState(opens, closes, task.begun !== null, now),
      });
    }
  }
  things.sort((a, b) => URGENCY[a.state] - URGENCY[b.state] || a.at - b.at);
  if (board.todo.length === 0 && mixing.next === null && !inMixer)
    things.push({ kind: 'close', at: now, state: 'open' });
  return things;
}

/** What one thing is called among others, so that it is told of once. */
export const keyOf = (thing: Thing): string =>
  thing.kind === 'pass'
    ? `pass ${thing.task.zone} ${thing.task.pass}`
    : thing.kind === 'mix' || thing.kind === 'place'
      ? `${thing.kind} ${thing.batch}`
      : thing.kind;
