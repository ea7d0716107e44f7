import type { PlanReport } from '../api/client';
import { measureAmount, measureName } from '../common/measureText';
import { duration, number, type Formats } from '../format/format';
import { board as words, passSigns } from '../words';
import classes from './Board.module.css';
import nextStyles from './NextUp.module.css';
import { useBoard } from './session';
import { keyOf, type Thing, type ThingState } from './thing';
import { titleOf, whereOf } from './thingText';

const MINUTE_MS = 60_000;
const DAY_MS = 1440 * MINUTE_MS;
/** Further away than this hours say less than days. */
const FAR_MS = 2 * DAY_MS;

/** What has an end counts down to it: a pass while it is open, a batch where the joint before it runs out. */
const PRESSING: ReadonlySet<ThingState> = new Set(['closing', 'missed']);
const OPEN: ReadonlySet<ThingState> = new Set([...PRESSING, 'open', 'begun']);

const untilOf = (thing: Thing): number | null =>
  thing.kind === 'begin' || thing.kind === 'close' ? null : thing.until;

/** The time to it, or what is left of its window. */
function spanOf(thing: Thing, now: number): string {
  const until = untilOf(thing);
  if (until !== null && (thing.kind === 'pass' ? OPEN : PRESSING).has(thing.state))
    return until >= now
      ? words.left(duration((until - now) / MINUTE_MS))
      : words.over(duration((now - until) / MINUTE_MS));
  const away = thing.at - now;
  if (away > FAR_MS) return words.in(words.days(number(away / DAY_MS)));
  return away > MINUTE_MS / 2 ? words.in(duration(away / MINUTE_MS)) : words.atOnce;
}

/** More than so many letters are written smaller. */
const LONG = 11;

/** From when, until when: a line each. */
function hoursOf(thing: Thing, now: number, format: Formats): string[] {
  const time = (at: number) => format.time(new Date(at).toISOString());
  if (thing.kind !== 'pass') {
    if (thing.at - now > FAR_MS) return [format.date(new Date(thing.at).toISOString())];
    const until = untilOf(thing);
    return [
      ...(thing.at > now ? [words.at(time(thing.at))] : []),
      ...(until === null ? [] : [words.knitsUntil(time(until))]),
    ];
  }
  return thing.state === 'calm' || thing.state === 'soon'
    ? [words.at(time(thing.at)), words.until(time(thing.until))]
    : [words.until(time(thing.until))];
}

/** What goes into a batch, in one line; empty where it is none. */
function holdsOf(thing: Thing, { load }: PlanReport, format: Formats): string {
  if (thing.kind !== 'mix' && thing.kind !== 'place') return '';
  const batch = load?.batches.find((b) => b.number === thing.batch);
  const measures = batch && load?.recipes[batch.recipe]?.measures;
  return (measures ?? []).map((m) => `${measureAmount(m, format)} ${measureName(m)}`).join(', ');
}

/** How one sees that it is time, what goes into it, or what it waits for. */
function signOf(thing: Thing, report: PlanReport, format: Formats): string {
  if (thing.kind === 'begin') return words.beginHint;
  if (thing.kind !== 'pass') return holdsOf(thing, report, format);
  return thing.waitsFor === null ? passSigns[thing.task.pass] : words.waitsFor(number(thing.waitsFor));
}

/** Large: what is next, where, when, until when, and the button for it. */
export function NextUp({ things }: { things: Thing[] }) {
  const { report, now, tell, pour, format } = useBoard();
  const { board } = report;
  const thing = things[0];
  const next = things[1];
  if (!board || !thing) {
    return (
      <section className={nextStyles.next} data-state="calm" aria-label={words.now}>
        <p className={nextStyles.what}>{board?.closed ? words.closing.title : words.nothing}</p>
      </section>
    );
  }
  const span = spanOf(thing, now);
  return (
    <section className={nextStyles.next} data-state={thing.state} aria-label={words.now} data-testid="next">
      <p className={nextStyles.state}>{words.states[thing.state]}</p>
      <p className={nextStyles.where}>{whereOf(thing, board.mixing.of)}</p>
      <p className={nextStyles.what}>{titleOf(thing)}</p>
      <p className={nextStyles.when}>
        <b data-testid="next-span" data-long={span.length > LONG}>
          {span}
        </b>
        <span>
          {hoursOf(thing, now, format).map((line) => (
            <span key={line}>{line}</span>
          ))}
        </span>
      </p>
      <p className={nextStyles.sign}>{signOf(thing, report, format)}</p>
      <div className={nextStyles.act}>
        {thing.kind === 'begin' && (
          <button
            type="button"
            className={classes.big}
            onClick={() => tell({ kind: 'dayBegun', plan: board.plan, pour })}
          >
            {words.begin}
          </button>
        )}
        {thing.kind === 'mix' && (
          <button
            type="button"
            className={classes.big}
            onClick={() => tell({ kind: 'batchMixing', batch: thing.batch, pour })}
          >
            {words.inMixer}
          </button>
        )}
        {thing.kind === 'place' && (
          <button
            type="button"
            className={classes.big}
            onClick={() => tell({ kind: 'batchPlaced', batch: thing.batch, pour })}
          >
            {words.placed}
          </button>
        )}
        {thing.kind === 'pass' && thing.waitsFor !== null && (
          <button
            type="button"
            className={classes.big}
            onClick={() => tell({ kind: 'batchPlaced', batch: thing.waitsFor ?? 0, pour })}
          >
            {words.liesAlready}
          </button>
        )}
        {thing.kind === 'pass' && thing.waitsFor === null && (
          <button
            type="button"
            className={classes.big}
            onClick={() =>
              tell({
                kind: thing.state === 'begun' ? 'passDone' : 'passBegun',
                zone: thing.task.zone,
                pass: thing.task.pass,
                pour,
              })
            }
          >
            {thing.state === 'begun' ? words.donePass : words.beginPass}
          </button>
        )}
      </div>
      <p className={nextStyles.after} key={next ? keyOf(next) : ''}>
        {next && (
          <>
            {words.later}: {whereOf(next, board.mixing.of)}, {titleOf(next).toLowerCase()}{' '}
            {next.at > now ? words.at(format.time(new Date(next.at).toISOString())) : ''}
          </>
        )}
      </p>
    </section>
  );
}
