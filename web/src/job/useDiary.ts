import { v4 as newId } from 'uuid';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { http, type JobEvent } from '../api/client';
import { dropLines, keepLine } from './device';
import { DiarySender, type DiaryState } from './diary';
import { sendLines } from './sending';

type Without<E, K extends PropertyKey> = E extends unknown ? Omit<E, K> : never;
/** What is told; when, and by which id, is put to it. */
export type Telling = Without<JobEvent, 'id' | 'at' | 'device' | 'note'>;

export interface DiaryHandle extends DiaryState {
  /** Tells of something done just now. */
  tell: (what: Telling) => void;
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
  useEffect(() => {
    let gone = false;
    void http
      .GET('/api/jobs/{id}/log', { params: { path: { id: job } } })
      .then(({ data }) => {
        if (data && data.length > 0 && !gone) sender.learn(data.map((l) => l.event));
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [job, sender]);
  const state = useSyncExternalStore(sender.subscribe, sender.current);
  const tell = useCallback(
    (what: Telling) => {
      void sender.tell({ ...what, id: newId(), at: new Date().toISOString(), device: '', note: '' });
    },
    [sender],
  );
  return { ...state, tell };
}
