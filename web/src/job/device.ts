import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { JobDocument, JobEvent } from '../api/client';
import { keptEvents } from './keptEvents';

/** What was typed and not yet confirmed by the program. */
export interface Draft {
  /** Of the job it was made to. */
  version: number;
  document: JobDocument;
}

/** A draft as it is kept on this device, by the tab that it was typed in. */
export interface KeptDraft extends Draft {
  key: string;
  job: string;
  tab: string;
  at: number;
}

/** A line of a diary that the program has not had yet. */
export interface KeptLine {
  id: string;
  job: string;
  at: number;
  event: JobEvent;
}

/** A photograph that the program has not had yet. */
export interface KeptPicture {
  id: string;
  job: string;
  image: Blob;
}

interface Shape extends DBSchema {
  drafts: { key: string; value: KeptDraft; indexes: { job: string } };
  lines: { key: string; value: KeptLine; indexes: { job: string } };
  pictures: { key: string; value: KeptPicture };
}

type Store = IDBPDatabase<Shape>;

/** Each tab has a name of its own, that outlives a reload. */
export const thisTab = (() => {
  const key = 'setfirm-tab';
  try {
    const known = sessionStorage.getItem(key) ?? crypto.randomUUID();
    sessionStorage.setItem(key, known);
    return known;
  } catch {
    return Math.random().toString(36).slice(2);
  }
})();

const lockOf = (tab: string) => `setfirm-tab-${tab}`;

// Held as long as the tab stands: what a closed tab left behind may be taken up by another.
if ('locks' in navigator) void navigator.locks.request(lockOf(thisTab), () => new Promise(() => undefined));

/** Whether another tab still works on what it keeps. */
async function othersAlive(): Promise<(tab: string) => boolean> {
  if (!('locks' in navigator)) return () => false;
  const { held } = await navigator.locks.query();
  const names = new Set(held?.map((l) => l.name));
  return (tab) => tab !== thisTab && names.has(lockOf(tab));
}

let opened: Promise<Store | null> | null = null;

/** Null where the browser lets nothing be kept. */
function store(): Promise<Store | null> {
  opened ??= openDB<Shape>('setfirm', 2, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('drafts', { keyPath: 'key' }).createIndex('job', 'job');
        db.createObjectStore('lines', { keyPath: 'id' }).createIndex('job', 'job');
      }
      if (before < 2) db.createObjectStore('pictures', { keyPath: 'id' });
    },
    // A page of a newer Set Firm wants to go on: this one opens it anew when it needs it.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    terminated() {
      opened = null;
    },
  })
    .then(async (db) => {
      await takeOver(db).catch(() => undefined); // next time, then
      return db;
    })
    .catch(() => {
      opened = null; // asked again with the next key
      return null;
    });
  return opened;
}

const oldDraft = 'setfirm-draft-';
const oldDiary = 'setfirm-diary-';

const parsed = (text: string | null): unknown => {
  try {
    return JSON.parse(text ?? 'null') as unknown;
  } catch {
    return null; // it cannot be read, by this Set Firm or any other
  }
};

// What an earlier Set Firm kept as texts; each goes from there only when it is here.
async function takeOver(db: Store): Promise<void> {
  for (const key of Object.keys(localStorage).filter(
    (k) => k.startsWith(oldDraft) || k.startsWith(oldDiary),
  )) {
    const kept = parsed(localStorage.getItem(key));
    if (key.startsWith(oldDiary)) {
      const job = key.slice(oldDiary.length);
      for (const event of keptEvents(kept)) await db.put('lines', { id: event.id, job, at: 0, event });
    } else if (kept !== null) {
      const job = key.slice(oldDraft.length);
      await db.put('drafts', { ...(kept as Draft), key: `${job} old`, job, tab: 'old', at: 0 });
    }
    localStorage.removeItem(key);
  }
}

/** Does something with what is kept; the second value where nothing can be. */
async function withStore<T>(work: (db: Store) => Promise<T>, without: T): Promise<T> {
  try {
    const db = await store();
    return db === null ? without : await work(db);
  } catch {
    return without;
  }
}

/** Jobs that this page has open: it goes on with what waits of them itself. */
const inHand = new Set<string>();

/** The page that is being opened will have it: it is told by the address, before anything of it stands. The board edits nothing. */
const opens = (job: string): boolean =>
  window.location.pathname.startsWith(`/jobs/${job}`) && !/\/(pour|rehearse)$/.test(window.location.pathname);

/** This page has a job open. */
export const takeInHand = (job: string): void => {
  inHand.add(job);
};

/** @returns Whether it is kept: storage may be full or forbidden. */
export const keepDraft = (job: string, draft: Draft): Promise<boolean> =>
  withStore(async (db) => {
    await db.put('drafts', { ...draft, key: `${job} ${thisTab}`, job, tab: thisTab, at: Date.now() });
    return true;
  }, false);

export const dropDraft = (job: string, tab = thisTab): Promise<boolean> =>
  withStore(async (db) => {
    await db.delete('drafts', `${job} ${tab}`);
    return true;
  }, false);

/**
 * Drafts of a job that nobody works on: this tab's own first, then what closed tabs left behind, the newest first.
 * @param form The version of documents that the program has now; a draft of an older form stays where it is.
 */
export const draftsOf = (job: string, form: number): Promise<KeptDraft[]> =>
  withStore(async (db) => {
    const alive = await othersAlive();
    const rank = (d: KeptDraft) => (d.tab === thisTab ? Infinity : d.at);
    return (await db.getAllFromIndex('drafts', 'job', job))
      .filter((d) => !alive(d.tab) && d.document.version === form)
      .sort((a, b) => rank(b) - rank(a));
  }, []);

/** Drafts of all jobs but those that another tab works on, and whether this page has the job open. */
export const draftsLeft = (): Promise<{ draft: KeptDraft; inHand: boolean }[]> =>
  withStore(async (db) => {
    const alive = await othersAlive();
    return (await db.getAll('drafts'))
      .filter((d) => !alive(d.tab))
      .map((draft) => ({ draft, inHand: inHand.has(draft.job) || opens(draft.job) }));
  }, []);

/** @returns Whether it is kept. */
export const keepLine = (job: string, event: JobEvent): Promise<boolean> =>
  withStore(async (db) => {
    await db.put('lines', { id: event.id, job, at: Date.now(), event });
    return true;
  }, false);

export const dropLines = (ids: string[]): Promise<boolean> =>
  withStore(async (db) => {
    const all = db.transaction('lines', 'readwrite');
    await Promise.all([...ids.map((id) => all.store.delete(id)), all.done]);
    return true;
  }, false);

/** Lines that wait, in the order in which they were told; of all jobs where none is named. */
export const linesLeft = (job?: string): Promise<KeptLine[]> =>
  withStore(async (db) => {
    const found =
      job === undefined ? await db.getAll('lines') : await db.getAllFromIndex('lines', 'job', job);
    return found.sort((a, b) => a.at - b.at);
  }, []);

/** @returns Whether it is kept. */
export const keepPicture = (picture: KeptPicture): Promise<boolean> =>
  withStore(async (db) => {
    await db.put('pictures', picture);
    return true;
  }, false);

export const dropPicture = (id: string): Promise<boolean> =>
  withStore(async (db) => {
    await db.delete('pictures', id);
    return true;
  }, false);

export const picturesLeft = (): Promise<KeptPicture[]> => withStore((db) => db.getAll('pictures'), []);

/** A picture that waits here; undefined where none does. */
export const pictureHere = (id: string): Promise<KeptPicture | undefined> =>
  withStore<KeptPicture | undefined>((db) => db.get('pictures', id), undefined);
