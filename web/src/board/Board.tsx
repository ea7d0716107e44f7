import { Suspense, lazy, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import { Link } from 'wouter';
import { number } from '../format/format';
import { app, board as words } from '../words';
import { BoardMap } from './BoardMap';
import classes from './Board.module.css';
import partsStyles from './Parts.module.css';
import { Change } from './Change';
import { Coming } from './Coming';
import { Closing } from './Closing';
import { DayLog } from './DayLog';
import { Mixing } from './Mixing';
import { MorePad } from './MorePad';
import { NextUp } from './NextUp';
import { Review } from './Review';
import { useRole } from '../own/useRole';
import { asking } from '../planner/ask';
import { useBoard } from './session';
import { SettingsSheet } from './SettingsSheet';
import { thingsToDo } from './thing';
import { TakeBack } from './TakeBack';
import { WhichPour } from './WhichPour';
import { useAlertSettings, useAlerts, useAwake } from './useAlerts';

// What is coming has words of its own, a third of all: they are fetched when something is.
const Ahead = lazy(() => import('./Ahead').then((m) => ({ default: m.Ahead })));

// Before the first water only.
const Staging = lazy(() => import('./Staging').then((m) => ({ default: m.Staging })));

type View = keyof typeof words.views;

/** One pour, today: what is next, where, until when; and what is told of it. Nothing moves under the thumb. */
export function Board({ clock = null }: { clock?: ReactNode }) {
  const session = useBoard();
  const { report, now, role, format, document, waiting, online, here, plannedAt } = session;
  const { board, day } = report;
  const looks = useRole() === 'look';
  const plannedHere = useSyncExternalStore(asking.subscribe, asking.planned);
  const [settings, setSettings] = useAlertSettings();
  const [view, setView] = useState<View>('now');
  const [sheet, setSheet] = useState(false);
  const [zone, setZone] = useState<number | null>(null);
  // By the minute is often enough for what is due, and leaves the page in peace between.
  const minute = Math.floor(now / 1000);
  const things = useMemo(() => (board ? thingsToDo(board, role, minute * 1000) : []), [board, role, minute]);
  const said = useAlerts(things, settings, format);
  const awake = useAwake();
  const first = things[0];
  const shownZone = zone ?? (first?.kind === 'pass' ? first.task.zone : null);
  return (
    <div
      className={classes.board}
      data-view={view}
      data-night={settings.night}
      data-state={first?.state ?? 'calm'}
    >
      <header className={classes.head}>
        <Link to={session.back} className={classes.back} aria-label={words.back}>
          ‹
        </Link>
        <h1>{document.name}</h1>
        <WhichPour />
        <span className={classes.time} data-testid="board-time">
          {format.time(new Date(now).toISOString())}
        </span>
        <button
          type="button"
          className={classes.tool}
          aria-label={words.settings}
          onClick={() => {
            setSheet(true);
          }}
        >
          ⋯
        </button>
      </header>
      <p className={classes.line} role="status">
        {clock}
        {looks && session.rehearsal === null ? `${app.looksShort} ` : ''}
        {plannedAt !== null
          ? `${words.plannedAt(format.time(plannedAt))} `
          : !online && session.rehearsal === null
            ? `${plannedHere ? words.plansHere : words.offline} `
            : ''}
        {waiting.size > 0 ? words.waiting(number(waiting.size)) : ''}
        {online && waiting.size === 0 && session.rehearsal === null
          ? here.length > 1
            ? words.here(number(here.length))
            : words.alone
          : ''}
      </p>
      <div className="visually-hidden" role="alert" ref={said} />
      {!board || !day ? (
        <p className={classes.noDay}>{words.noDay}</p>
      ) : (
        <>
          <NextUp things={things} />
          <nav className={classes.tabs} aria-label={words.viewsLabel}>
            {(Object.keys(words.views) as View[]).map((v) => (
              <button
                key={v}
                type="button"
                aria-pressed={view === v}
                onClick={() => {
                  setView(v);
                }}
              >
                {words.views[v]}
              </button>
            ))}
          </nav>
          <section className={classes.part} data-view="now" data-shown={view === 'now'}>
            {!board.begun && session.job !== null && (
              <Suspense fallback={null}>
                <Staging />
              </Suspense>
            )}
            <Review />
            <Change />
            {board.ahead.length > 0 && (
              <Suspense fallback={null}>
                <Ahead />
              </Suspense>
            )}
            <Coming things={things} />
            {board.begun &&
              board.closed === null &&
              board.todo.length === 0 &&
              board.mixing.next === null && <Closing />}
            {board.closed && (
              <p className={partsStyles.closed} hidden={session.rehearsal !== null}>
                {words.closed(format.time(board.now ?? board.plan.doneBy))}
              </p>
            )}
          </section>
          <section className={classes.part} data-view="mix" data-shown={view === 'mix'}>
            <Mixing />
          </section>
          <section className={classes.part} data-view="zones" data-shown={view === 'zones'}>
            <BoardMap zone={shownZone} onZone={setZone} />
          </section>
          <section className={classes.part} data-view="day" data-shown={view === 'day'}>
            <MorePad />
            <DayLog />
          </section>
          <TakeBack />
        </>
      )}
      {sheet && (
        <SettingsSheet
          settings={settings}
          onSettings={setSettings}
          awake={awake}
          onClose={() => {
            setSheet(false);
          }}
        />
      )}
    </div>
  );
}
