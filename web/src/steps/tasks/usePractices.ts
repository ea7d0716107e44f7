import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http, type PracticeReport } from '../../api/client';
import { useDocument, usePlanned } from '../../job/JobContext';

/** Where people differ, each choice planned; null while that is asked for. */
export function usePractices(): PracticeReport[] | null {
  const document = useDocument();
  const { pour } = usePlanned().report;
  const { data } = useQuery({
    queryKey: ['practices', document, pour],
    queryFn: async ({ signal }) => {
      const answer = await http.POST('/api/practices', { body: { document, pour }, signal });
      if (!answer.data) throw new Error('what differs is not known');
      return answer.data.practices;
    },
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return data ?? null;
}
