import type { JobDocument } from '../api/client';

/** A JSON pointer (RFC 6901) into a job, for example `/elements/0/thickness`. */
export type Pointer = string;

type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

const parts = (pointer: Pointer): string[] =>
  pointer
    .split('/')
    .slice(1)
    .map((p) => p.replaceAll('~1', '/').replaceAll('~0', '~'));

function setIn(at: Json, path: string[], value: Json): Json {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(at)) {
    const copy = [...at];
    copy[Number(key)] = setIn(copy[Number(key)] ?? null, rest, value);
    return copy;
  }
  const object = at !== null && typeof at === 'object' ? at : {};
  return { ...object, [key]: setIn(object[key] ?? null, rest, value) };
}

/** The same job with one value changed; what is not on the way to it is shared. */
export const setAt = (job: JobDocument, pointer: Pointer, value: unknown): JobDocument =>
  setIn(job, parts(pointer), value as Json) as unknown as JobDocument;

const valueAt = (job: JobDocument, pointer: Pointer): unknown =>
  parts(pointer).reduce<unknown>((at, key) => (at as Record<string, unknown> | null | undefined)?.[key], job);

/** The same job with one row of a list taken out. */
export function cutAt(job: JobDocument, list: Pointer, row: number): JobDocument {
  const rows = valueAt(job, list);
  return Array.isArray(rows) && row < rows.length ? setAt(job, list, rows.toSpliced(row, 1)) : job;
}
