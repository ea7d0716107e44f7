import { useCallback, useLayoutEffect, useRef } from 'react';

/** A callback that stays the same from drawing to drawing and always does what the last one would: what it is handed to need not be drawn anew. */
export function useStable<Args extends unknown[]>(fn: (...args: Args) => void): (...args: Args) => void {
  const latest = useRef(fn);
  useLayoutEffect(() => {
    latest.current = fn;
  });
  return useCallback((...args: Args) => {
    latest.current(...args);
  }, []);
}
