import { useDocument, useEditing, usePlanned } from './JobContext';
import type { Pour } from '../api/client';
import type { Pointer } from './pointer';
import { changePour, type PourChange } from './pours';

export interface ShownPour {
  /** Null while none is known. */
  pour: Pour | null;
  all: Pour[];
  /** There is more than one: only then is anything of pours seen. */
  several: boolean;
  /** As said, or as proposed. */
  date: string;
  start: string;
  /** Where its day and hour are said. */
  at: { date: Pointer; start: Pointer };
  change: (change: PourChange) => void;
}

/** The pour that load, day and cure are shown of. */
export function usePour(): ShownPour {
  const { report } = usePlanned();
  const document = useDocument();
  const { edit } = useEditing();
  const all = report.pours;
  const pour = all.find((p) => p.id === report.pour) ?? null;
  // By its name: what was said a moment ago the plan does not know yet.
  const said = document.pours.findIndex((p) => p.id === pour?.id);
  const own = document.pours[said];
  const proposed = pour !== null && !own && pour.number > 1;
  const base = own ? (`/pours/${said}` as const) : '/day';
  return {
    pour,
    all,
    several: all.length > 1,
    date: own?.date ?? (proposed ? (pour.date ?? document.day.date) : document.day.date),
    start:
      (own?.start || null) ?? (proposed || own ? (pour?.start ?? document.day.start) : document.day.start),
    at: { date: `${base}/date`, start: `${base}/start` },
    change: (change) => {
      if (pour) edit(null, (job) => changePour(job, pour, change));
      else edit(null, (job) => ({ ...job, day: { ...job.day, ...dayOf(change) } }));
    },
  };
}

const dayOf = ({ date, start }: PourChange) => ({
  ...(date === undefined ? {} : { date }),
  ...(start === undefined ? {} : { start }),
});
