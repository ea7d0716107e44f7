import { Suspense, lazy } from 'react';
import type { Enum } from '../api/client';
import { usePlanned } from '../job/JobContext';

// Most jobs go by nothing that was learnt.
const GoesByLine = lazy(() => import('./GoesByLine').then((m) => ({ default: m.GoesByLine })));

/** What was learnt that the figures beside it go by; nothing is drawn where nothing is. */
export function GoesBy({ of }: { of: Enum<'LearntOf'>[] }) {
  const { report } = usePlanned();
  const used = (report.learnt ?? []).filter((l) => of.includes(l.key.of));
  if (used.length === 0) return null;
  return (
    <Suspense>
      <GoesByLine used={used} />
    </Suspense>
  );
}
