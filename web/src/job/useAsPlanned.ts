import { http } from '../api/client';
import { useDiaryOf, useDocument, usePlanned } from './JobContext';

/** Tells that the pour looked at went as planned: its day begins then, and what follows goes by the plan. */
export function useAsPlanned(): () => Promise<void> {
  const document = useDocument();
  const { report } = usePlanned();
  const diary = useDiaryOf();
  return async () => {
    const answer = await http
      .POST('/api/plan', { body: { document, log: [], asOf: null, pour: report.pour, parts: ['board'] } })
      .catch(() => null); // nobody plans now: the question stays
    const plan = answer?.data?.board?.plan;
    if (plan) diary.tell({ kind: 'dayBegun', plan, pour: report.pour ?? '' }, { at: plan.start });
  };
}
