import { useEffect, useState } from 'react';
import type { JobEvent } from '../api/client';
import { draftsOf, linesLeft, takeInHand, type KeptDraft } from './device';

/** What waits on this device for a job. */
export interface Left {
  drafts: KeptDraft[];
  lines: JobEvent[];
}

/**
 * What was typed here before and has not arrived; null until the device was asked.
 * @param form The version of documents that the program has now; null while that is not known.
 * @param edits The page goes on with a draft itself; else it is sent as from any page.
 */
export function useLeft(job: string, form: number | null, edits: boolean): Left | null {
  const [left, setLeft] = useState<{ job: string; left: Left } | null>(null);
  useEffect(() => {
    if (edits) takeInHand(job);
  }, [job, edits]);
  useEffect(() => {
    if (form === null) return;
    let gone = false;
    void Promise.all([draftsOf(job, form), linesLeft(job)]).then(([drafts, lines]) => {
      if (!gone) setLeft({ job, left: { drafts, lines: lines.map((l) => l.event) } });
    });
    return () => {
      gone = true;
    };
  }, [job, form]);
  return left?.job === job ? left.left : null;
}
