import { v4 as newId } from 'uuid';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { http, type LogEntry, type LogKind } from '../api/client';
import { DiarySender, type DiaryState } from './diary';

const key = (job: string) => `setfirm-diary-${job}`;

function kept(job: string): LogEntry[] {
  try {
    const lines = JSON.parse(localStorage.getItem(key(job)) ?? '[]') as unknown;
    return Array.isArray(lines) ? (lines as LogEntry[]) : [];
  } catch {
    return [];
  }
}

function keep(job: string, lines: LogEntry[]): void {
  try {
    if (lines.length === 0) localStorage.removeItem(key(job));
    else localStorage.setItem(key(job), JSON.stringify(lines));
  } catch {
    // Storage may be full or forbidden; the line is then sent as long as this page stands.
  }
}

async function send(job: string, lines: LogEntry[]): Promise<LogEntry[] | null> {
  try {
    const { data } = await http.POST('/api/jobs/{id}/log', { params: { path: { id: job } }, body: lines });
    return data ?? null;
  } catch {
    return null;
  }
}

export interface DiaryHandle extends DiaryState {
  /** Tells of something done just now. */
  tell: (kind: LogKind, more?: Partial<LogEntry>) => void;
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
        if (data && data.length > 0 && !gone) sender.learn(data);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [job, sender]);
  const state = useSyncExternalStore(sender.subscribe, sender.current);
  const tell = useCallback(
    (kind: LogKind, more: Partial<LogEntry> = {}) => {
      sender.tell({
        id: newId(),
        at: new Date().toISOString(),
        kind,
        product: null,
        strikes: null,
        note: '',
        ...more,
      });
    },
    [sender],
  );
  return { ...state, tell };
}
