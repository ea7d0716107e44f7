import { createContext, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import type { JobDocument, JobEvent } from '../api/client';
import { dropDraft, dropLines, draftsLeft, linesLeft } from './device';
import { MOST_LINES } from './diary';
import { sendJob, sendLines } from './sending';

/** What waits on this device for one job, and why it does not go: empty while it was not refused. */
export interface Waiting {
  job: string;
  draft: boolean;
  lines: number;
  why: string;
  conflict: boolean;
}

const EVERY_MS = 5_000;
/** Younger than this it is on its way. */
const FRESH_MS = 3_000;

/** Sends what closed tabs left behind, whichever page stands. @returns What still waits. */
async function sendLeft(): Promise<Waiting[]> {
  const waiting = new Map<string, Waiting>();
  const of = (job: string): Waiting => {
    const known = waiting.get(job) ?? { job, draft: false, lines: 0, why: '', conflict: false };
    waiting.set(job, known);
    return known;
  };
  for (const { draft, inHand } of await draftsLeft()) {
    if (inHand) {
      if (Date.now() - draft.at > FRESH_MS) of(draft.job).draft = true;
      continue;
    }
    const sent = await sendJob(draft.job, draft.version, draft.document);
    if (sent.kind === 'ok') await dropDraft(draft.job, draft.tab);
    else {
      const left = of(draft.job);
      left.draft = true;
      left.conflict ||= sent.kind === 'conflict';
      if (sent.kind === 'refused') left.why = sent.why;
    }
  }
  const all = await linesLeft();
  for (const job of new Set(all.map((l) => l.job))) {
    const lines = all.filter((l) => l.job === job);
    for (let from = 0; from < lines.length; from += MOST_LINES) {
      const some = lines.slice(from, from + MOST_LINES);
      const sent = await sendLines(
        job,
        some.map((l) => l.event),
      );
      if (sent.kind === 'ok') {
        await dropLines(some.map((l) => l.id));
        continue;
      }
      const left = of(job);
      left.lines = lines.length - from;
      if (sent.kind === 'refused') left.why = sent.why;
      break;
    }
  }
  return [...waiting.values()];
}

/** What waits of a job, as it would be kept as a file. */
export interface LeftOver {
  /** The newest first. */
  drafts: JobDocument[];
  lines: JobEvent[];
}

/** Of one job, whatever no other tab works on. */
export async function leftOver(job: string): Promise<LeftOver> {
  const drafts = (await draftsLeft()).map((d) => d.draft).filter((d) => d.job === job);
  return {
    drafts: drafts.sort((a, b) => b.at - a.at).map((d) => d.document),
    lines: (await linesLeft(job)).map((l) => l.event),
  };
}

/** Drops what waits of a job, for one that will never be taken. */
export async function letGo(job: string): Promise<void> {
  for (const { draft } of await draftsLeft()) if (draft.job === job) await dropDraft(job, draft.tab);
  await dropLines((await linesLeft(job)).map((l) => l.id));
}

/** One tab sends at a time; what is sent twice is one, where a browser has no locks. */
async function inTurn(work: () => Promise<Waiting[]>): Promise<Waiting[] | undefined> {
  if (!('locks' in navigator)) return work();
  return await navigator.locks.request('setfirm-outbox', { ifAvailable: true }, async (lock) =>
    lock ? await work() : undefined,
  );
}

/**
 * Sends what waits on this device, and tells what still does.
 */
export function useSending(): Outbox {
  const [waiting, setWaiting] = useState<Waiting[]>([]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let gone = false;
    const look = async () => {
      const found = await inTurn(sendLeft);
      if (gone) return;
      if (found) setWaiting((before) => (before.length + found.length === 0 ? before : found));
      timer = setTimeout(() => void look(), EVERY_MS);
    };
    void look();
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, []);
  const forget = useCallback((job: string) => {
    setWaiting((before) => before.filter((w) => w.job !== job));
    return letGo(job);
  }, []);
  return useMemo(() => ({ waiting, letGo: forget }), [waiting, forget]);
}

/** What waits on this device, and how it is let go. */
export interface Outbox {
  waiting: Waiting[];
  letGo: (job: string) => Promise<void>;
}

export const OutboxContext = createContext<Outbox>({ waiting: [], letGo });

/** What waits on this device. */
export const useOutbox = (): Outbox => useContext(OutboxContext);
