import { useCallback, useEffect, useLayoutEffect, useReducer, useRef, useState } from 'react';
import { http, type Job, type JobDocument } from '../api/client';
import { dropDraft, keepDraft, thisTab, type KeptDraft } from './device';
import { historyReducer, opened } from './history';
import { setAt, type Pointer } from './pointer';
import { noteTyped } from './lastTyped';
import { Saver } from './saver';
import { sendJob } from './sending';

/** Changes the job. Typing on in one field is one step of undo; a change with no field is a step by itself. */
export type Edit = (field: Pointer | null, change: JobDocument | ((job: JobDocument) => JobDocument)) => void;

/** A job as it was left: the program's copy, or a draft on this device that the program has not had yet. */
function resume(job: Job, drafts: KeptDraft[]) {
  const draft = drafts[0];
  // It is sent as made to the version it was made to: the program tells whether that is what stands, or a conflict.
  const saver = new Saver(job.document, draft?.version ?? job.version, {
    send: (version, document) => sendJob(job.id, version, document),
    keep: (kept) => keepDraft(job.id, kept),
    drop: () => void dropDraft(job.id),
  });
  if (draft === undefined) return { saver, document: job.document };
  // What a closed tab left behind is this one's from now on.
  if (draft.tab !== thisTab)
    void keepDraft(job.id, draft).then((kept) => kept && dropDraft(job.id, draft.tab));
  return { saver, document: draft.document };
}

/**
 * A job being edited: every change is kept on this device at once, and by the program a moment later.
 * @param drafts What was typed before and waits on this device, what comes first first.
 * @param ahead Told of each change before the page is drawn with it.
 */
export function useJob(job: Job, drafts: KeptDraft[], ahead: (changed: JobDocument) => void) {
  const [{ saver, document }] = useState(() => resume(job, drafts));
  const [history, dispatch] = useReducer(historyReducer, document, opened);
  const now = history.now;

  useEffect(() => {
    saver.change(now);
  }, [saver, now]);

  useEffect(() => {
    const leave = () => {
      saver.flush();
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [saver]);

  // What the next edit starts from: two in one event build on each other.
  const latest = useRef(now);
  useLayoutEffect(() => {
    latest.current = now;
    noteTyped(now);
  }, [now]);
  const edit = useCallback<Edit>(
    (field, change) => {
      const changed = typeof change === 'function' ? change(latest.current) : change;
      latest.current = changed;
      // On the device before it is drawn: whatever happens next, the key was pressed.
      saver.change(changed);
      ahead(changed);
      dispatch({ kind: 'edit', field, job: changed, at: Date.now() });
    },
    [ahead, saver],
  );
  const set = useCallback(
    (field: Pointer, value: unknown) => {
      edit(field, (job) => setAt(job, field, value));
    },
    [edit],
  );
  const takeTheirs = useCallback(async () => {
    const { data } = await http.GET('/api/jobs/{id}', { params: { path: { id: job.id } } });
    if (!data) return;
    saver.takeTheirs(data.document, data.version);
    dispatch({ kind: 'open', job: data.document });
  }, [job.id, saver]);

  return {
    document: now,
    /** The document as it stands at the moment of asking. */
    read: useCallback(() => latest.current, []),
    saver,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    edit,
    set,
    undo: () => {
      dispatch({ kind: 'undo' });
    },
    redo: () => {
      dispatch({ kind: 'redo' });
    },
    takeTheirs,
  };
}
