import { http, type JobDocument, type JobEvent, type PlanReport } from '../api/client';

/** The plan of a day as it goes: of the report what the board shows. */
export async function planOf(
  document: JobDocument,
  log: JobEvent[],
  asOf: string | null,
  pour: string | null,
  signal: AbortSignal,
): Promise<PlanReport> {
  const { data } = await http.POST('/api/plan', {
    body: { document, log, asOf, pour, parts: ['board'] },
    signal,
  });
  if (!data) throw new Error('the program does not plan it');
  return data;
}
