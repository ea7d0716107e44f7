import { findings as words } from '../common/words';
import { findingsAt, useEditing, usePlanned } from './JobContext';
import type { Pointer } from './pointer';

/** What is wrong with a field, in words; undefined where nothing is. */
export function useWrong(at: Pointer): string | undefined {
  const { report } = usePlanned();
  const { format } = useEditing();
  const wrong = findingsAt(report, at).find((f) => f.severity === 'error');
  return wrong && words[wrong.code](wrong.facts, wrong.texts, format);
}
