import type { JobDocument } from '../api/client';

/** What was typed and not yet confirmed by the program, kept on this device. */
export interface Draft {
  version: number;
  document: JobDocument;
}

const key = (id: string) => `setfirm-draft-${id}`;

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft));
  } catch {
    // Storage may be full or forbidden; the program's own copy then has to do.
  }
}

export function dropDraft(id: string): void {
  localStorage.removeItem(key(id));
}

export function readDraft(id: string): Draft | null {
  try {
    const text = localStorage.getItem(key(id));
    return text === null ? null : (JSON.parse(text) as Draft);
  } catch {
    return null;
  }
}
