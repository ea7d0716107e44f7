import { duration, number, type Formats } from '../format/format';
import { board as words, passSigns } from '../words';
import classes from './Board.module.css';
import nextStyles from './NextUp.module.css';
import { useBoard } from './session';
import { keyOf, type Thing } from './thing';
import { titleOf, whereOf } from './thingText';

const MINUTE_MS = 60_000;
const DAY_MS = 1440 * MINUTE_MS;
/** Further away than this hours say less than days. */
const FAR_MS = 2 * DAY_MS;

/** The time to it, or what is left of its window. */
function spanOf(thing: Thing, now: number): string {
  if (
    thing.kind === 'pass' &&
    (thing.state === 'open' || thing.state === 'closing' || thing.state === 'begun')
  )
    return thing.until >= now
      ? words.left(duration((thing.until - now) / MINUTE_MS))
      : words.over(duration((now - thing.until) / MINUTE_MS));
  if (thing.kind === 'pass' && thing.state === 'missed')
    return words.over(duration((now - thing.until) / MINUTE_MS));
  const away = thing.at - now;
  if (away > FAR_MS) return words.in(words.days(number(away / DAY_MS)));
  return away > MINUTE_MS / 2 ? words.in(duration(away / MINUTE_MS)) : words.atOnce;
}

/** More than so many letters are written smaller. */
const LONG = 11;

/** From when, until when: a line each. */
function hoursOf(thing: Thing, now: number, format: Formats): string[] {
  const time = (at: number) => format.time(new Date(at).toISOString());
  if (thing.kind !== 'pass')
    return thing.at - now > FAR_MS
      ? [format.date(new Date(thing.at).toISOString())]
      : thing.at > now
        ? [words.at(time(thing.at))]
        : [];
  return thing.state === 'calm' || thing.state === 'soon'
    ? [words.at(time(thing.at)), words.until(time(thing.until))]
    : [words.until(time(thing.until))];
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
      <p className={nextStyles.sign}>
        {thing.kind === 'pass' ? passSigns[thing.task.pass] : thing.kind === 'begin' ? words.beginHint : ''}
      </p>
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
        {thing.kind === 'pass' && (
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
