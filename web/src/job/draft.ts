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

/** @param form The version of documents that the program has now. */
export function readDraft(id: string, form: number): Draft | null {
  try {
    const text = localStorage.getItem(key(id));
    if (text === null) return null;
    const draft = JSON.parse(text) as Draft;
    // Typed in an older Set Firm, whose documents had another form: it stays where it is, and the program's copy is opened.
    return draft.document.version === form ? draft : null;
  } catch {
    return null;
  }
}
