import { findingText } from '../words';
import { findingsAt, useEditing, usePlanned } from '../job/JobContext';
import type { Pointer } from '../job/pointer';

/** What is wrong with a field, in words; undefined where nothing is. */
export function useWrong(at: Pointer): string | undefined {
  const { report, refused } = usePlanned();
  const { format } = useEditing();
  if (refused?.at === at) return refused.why;
  const wrong = findingsAt(report, at).find((f) => f.severity === 'error');
  return wrong && findingText(wrong.says, format);
}
