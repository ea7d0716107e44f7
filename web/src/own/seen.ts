import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** An answer as it was last seen on this device. */
export interface Seen<T> {
  key: string;
  at: number;
  answer: T;
}

interface Shape extends DBSchema {
  seen: { key: string; value: Seen<unknown>; indexes: { at: number } };
}

/** More than a yard has under way, and some megabytes. */
const MOST_KEPT = 40;

let opened: Promise<IDBPDatabase<Shape> | null> | null = null;

function store(): Promise<IDBPDatabase<Shape> | null> {
  opened ??= Promise.resolve()
    .then(() =>
      openDB<Shape>('setfirm-seen', 1, {
        upgrade(db) {
          db.createObjectStore('seen', { keyPath: 'key' }).createIndex('at', 'at');
        },
      }),
    )
    .catch(() => null);
  return opened;
}

/** Keeps an answer, to be shown where nothing can be planned. */
export async function keepSeen(key: string, answer: unknown): Promise<void> {
  try {
    const db = await store();
    if (!db) return;
    await db.put('seen', { key, at: Date.now(), answer });
    for (const old of (await db.getAllKeysFromIndex('seen', 'at')).slice(0, -MOST_KEPT))
      await db.delete('seen', old);
  } catch {
    // It is shown while it stands, and no longer.
  }
}

/** Null where it was never seen, or not kept. */
export async function lastSeen<T>(key: string): Promise<Seen<T> | null> {
  try {
    return ((await (await store())?.get('seen', key)) as Seen<T> | undefined) ?? null;
  } catch {
    return null;
  }
}

/** Sent off: what was seen of the yard does not stay on the device. */
export async function forgetSeen(): Promise<void> {
  await (await store())?.clear('seen').catch(() => undefined);
}
