import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http, type ShopReport } from '../api/client';
import { useDiaryOf, useDocument } from './JobContext';

/** The list to hold in a shop, less what is in the car; null while it is asked for. */
export function useShop(): ShopReport | null {
  const document = useDocument();
  const { lines: log } = useDiaryOf();
  const { data } = useQuery({
    queryKey: ['shop', document, log],
    queryFn: async ({ signal }) => {
      const answer = await http.POST('/api/shop', { body: { document, log }, signal });
      if (!answer.data) throw new Error('what to buy is not known');
      return answer.data;
    },
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return data ?? null;
}
