import { api } from '../api/client';
import { speak } from '../words';

/** Where no job is open the household's units say which English is spoken. */
export function useYardEnglish(): void {
  const { data: liked } = api.useQuery('get', '/api/preferences', {}, { staleTime: 10_000 });
  speak(liked?.units ?? 'metric');
}
