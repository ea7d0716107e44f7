import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http, type FaultReport } from '../../api/client';
import { useDiaryOf, useDocument, usePlanned } from '../../job/JobContext';

/** Every fault that may be seen, with what the record says of its causes; null while it is asked for. */
export function useFaults(): FaultReport[] | null {
  const document = useDocument();
  const { lines: log } = useDiaryOf();
  const { pour } = usePlanned().report;
  const { data } = useQuery({
    queryKey: ['faults', document, log, pour],
    queryFn: async ({ signal }) => {
      const asOf = new Date().toISOString();
      const answer = await http.POST('/api/faults', { body: { document, log, asOf, pour }, signal });
      if (!answer.data) throw new Error('faults are not known');
      return answer.data.faults;
    },
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return data ?? null;
}
