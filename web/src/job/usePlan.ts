import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { http, type JobDocument, type JobEvent, type PlanPart, type PlanReport } from '../api/client';
import { keepSeen, lastSeen } from '../own/seen';
import { overlay, type Sections } from './sections';
import { refusedBy, tryAgain, type Refused } from './sending';

/** Now, no finer than it matters for what was missed. */
const NOW_MS = 10 * 60_000;

/** What a plan is made of: the job, what was told of it, the time, the pour that is wanted in full, and the parts of its report that are looked at; null wants all. */
interface Asked {
  document: JobDocument;
  log: JobEvent[];
  asOf: string;
  pour: string | null;
  parts: PlanPart[] | null;
}

const asked = (
  document: JobDocument,
  log: JobEvent[],
  pour: string | null,
  parts: PlanPart[] | null,
): Asked => ({
  document,
  log,
  asOf: new Date(Math.floor(Date.now() / NOW_MS) * NOW_MS).toISOString(),
  pour,
  parts,
});

/** The program answered, and will not plan this: asking again changes nothing. */
class Refusal extends Error {
  readonly refused: Refused;

  constructor(refused: Refused) {
    super(refused.why);
    this.refused = refused;
  }
}

async function plan(body: Asked, signal: AbortSignal): Promise<PlanReport> {
  const { data, error, response } = await http.POST('/api/plan', { body, signal });
  if (data) return data;
  const why = (error as { detail?: string } | undefined)?.detail ?? '';
  throw tryAgain(response.status) ? new Error(why) : new Refusal(refusedBy(error));
}

const RETRY_MS = 2_500;
const REFUSED_MS = 10_000;
const STALE_MS = 60_000;
const KEPT_MS = 10_000;
/** Nobody has typed for so long: the other steps are asked for too, so that the next one stands when it is opened. */
const QUIET_MS = 600;

const numbers = new WeakMap<object, number>();
let last = 0;

// A change makes a new object, so an object says which state it is: to read a job through with each key costs more than drawing it.
function numberOf(state: object): number {
  const known = numbers.get(state) ?? (last += 1);
  numbers.set(state, known);
  return known;
}

const keyOf = ({ document, log, asOf, pour, parts }: Asked) => [
  'plan',
  numberOf(document),
  numberOf(log),
  asOf,
  pour,
  parts,
];

/** Asks for the plan of a change at once, while the page is still being drawn with it. */
export function usePlanAhead(
  log: JobEvent[],
  pour: string | null,
  parts: PlanPart[] | null,
): (document: JobDocument) => void {
  const client = useQueryClient();
  return useCallback(
    (document) => {
      const body = asked(document, log, pour, parts);
      void client
        .query({
          queryKey: keyOf(body),
          queryFn: ({ signal }) => plan(body, signal),
          staleTime: STALE_MS,
          gcTime: KEPT_MS,
        })
        .catch(() => undefined); // the page's own asking tells what is wrong
    },
    [client, log, pour, parts],
  );
}

const seenKey = (job: string) => `plan ${job}`;

/** The whole plan, when it has been quiet: by then the next step may be opened; and it is kept on this device, to be shown where nothing can be planned. */
function useWhole(job: string, { document, log, asOf, pour }: Asked): void {
  const client = useQueryClient();
  useEffect(() => {
    const whole: Asked = { document, log, asOf, pour, parts: null };
    const quiet = setTimeout(() => {
      void client
        .query({
          queryKey: keyOf(whole),
          queryFn: ({ signal }) => plan(whole, signal),
          staleTime: STALE_MS,
          gcTime: STALE_MS,
        })
        .then((report) => keepSeen(seenKey(job), report))
        .catch(() => undefined);
    }, QUIET_MS);
    return () => {
      clearTimeout(quiet);
    };
  }, [client, job, document, log, asOf, pour]);
}

// What is the same in two plans is the same object: what draws it has nothing to do.
const shared = (report: PlanReport) => report;

/**
 * Plans the job anew with each change: what the step draws, and no more. While a field is half typed, what stood before stays, so that nothing jumps;
 * where neither the program nor this device can plan, what was last seen of it.
 * @param parts That the step draws; another step is not shown before its own are there.
 */
export function usePlan(
  job: string,
  document: JobDocument,
  log: JobEvent[],
  pour: string | null,
  parts: PlanPart[] | null,
) {
  const client = useQueryClient();
  const body = asked(document, log, pour, parts);
  const query = useQuery({
    queryKey: keyOf(body),
    queryFn: ({ signal }) => plan(body, signal),
    // Of the same job the whole may be there already.
    initialData: () => client.getQueryData<PlanReport>(keyOf({ ...body, parts: null })),
    placeholderData: keepPreviousData,
    select: shared,
    staleTime: STALE_MS,
    gcTime: KEPT_MS,
    retry: (times, e) => !(e instanceof Refusal) && times < 2,
    // Until the program answers again; what it refused may only have come at a bad moment.
    refetchInterval: (q) =>
      q.state.status !== 'error' ? false : q.state.error instanceof Refusal ? REFUSED_MS : RETRY_MS,
  });
  useWhole(job, body);
  const [shown, setShown] = useState<{
    report: PlanReport;
    sections: Sections;
    parts: PlanPart[] | null;
  } | null>(null);
  if (query.data && !query.isPlaceholderData && (query.data !== shown?.report || parts !== shown.parts))
    setShown({
      report: query.data,
      sections: overlay(shown?.sections ?? null, query.data, parts),
      parts,
    });
  const failed = query.isError && !(query.error instanceof Refusal);
  const { data: seen } = useQuery({
    queryKey: ['seen', seenKey(job)],
    queryFn: () => lastSeen<PlanReport>(seenKey(job)),
    enabled: failed && shown === null,
    staleTime: Infinity,
  });
  const refused = query.error instanceof Refusal ? query.error.refused : null;
  // Where the step that was opened cannot be planned, what is known of it is shown.
  const stands = shown !== null && (shown.parts === parts || query.isError);
  // What is typed meanwhile is asked for too, and does not take it away.
  const old = useMemo(
    () => (seen ? { report: seen.answer, sections: overlay(null, seen.answer, null), at: seen.at } : null),
    [seen],
  );
  const last = shown === null && refused === null ? old : null;
  return {
    report: shown?.report ?? last?.report,
    sections: stands ? shown.sections : last?.sections,
    refused,
    failed,
    /** When what is shown was planned, ms; null for now. */
    seenAt: last?.at ?? null,
  };
}
