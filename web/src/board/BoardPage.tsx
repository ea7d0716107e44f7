import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useLocalStorage } from '@mantine/hooks';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'wouter';
import { api, type Job, type JobEvent, type PlanReport, type Pour } from '../api/client';
import { pourState } from '../common/pourText';
import { formatsFor } from '../format/format';
import { sendPictures } from '../job/pictures';
import { useDevice } from '../job/useDevice';
import { useDiary, type Telling } from '../job/useDiary';
import { useLeft } from '../job/useLeft';
import { keepSeen, lastSeen } from '../own/seen';
import { app, speak } from '../words';
import { Board } from './Board';
import classes from './Board.module.css';
import { movedOn } from './movedOn';
import { planOf } from './planOf';
import { BoardContext, type BoardSession } from './session';
import type { Role } from './thing';
import { timeBy, useLive, type Clock } from './useLive';

const TICK_MS = 1_000;
const MINUTE_MS = 60_000;
/** It is planned anew each minute: what is older could not be. */
const OLD_MS = 2 * MINUTE_MS;
const RETRY_MS = 2_000;

const samePours = (a: Pour[], b: Pour[]): boolean =>
  a.length === b.length &&
  a.every(
    (p, i) =>
      p.id === b[i]?.id &&
      p.startsAt === b[i].startsAt &&
      p.wentBy === b[i].wentBy &&
      p.poured === b[i].poured,
  );

/** A plan of the day, the lines that it was made with, and when. */
interface PlannedBoard {
  report: PlanReport;
  told: ReadonlySet<string>;
  asOf: string;
}

/** A board's last plan is kept on this device; where none can be made, it stands in. */
function useKeptBoard(of: string, plan: PlannedBoard | undefined, failed: boolean): PlannedBoard | undefined {
  const key = `board ${of}`;
  useEffect(() => {
    if (plan) void keepSeen(key, plan);
  }, [key, plan]);
  const kept = useQuery({
    queryKey: ['seen', key],
    queryFn: () => lastSeen<PlannedBoard>(key),
    enabled: failed && plan === undefined,
    staleTime: Infinity,
  });
  return kept.data?.answer;
}

/** The pour that is under way, else the next to come. */
const todays = (pours: Pour[], now: number): Pour | undefined =>
  pours.find((p) => pourState(p, now) === 'now') ?? pours.find((p) => pourState(p, now) === 'coming');

function useTick(clock: Clock): number {
  const [tick, setTick] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => {
      setTick(Date.now());
    }, TICK_MS);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return timeBy(clock, tick);
}

function Live({ job, left, onChanged }: { job: Job; left: JobEvent[]; onChanged: () => void }) {
  const [search] = useSearchParams();
  const said = search.get('pour');
  const device = useDevice();
  const [role, chooseRole] = useLocalStorage<Role>({
    key: 'setfirm-role',
    defaultValue: 'all',
    getInitialValueInEffect: false,
  });
  const diary = useDiary(job.id, left);
  const { refresh } = diary;
  const { online, here, clock } = useLive(job.id, device, role, {
    onNews: () => void refresh().catch(() => undefined),
    onChanged,
  });
  useEffect(() => {
    if (online) void sendPictures();
  }, [online]);
  const now = useTick(clock);
  // Where nobody says which, the one that is under way, or comes next.
  const [pours, setPours] = useState<Pour[]>([]);
  const asked = said ?? todays(pours, now)?.id ?? null;
  const asOf = new Date(Math.floor(now / MINUTE_MS) * MINUTE_MS).toISOString();
  const plan = useQuery({
    queryKey: ['board', job.version, job.id, diary.lines.map((l) => l.id).join(), asOf, asked],
    queryFn: async ({ signal }): Promise<PlannedBoard> => {
      const report = await planOf(job.document, diary.lines, asOf, asked, signal);
      return { report, told: new Set(diary.lines.map((l) => l.id)), asOf };
    },
    placeholderData: keepPreviousData,
    retryDelay: RETRY_MS,
    retry: true,
    gcTime: MINUTE_MS,
  });
  const kept = useKeptBoard(`${job.id} ${said ?? ''}`, plan.data, plan.failureCount > 0);
  const planned = plan.data ?? kept;
  const report = useMemo(
    () => planned && movedOn(planned.report, planned.told, diary.lines),
    [planned, diary.lines],
  );
  if (report && report.pours !== pours && !samePours(report.pours, pours)) setPours(report.pours);
  const format = useMemo(
    () => formatsFor(job.document.units, job.document.timeZone, job.document.buy.currency),
    [job.document],
  );
  const { tell: telling, lines, waiting } = diary;
  const tell = useCallback(
    (what: Telling, note = '') => telling(what, { note, device, at: new Date(timeBy(clock)).toISOString() }),
    [telling, device, clock],
  );
  speak(job.document.units);
  if (!report) return <p className={classes.noDay}>{app.loading}</p>;
  const session: BoardSession = {
    job: job.id,
    document: job.document,
    report,
    lines,
    waiting,
    now,
    tell,
    pour: report.pour ?? '',
    format,
    online,
    plannedAt: planned && now - Date.parse(planned.asOf) > OLD_MS ? planned.asOf : null,
    here,
    role,
    device,
    chooseRole,
    clockOffS: clock.times === 1 ? (clock.at - clock.now) / 1000 : 0,
    rehearsal: null,
    about: '',
    back: `/jobs/${job.id}/day`,
  };
  return (
    <BoardContext value={session}>
      <title>{app.windowTitle(job.document.name)}</title>
      <Board />
    </BoardContext>
  );
}

/** The board of a job's pour, live. */
export default function BoardPage() {
  const { id = '' } = useParams();
  const job = api.useQuery(
    'get',
    '/api/jobs/{id}',
    { params: { path: { id } } },
    { retry: true, retryDelay: RETRY_MS },
  );
  const left = useLeft(id, job.data?.document.version ?? null, false);
  const { refetch } = job;
  const changed = useCallback(() => void refetch(), [refetch]);
  // What was typed here and has not arrived is what is poured, unless another has changed the job since.
  const typed = left?.drafts[0];
  const now = useMemo(
    () =>
      job.data &&
      (typed?.version === job.data.version ? { ...job.data, document: typed.document } : job.data),
    [job.data, typed],
  );
  if (!now || !left) {
    return (
      <main className={classes.noDay}>
        <p>{job.isError ? app.notFound : app.loading}</p>
        <Link to="/">{app.backToYard}</Link>
      </main>
    );
  }
  return (
    <main>
      <Live key={id} job={now} left={left.lines} onChanged={changed} />
    </main>
  );
}
