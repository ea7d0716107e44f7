import type { JobDocument } from '../api/client';

/** A job with what it was before and what was undone. */
export interface History {
  past: JobDocument[];
  now: JobDocument;
  future: JobDocument[];
  /** Field last edited, and when (ms): typing on in it is one change, not one per key. */
  lastEdit: { field: string | null; at: number } | null;
}

export type HistoryAction =
  | { kind: 'edit'; field: string | null; job: JobDocument; at: number }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'open'; job: JobDocument };

const TYPING_PAUSE_MS = 1500;
const MOST_STEPS = 200;

export const opened = (job: JobDocument): History => ({ past: [], now: job, future: [], lastEdit: null });

export function historyReducer(state: History, action: HistoryAction): History {
  switch (action.kind) {
    case 'open':
      return opened(action.job);
    case 'edit': {
      const typing =
        action.field !== null &&
        state.lastEdit?.field === action.field &&
        action.at - state.lastEdit.at < TYPING_PAUSE_MS &&
        state.future.length === 0;
      return {
        past: typing ? state.past : [...state.past, state.now].slice(-MOST_STEPS),
        now: action.job,
        future: [],
        lastEdit: { field: action.field, at: action.at },
      };
    }
    case 'undo': {
      const before = state.past.at(-1);
      return before === undefined
        ? state
        : {
            past: state.past.slice(0, -1),
            now: before,
            future: [state.now, ...state.future],
            lastEdit: null,
          };
    }
    case 'redo': {
      const [next, ...rest] = state.future;
      return next === undefined
        ? state
        : { past: [...state.past, state.now], now: next, future: rest, lastEdit: null };
    }
    default:
      return action satisfies never;
  }
}
