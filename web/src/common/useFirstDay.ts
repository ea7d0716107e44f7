import { api, type Units } from '../api/client';

/** Days since Sunday. */
const days = { sunday: 0, monday: 1, saturday: 6 };

/** What a week begins with: as the household says, else as it is where the units are from. */
export function useFirstDay(units: Units): number {
  const { data: liked } = api.useQuery('get', '/api/preferences', {}, { staleTime: Infinity });
  return days[liked?.firstDay ?? (units === 'us' ? 'sunday' : 'monday')];
}
