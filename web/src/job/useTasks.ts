import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http, type TasksReport } from '../api/client';
import { useDiaryOf, useDocument, usePlanned } from './JobContext';

const MINUTE_MS = 60_000;

/** The order of work around the pour that is looked at; null while it is asked for. */
export function useTasks(): TasksReport | null {
  const document = useDocument();
  const { lines: log } = useDiaryOf();
  const { pour } = usePlanned().report;
  const { data } = useQuery({
    queryKey: ['tasks', document, log, pour],
    queryFn: async ({ signal }) => {
      const asOf = new Date().toISOString();
      const answer = await http.POST('/api/tasks', { body: { document, log, asOf, pour }, signal });
      if (!answer.data) throw new Error('the order of work is not known');
      return answer.data;
    },
    placeholderData: keepPreviousData,
    staleTime: MINUTE_MS,
    // What was too early becomes ready by itself.
    refetchInterval: MINUTE_MS,
  });
  return data ?? null;
}
