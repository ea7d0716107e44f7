import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { http, type JobDocument, type JobEvent, type PlanReport } from '../api/client';
import { refusedBy, tryAgain, type Refused } from './sending';

/** Now, no finer than it matters for what was missed. */
const NOW_MS = 10 * 60_000;

/** What a plan is made of: the job, what was told of it, the time, and the pour that is wanted in full. */
interface Asked {
  document: JobDocument;
  log: JobEvent[];
  asOf: string;
  pour: string | null;
}

const asked = (document: JobDocument, log: JobEvent[], pour: string | null): Asked => ({
  document,
  log,
  asOf: new Date(Math.floor(Date.now() / NOW_MS) * NOW_MS).toISOString(),
  pour,
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

/** A step's part of the report, and whether it is from before the last edits because those cannot be planned yet. */
export interface Sections {
  shape: PlanReport['shape'];
  build: PlanReport['build'];
  mix: PlanReport['mix'];
  load: PlanReport['load'];
  buy: PlanReport['buy'];
  day: PlanReport['day'];
  cure: PlanReport['cure'];
}

const sectionsOf = ({ shape, build, mix, load, buy, day, cure }: PlanReport): Sections => ({
  shape,
  build,
  mix,
  load,
  buy,
  day,
  cure,
});

const overlay = (before: Sections, now: Sections): Sections => ({
  shape: now.shape ?? before.shape,
  build: now.build ?? before.build,
  mix: now.mix ?? before.mix,
  load: now.load ?? before.load,
  buy: now.buy ?? before.buy,
  day: now.day ?? before.day,
  cure: now.cure ?? before.cure,
});

const RETRY_MS = 2_500;
const REFUSED_MS = 10_000;
const STALE_MS = 60_000;

/** Asks for the plan of a change at once, while the page is still being drawn with it. */
export function usePlanAhead(log: JobEvent[], pour: string | null): (document: JobDocument) => void {
  const client = useQueryClient();
  return useCallback(
    (document) => {
      const body = asked(document, log, pour);
      void client
        .query({
          queryKey: ['plan', body],
          queryFn: ({ signal }) => plan(body, signal),
          staleTime: STALE_MS,
          gcTime: 10_000,
        })
        .catch(() => undefined); // the page's own asking tells what is wrong
    },
    [client, log, pour],
  );
}

// What is the same in two plans is the same object: what draws it has nothing to do.
const shared = (report: PlanReport) => report;

/** Plans the job anew with each change. While a field is half typed, what stood before stays, so that nothing jumps. */
export function usePlan(document: JobDocument, log: JobEvent[], pour: string | null) {
  const body = asked(document, log, pour);
  const query = useQuery({
    queryKey: ['plan', body],
    queryFn: ({ signal }) => plan(body, signal),
    placeholderData: keepPreviousData,
    select: shared,
    staleTime: STALE_MS,
    gcTime: 10_000,
    retry: (times, e) => !(e instanceof Refusal) && times < 2,
    // Until the program answers again; what it refused may only have come at a bad moment.
    refetchInterval: (q) =>
      q.state.status !== 'error' ? false : q.state.error instanceof Refusal ? REFUSED_MS : RETRY_MS,
  });
  const [shown, setShown] = useState<{ report: PlanReport; sections: Sections } | null>(null);
  if (query.data && query.data !== shown?.report) {
    const now = sectionsOf(query.data);
    setShown({ report: query.data, sections: shown === null ? now : overlay(shown.sections, now) });
  }
  const refused = query.error instanceof Refusal ? query.error.refused : null;
  return {
    report: shown?.report,
    sections: shown?.sections,
    refused,
    failed: query.isError && refused === null,
  };
}
