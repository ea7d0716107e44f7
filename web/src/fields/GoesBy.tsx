import type { Enum } from '../api/client';
import { change } from '../format/format';
import { usePlanned } from '../job/JobContext';
import { learnt as words } from '../words';

/** What was learnt that the figures beside it go by; nothing is drawn where nothing is. */
export function GoesBy({ of }: { of: Enum<'LearntOf'>[] }) {
  const { report } = usePlanned();
  const used = (report.learnt ?? []).filter((l) => of.includes(l.key.of));
  if (used.length === 0) return null;
  return (
    <p className="goes-by" data-testid="goes-by">
      {words.goesBy(used.map((l) => `${words.of[l.key.of].toLowerCase()} ${change(l.factor)}`).join(', '))}
    </p>
  );
}
