import type { JobDocument } from '../api/client';

let last: JobDocument | null = null;

/** Remembers what stands on the page, for when the page breaks. */
export const noteTyped = (document: JobDocument): void => {
  last = document;
};

export const lastTyped = (): JobDocument | null => last;
