import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http, type CalendarReport } from '../api/client';
import { useDiaryOf, useDocument } from './JobContext';

/** Every pour with its passes and its weeks after; null while it is asked for, or is not wanted. */
export function useCalendar(wanted: boolean): CalendarReport | null {
  const document = useDocument();
  const { lines: log } = useDiaryOf();
  const { data } = useQuery({
    queryKey: ['calendar', document, log],
    queryFn: async ({ signal }) => {
      const asOf = new Date().toISOString();
      const answer = await http.POST('/api/calendar', { body: { document, log, asOf }, signal });
      if (!answer.data) throw new Error();
      return answer.data;
    },
    enabled: wanted,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  return data ?? null;
}
