import { v4 as newId } from 'uuid';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { http, type JobEvent, type LogLine } from '../api/client';
import { DiarySender, type DiaryState } from './diary';
import { keptEvents } from './keptEvents';

const key = (job: string) => `setfirm-diary-${job}`;

function kept(job: string): JobEvent[] {
  try {
    return keptEvents(JSON.parse(localStorage.getItem(key(job)) ?? '[]'));
  } catch {
    return [];
  }
}

function keep(job: string, lines: JobEvent[]): void {
  try {
    if (lines.length === 0) localStorage.removeItem(key(job));
    else localStorage.setItem(key(job), JSON.stringify(lines));
  } catch {
    // Storage may be full or forbidden; the line is then sent as long as this page stands.
  }
}

const eventsOf = (lines: LogLine[]): JobEvent[] => lines.map((l) => l.event);

async function send(job: string, lines: JobEvent[]): Promise<JobEvent[] | null> {
  try {
    const { data } = await http.POST('/api/jobs/{id}/log', { params: { path: { id: job } }, body: lines });
    return data ? eventsOf(data) : null;
  } catch {
    return null;
  }
}

type Without<E, K extends PropertyKey> = E extends unknown ? Omit<E, K> : never;
/** What is told; when, and by which id, is put to it. */
export type Telling = Without<JobEvent, 'id' | 'at' | 'device' | 'note'>;

export interface DiaryHandle extends DiaryState {
  /** Tells of something done just now. */
  tell: (what: Telling) => void;
}

const open = (job: string) =>
  new DiarySender([], kept(job), {
    send: (waiting) => send(job, waiting),
    keep: (waiting) => {
      keep(job, waiting);
    },
  });

/** The diary of a job, as the program has it and as it was told on this device. */
export function useDiary(job: string): DiaryHandle {
  const [sender] = useState(() => open(job));
  useEffect(() => {
    let gone = false;
    void http
      .GET('/api/jobs/{id}/log', { params: { path: { id: job } } })
      .then(({ data }) => {
        if (data && data.length > 0 && !gone) sender.learn(eventsOf(data));
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [job, sender]);
  const state = useSyncExternalStore(sender.subscribe, sender.current);
  const tell = useCallback(
    (what: Telling) => {
      sender.tell({ ...what, id: newId(), at: new Date().toISOString(), device: '', note: '' });
    },
    [sender],
  );
  return { ...state, tell };
}
