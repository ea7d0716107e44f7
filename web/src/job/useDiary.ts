import { v4 as newId } from 'uuid';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { http, type JobEvent } from '../api/client';
import { dropLines, keepLine } from './device';
import { DiarySender, type DiaryState } from './diary';
import { sessionNow } from '../own/session';
import { sendLines } from './sending';

type Without<E, K extends PropertyKey> = E extends unknown ? Omit<E, K> : never;
/** What is told; when, and by which id, is put to it. */
export type Telling = Without<JobEvent, 'id' | 'at' | 'device' | 'note'>;

/** What else is said of it. */
export interface ToldBy {
  note?: string;
  device?: string;
  /** When it was done; just now where nothing is said. */
  at?: string;
}

export interface DiaryHandle extends DiaryState {
  /** Tells of something done. @returns The id of the line. */
  tell: (what: Telling, by?: ToldBy) => string;
  /** Asks for what others told since. */
  refresh: () => Promise<void>;
}

/**
 * The diary of a job, as the program has it and as it was told on this device.
 * @param left Lines that wait on this device.
 */
export function useDiary(job: string, left: JobEvent[]): DiaryHandle {
  const [sender] = useState(
    () =>
      new DiarySender([], left, {
        send: (lines) => sendLines(job, lines),
        keep: (line) => keepLine(job, line),
        drop: (ids) => void dropLines(ids),
      }),
  );
  // Up to here the program's lines are known.
  const known = useRef(0);
  const refresh = useCallback(async () => {
    const { data } = await http.GET('/api/jobs/{id}/log', {
      params: { path: { id: job }, query: { after: String(known.current) } },
    });
    if (!data || data.length === 0) return;
    known.current = Math.max(known.current, ...data.map((l) => l.seq));
    sender.learn(data.map((l) => l.event));
  }, [job, sender]);
  useEffect(() => {
    void refresh().catch(() => undefined);
  }, [refresh]);
  const state = useSyncExternalStore(sender.subscribe, sender.current);
  const tell = useCallback(
    (what: Telling, by: ToldBy = {}) => {
      const id = newId();
      if (sessionNow().role === 'look') return id; // it was let in to look
      const { note = '', device = '', at = new Date().toISOString() } = by;
      void sender.tell({ ...what, id, at, device, note });
      return id;
    },
    [sender],
  );
  return { ...state, tell, refresh };
}
