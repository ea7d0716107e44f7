import { useTold } from '../common/useTold';
import { findingsAt, useEditing, usePlanned } from '../job/JobContext';
import type { Pointer } from '../job/pointer';

/** What is wrong with a field, in words; undefined where nothing is. */
export function useWrong(at: Pointer): string | undefined {
  const { report, refused } = usePlanned();
  const { format } = useEditing();
  const words = useTold();
  if (refused?.at === at) return refused.why;
  const wrong = findingsAt(report, at).find((f) => f.severity === 'error');
  // A field is marked at once; its sentence comes when it is there.
  return wrong && (words?.findingText(wrong.says, format) ?? '…');
}
