import type { PlanReport } from '../api/client';
import { change } from '../format/format';
import { learnt as words } from '../words';

/** What was learnt that the figures beside it go by. */
export function GoesByLine({ used }: { used: NonNullable<PlanReport['learnt']> }) {
  return (
    <p className="goes-by" data-testid="goes-by">
      {words.goesBy(used.map((l) => `${words.of[l.key.of].toLowerCase()} ${change(l.factor)}`).join(', '))}
    </p>
  );
}
