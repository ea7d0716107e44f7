import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { api, http, type LearntKey, type LearntReport } from '../api/client';

export interface LearntHandle {
  report: LearntReport | null;
  /** The last word did not reach the program. */
  failed: boolean;
  say: (key: LearntKey, word: 'taken' | 'refused' | 'none') => Promise<void>;
  leaveOut: (job: string, pour: string, leftOut: boolean) => Promise<void>;
}

/** What the yard's pours teach, and what was said of it. A word changes every plan: each is asked for anew. */
export function useLearnt(): LearntHandle {
  const { data } = api.useQuery('get', '/api/learnt', {}, { staleTime: 0 });
  const client = useQueryClient();
  const [failed, setFailed] = useState(false);
  const done = useCallback(
    async (answer: LearntReport | undefined) => {
      setFailed(answer === undefined);
      if (answer) await client.invalidateQueries();
    },
    [client],
  );
  const say = useCallback(
    async (key: LearntKey, word: 'taken' | 'refused' | 'none') => {
      const answer = await http.POST('/api/learnt/word', { body: { key, word } }).catch(() => null);
      await done(answer?.data);
    },
    [done],
  );
  const leaveOut = useCallback(
    async (job: string, pour: string, leftOut: boolean) => {
      const answer = await http
        .POST('/api/learnt/record', { body: { job, pour, leftOut } })
        .catch(() => null);
      await done(answer?.data);
    },
    [done],
  );
  return { report: data ?? null, failed, say, leaveOut };
}
