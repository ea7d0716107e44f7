import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http, type LookBackReport } from '../api/client';
import { useDiaryOf, useDocument, usePlanned } from './JobContext';

/** The day of the pour that is looked at as it was, beside what was planned. */
export function useLookBack(): { look: LookBackReport | null; asked: boolean } {
  const document = useDocument();
  const { lines: log } = useDiaryOf();
  const { pour } = usePlanned().report;
  const { data } = useQuery({
    queryKey: ['lookback', document, log, pour],
    queryFn: async ({ signal }) => {
      const asOf = new Date().toISOString();
      const answer = await http.POST('/api/lookback', { body: { document, log, asOf, pour }, signal });
      if (!answer.data) throw new Error('the day is not known');
      return answer.data;
    },
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return { look: data?.day ?? null, asked: data !== undefined };
}
