import { Suspense, lazy } from 'react';
import { useDocument } from '../job/JobContext';
import type { MixChoiceProps } from './MixChoice';

// Few jobs have two mixes, and their names bring many words along.
const MixChoice = lazy(() => import('./MixChoice').then((m) => ({ default: m.MixChoice })));

/** Which mix of the job something is poured from; nothing is drawn where there is one only. */
export function MixOf(props: MixChoiceProps) {
  const { mixes } = useDocument();
  if (mixes.length < 2) return null;
  return (
    <Suspense>
      <MixChoice {...props} />
    </Suspense>
  );
}
