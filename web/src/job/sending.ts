import { http, type JobDocument, type JobEvent } from '../api/client';

/** Browsers let a request outlive its page only up to 64 KiB, in bytes. */
const KEEPALIVE_BYTES = 60_000;

/** Why the program will not have something, and which field it means; empty where it means none. */
export interface Refused {
  why: string;
  at: string;
}

/** What came of sending a job. */
export type JobSent =
  | { kind: 'ok'; version: number }
  | { kind: 'waiting' }
  | { kind: 'conflict'; theirs: number }
  | ({ kind: 'refused' } & Refused);

/** What came of sending lines: all that the program now has. */
export type LinesSent =
  { kind: 'ok'; lines: JobEvent[] } | { kind: 'waiting' } | { kind: 'refused'; why: string };

const detailOf = (problem: unknown): string => (problem as { detail?: string } | undefined)?.detail ?? '';

/** What a refusal says; its path, like $.elements[0].name, as the place of the field. */
export function refusedBy(problem: unknown): Refused {
  const path = (problem as { path?: string } | undefined)?.path ?? '$';
  return {
    why: detailOf(problem),
    at: path
      .replace(/^\$/, '')
      .replace(/\[(\d+)\]/g, '/$1')
      .replaceAll('.', '/'),
  };
}

/** No answer, or one that says that it is the program's own trouble: it is tried again. */
export const tryAgain = (status: number): boolean => status >= 500 || status === 429;

export async function sendJob(id: string, version: number, document: JobDocument): Promise<JobSent> {
  try {
    const { data, error, response } = await http.PUT('/api/jobs/{id}', {
      params: { path: { id } },
      headers: { 'If-Match': `"${String(version)}"` },
      body: document,
      // Lets the last save outlive a closing page.
      keepalive: new TextEncoder().encode(JSON.stringify(document)).length < KEEPALIVE_BYTES,
    });
    if (data) return { kind: 'ok', version: data.version };
    if (response.status === 412) {
      return {
        kind: 'conflict',
        theirs: (error as { currentVersion?: number } | undefined)?.currentVersion ?? version,
      };
    }
    return tryAgain(response.status) ? { kind: 'waiting' } : { kind: 'refused', ...refusedBy(error) };
  } catch {
    return { kind: 'waiting' };
  }
}

export async function sendLines(job: string, lines: JobEvent[]): Promise<LinesSent> {
  try {
    const { data, error, response } = await http.POST('/api/jobs/{id}/log', {
      params: { path: { id: job } },
      body: lines,
    });
    if (data) return { kind: 'ok', lines: data.map((l) => l.event) };
    return tryAgain(response.status) ? { kind: 'waiting' } : { kind: 'refused', why: detailOf(error) };
  } catch {
    return { kind: 'waiting' };
  }
}
