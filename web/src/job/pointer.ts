import type { JobDocument } from '../api/client';

/** Pointers to a value of type `T` that itself lies at `At`, and to all that lies in it. */
type Into<T, At extends string> =
  | At
  | (T extends readonly (infer Row)[] ? Into<Row, `${At}/${number}`> : T extends object ? Of<T, At> : never);

type Of<T, At extends string> = {
  [Key in keyof T & string]: Into<NonNullable<T[Key]>, `${At}/${Key}`>;
}[keyof T & string];

/** A JSON pointer (RFC 6901) into a job, for example `/elements/0/thickness`: only what the document's types have. */
export type Pointer = Of<JobDocument, ''>;

/** An element of the job, or its outline. */
export type ElementPointer = `/elements/${number}`;
export type OutlinePointer = `${ElementPointer}/outline`;
export type MixPointer = `/mixes/${number}`;

/** A place that the report names: the core points by the document's own names, and a test of it walks them all. */
export const told = (path: string): Pointer => path as Pointer;

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
