import { http, type JobDocument, type JobEvent, type PlanPart, type PlanReport } from '../api/client';

/** What the board draws of a report. */
const PARTS: PlanPart[] = ['board', 'day', 'load', 'shape'];

/** The plan of a day as it goes. */
export async function planOf(
  document: JobDocument,
  log: JobEvent[],
  asOf: string | null,
  pour: string | null,
  signal: AbortSignal,
): Promise<PlanReport> {
  const { data } = await http.POST('/api/plan', {
    body: { document, log, asOf, pour, parts: PARTS },
    signal,
  });
  if (!data) throw new Error('the program does not plan it');
  return data;
}
