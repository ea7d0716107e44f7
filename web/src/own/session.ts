import { noteAnswer } from './kept';
import { forgetSeen } from './seen';

/** What this device may do: look, tell what is done, or plan. */
export type Role = 'look' | 'crew' | 'plan';

export interface Session {
  role: Role;
  /** The machine that the program runs on. */
  near: boolean;
  token: string | null;
}

const TOKEN_HEADER = 'X-SetFirm-Token';
const here = /^(localhost|127\.0\.0\.1|\[::1\])$/;

const nearby: Session = { role: 'plan', near: true, token: null };
const ROLE_KEY = 'setfirm-role';

const isRole = (text: string | null): text is Role => text === 'look' || text === 'crew' || text === 'plan';

/** Until it is known, what it was last time: nothing that is told is dropped for not knowing, and the program decides. */
function asBefore(): Session {
  let kept: string | null = null;
  try {
    kept = localStorage.getItem(ROLE_KEY);
  } catch {
    // Storage is shut.
  }
  return { role: isRole(kept) ? kept : 'plan', near: false, token: null };
}

// On the machine itself nothing has to be asked for.
let known: Session = here.test(window.location.hostname) ? nearby : asBefore();
let asked: Promise<Session> | null = null;
const listeners = new Set<() => void>();

export const onSession = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const sessionNow = (): Session => known;

function ask(): Promise<Session> {
  if (known.near) return Promise.resolve(known);
  asked ??= fetch('/api/session')
    .then(async (r) => {
      if (r.status === 401) {
        await forgetSeen();
        window.location.assign('/join');
      }
      if (!r.ok) throw new Error('no session');
      known = (await r.json()) as Session;
      try {
        localStorage.setItem(ROLE_KEY, known.role);
      } catch {
        // It is asked for again.
      }
      for (const listener of listeners) listener();
      return known;
    })
    .catch(() => {
      asked = null; // with the next request, then
      return known;
    });
  return asked;
}
void ask();

const reads = (method: string) => method === 'GET' || method === 'HEAD';

/** As fetch, to our own program: what changes something carries this device's token. */
export async function ownFetch(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  const request = input instanceof Request && init === undefined ? input : new Request(input, init);
  if (!known.near && !reads(request.method)) {
    const { token } = await ask();
    if (token !== null) request.headers.set(TOKEN_HEADER, token);
  }
  const answer = await fetch(request);
  noteAnswer(answer);
  // Sent off: what was typed stays on the device.
  if (answer.status === 401 && !known.near) {
    await forgetSeen();
    window.location.assign('/join');
  }
  return answer;
}
