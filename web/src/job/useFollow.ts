import { useEffect } from 'react';
import { useDiaryOf } from './JobContext';

const ASK_MS = 3_000;

/** Keeps up with what others tell of the job, as long as the page is looked at. */
export function useFollow(): void {
  const { refresh } = useDiaryOf();
  useEffect(() => {
    const ask = () => {
      if (document.visibilityState === 'visible') void refresh().catch(() => undefined);
    };
    const timer = setInterval(ask, ASK_MS);
    document.addEventListener('visibilitychange', ask);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', ask);
    };
  }, [refresh]);
}
