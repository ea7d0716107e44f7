import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'wouter';
import { v4 as newId } from 'uuid';
import { api, http, type JobDocument, type JobEvent, type RehearsalReport } from '../api/client';
import { formatsFor, number } from '../format/format';
import type { Telling } from '../job/useDiary';
import { app, board as words, speak } from '../words';
import { Board } from './Board';
import classes from './Board.module.css';
import rehearseStyles from './Rehearse.module.css';
import { planOf } from './planOf';
import { BoardContext, type BoardSession } from './session';
import { thingsToDo, type BoardReport } from './thing';

const MINUTE_MS = 60_000;
const TICK_MS = 250;
/** So long before the first water the rehearsal begins. */
const BEFORE_MS = 5 * MINUTE_MS;
const SPEEDS = [1, 10, 60, 120];
const DAYS = 1_000;
const DEVICE = 'rehearsal';

async function seenOf(
  document: JobDocument,
  log: JobEvent[],
  asOf: string,
  pour: string | null,
  seed: number,
  signal: AbortSignal,
): Promise<RehearsalReport> {
  const { data } = await http.POST('/api/rehearse', { body: { document, log, asOf, pour, seed }, signal });
  if (!data) throw new Error('the program does not rehearse it');
  return data;
}

/** A clock that can be run fast, stopped and moved on. */
function useFastClock(start: number) {
  const [now, setNow] = useState(start);
  const [speed, setSpeed] = useState(60);
  const [runs, setRuns] = useState(false);
  useEffect(() => {
    if (!runs) return;
    const timer = setInterval(() => {
      setNow((t) => t + TICK_MS * speed);
    }, TICK_MS);
    return () => {
      clearInterval(timer);
    };
  }, [runs, speed]);
  return { now, setNow, speed, setSpeed, runs, setRuns };
}

interface RehearsalProps {
  document: JobDocument;
  start: string;
  seed: number;
  about: string;
  back: string;
}

function Rehearsal({ document, start, seed, about, back }: RehearsalProps) {
  const [search, setSearch] = useSearchParams();
  const pour = search.get('pour');
  const [lines, setLines] = useState<JobEvent[]>([]);
  const clock = useFastClock(Date.parse(start) - BEFORE_MS);
  const { now } = clock;
  const asOf = new Date(Math.floor(now / MINUTE_MS) * MINUTE_MS).toISOString();
  speak(document.units);
  const told = lines.filter((l) => Date.parse(l.at) <= now);
  const key = [document, told.map((l) => l.id).join(), asOf, pour];
  const plan = useQuery({
    queryKey: ['rehearsed plan', ...key],
    queryFn: ({ signal }) => planOf(document, told, asOf, pour, signal),
    placeholderData: keepPreviousData,
    gcTime: MINUTE_MS,
  });
  const seen = useQuery({
    queryKey: ['rehearsed slab', seed, ...key],
    queryFn: ({ signal }) => seenOf(document, told, asOf, pour, seed, signal),
    placeholderData: keepPreviousData,
    gcTime: MINUTE_MS,
  });
  const format = useMemo(
    () => formatsFor(document.units, document.timeZone, document.buy.currency),
    [document],
  );
  const report = plan.data;
  const named = report?.pour ?? '';
  const tell = useCallback(
    (what: Telling, note = '') => {
      const id = newId();
      const at = new Date(now).toISOString();
      setLines((before) => [...before, { ...what, id, at, device: DEVICE, note }]);
      return id;
    },
    [now],
  );
  if (!report) return <p className={classes.noDay}>{app.loading}</p>;
  const session: BoardSession = {
    job: null,
    document,
    report,
    lines: told,
    waiting: new Set(),
    now,
    tell,
    pour: named,
    format,
    online: true,
    plannedAt: null,
    here: [],
    role: 'all',
    device: DEVICE,
    chooseRole: () => undefined,
    clockOffS: 0,
    rehearsal: seen.data ?? { zones: [], faults: [], hidden: null },
    about,
    back,
  };
  // Somebody else mixes and places, as it goes.
  const mixTheRest = ({ plan: planned, mixing }: BoardReport) => {
    const from = mixing.batches.length;
    const later = Math.max(0, now - Date.parse(planned.batches[from]?.begun ?? asOf));
    const moment = (at: string) => new Date(Date.parse(at) + later).toISOString();
    const rest = planned.batches.slice(from).flatMap(({ begun, placed }, i): JobEvent[] => {
      const of = { batch: from + i + 1, pour: named, device: '', note: '' };
      return [
        { kind: 'batchMixing', id: newId(), at: moment(begun), ...of },
        { kind: 'batchPlaced', id: newId(), at: moment(placed), ...of },
      ];
    });
    setLines((before) => [...before, ...rest]);
  };
  // What is told of batches to come goes in by itself.
  const mixes =
    report.board?.begun === true && lines.length === told.length && report.board.mixing.next !== null;
  const jump = () => {
    const next = report.board && thingsToDo(report.board, 'all', now).find((t) => t.at > now);
    if (next) clock.setNow(next.at);
  };
  return (
    <BoardContext value={session}>
      <title>{app.windowTitle(`${document.name}: ${words.rehearse.title}`)}</title>
      <Board
        clock={
          <span>
            {words.rehearse.title}, {words.rehearse.seed(number(seed))}
          </span>
        }
      />
      <div className={rehearseStyles.clock} role="group" aria-label={words.rehearse.title}>
        <button
          type="button"
          onClick={() => {
            clock.setRuns(!clock.runs);
          }}
        >
          {clock.runs ? words.rehearse.pause : words.rehearse.go}
        </button>
        <button type="button" onClick={jump}>
          {words.rehearse.jump}
        </button>
        {mixes && report.board && (
          <button
            type="button"
            onClick={() => {
              if (report.board) mixTheRest(report.board);
            }}
          >
            {words.rehearse.mixed}
          </button>
        )}
        {SPEEDS.map((s) => (
          <button
            key={s}
            type="button"
            aria-pressed={clock.speed === s}
            onClick={() => {
              clock.setSpeed(s);
            }}
          >
            {words.rehearse.speed(number(s))}
          </button>
        ))}
        <button
          type="button"
          onClick={() => {
            setSearch({ ...(pour === null ? {} : { pour }), seed: String((seed % DAYS) + 1) });
          }}
        >
          {words.rehearse.another}
        </button>
      </div>
    </BoardContext>
  );
}

interface RehearsedProps {
  /** Undefined while it is fetched. */
  document: JobDocument | undefined;
  gone: boolean;
  /** What it is called by, and changes with. */
  of: unknown[];
  about?: string;
  back: string;
}

/** The board on a made-up day. A seed in the address is the same day for anyone. */
export function Rehearsed({ document, gone, of, about = '', back }: RehearsedProps) {
  const [search] = useSearchParams();
  const seed = Math.max(1, Math.floor(Number(search.get('seed'))) || 1);
  const pour = search.get('pour');
  const first = useQuery({
    queryKey: ['rehearsal', pour, ...of],
    queryFn: ({ signal }) => {
      if (!document) throw new Error('not yet');
      return planOf(document, [], null, pour, signal);
    },
    enabled: document !== undefined,
  });
  const start = first.data?.board?.plan.start;
  if (!document || start === undefined) {
    return (
      <main className={classes.noDay}>
        <p>{first.data ? words.noDay : gone ? app.notFound : app.loading}</p>
        <Link to={back}>{words.back}</Link>
      </main>
    );
  }
  return (
    <main className={rehearseStyles.rehearsed}>
      <Rehearsal key={seed} document={document} start={start} seed={seed} about={about} back={back} />
    </main>
  );
}

/** The pour of a job, rehearsed. */
export default function RehearsePage() {
  const { id = '' } = useParams();
  const job = api.useQuery('get', '/api/jobs/{id}', { params: { path: { id } } });
  return (
    <Rehearsed
      document={job.data?.document}
      gone={job.isError}
      of={[id, job.data?.version]}
      back={`/jobs/${id}/day`}
    />
  );
}
