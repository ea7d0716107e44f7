import { useEffect, useState } from 'react';
import type { JobEvent } from '../api/client';
import { draftLeft, linesLeft, type KeptDraft } from './device';

/** What waits on this device for a job. */
export interface Left {
  draft: KeptDraft | null;
  lines: JobEvent[];
}

/**
 * What was typed here before and has not arrived; null until the device was asked.
 * @param form The version of documents that the program has now; null while that is not known.
 */
export function useLeft(job: string, form: number | null): Left | null {
  const [left, setLeft] = useState<{ job: string; left: Left } | null>(null);
  useEffect(() => {
    if (form === null) return;
    let gone = false;
    void Promise.all([draftLeft(job, form), linesLeft(job)]).then(([draft, lines]) => {
      if (!gone) setLeft({ job, left: { draft, lines: lines.map((l) => l.event) } });
    });
    return () => {
      gone = true;
    };
  }, [job, form]);
  return left?.job === job ? left.left : null;
}
