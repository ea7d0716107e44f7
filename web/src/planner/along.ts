import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What goes along with jobs of one place and time: the weather and what was learnt, as the program gave it. */
interface Along {
  key: string;
  at: number;
  json: string;
  /** Where the planner's loader is; null where the program has none to take along yet. */
  planner: string | null;
  /** All files that it is made of. */
  plannerFiles?: string[];
}

interface Shape extends DBSchema {
  along: { key: string; value: Along };
}

/** What of a job the weather goes by. */
interface Situated {
  timeZone: string;
  site: { latitude: number | null; longitude: number | null; weatherFile: string };
  day: { date: string };
  pours: { date: string }[];
}

/** Older than this it is fetched anew when the program answers. */
const FRESH_MS = 15 * 60_000;
/** The planner may just be being made. */
const SOON_MS = 30_000;
const MOST_KEPT = 60;

export const keyOf = ({ timeZone, site, day, pours }: Situated): string =>
  JSON.stringify([
    timeZone,
    [site.latitude, site.longitude, site.weatherFile],
    [day.date, ...pours.map((p) => p.date)].filter((d) => d !== '').sort(),
  ]);

const placeOf = (key: string): string => JSON.stringify((JSON.parse(key) as unknown[]).slice(0, 2));

/** Keeps what goes along on this device, and in memory where nothing can be kept. */
export class AlongShelf {
  private readonly kept = new Map<string, Along>();
  private db: Promise<IDBPDatabase<Shape> | null> | null = null;
  private read: Promise<void> | null = null;

  /** Whether it should be fetched. */
  async wants(key: string): Promise<boolean> {
    await this.load();
    const have = this.kept.get(key);
    return have === undefined || Date.now() - have.at > (have.planner === null ? SOON_MS : FRESH_MS);
  }

  async keep(key: string, json: string): Promise<void> {
    await this.load();
    const { planner, plannerFiles } = JSON.parse(json) as Pick<Along, 'planner' | 'plannerFiles'>;
    const along: Along = { key, at: Date.now(), json, planner, ...(plannerFiles && { plannerFiles }) };
    this.kept.set(key, along);
    const db = await this.store();
    await db?.put('along', along).catch(() => undefined);
    const old = [...this.kept.values()].sort((a, b) => b.at - a.at).slice(MOST_KEPT);
    for (const { key: gone } of old) {
      this.kept.delete(gone);
      await db?.delete('along', gone).catch(() => undefined);
    }
  }

  /** What is kept is no longer what the program would take. */
  async age(): Promise<void> {
    await this.load();
    for (const along of this.kept.values()) along.at = 0;
  }

  /** What fits a job best: of its place and dates, of its place, or the newest there is. */
  async find(key: string): Promise<Along | null> {
    await this.load();
    const exact = this.kept.get(key);
    if (exact) return exact;
    const newest = [...this.kept.values()].sort((a, b) => b.at - a.at);
    return newest.find((a) => placeOf(a.key) === placeOf(key)) ?? newest[0] ?? null;
  }

  private store(): Promise<IDBPDatabase<Shape> | null> {
    this.db ??= Promise.resolve()
      .then(() =>
        openDB<Shape>('setfirm-along', 1, {
          upgrade(db) {
            db.createObjectStore('along', { keyPath: 'key' });
          },
        }),
      )
      .catch(() => null);
    return this.db;
  }

  private load(): Promise<void> {
    this.read ??= this.store()
      .then((db) => db?.getAll('along') ?? [])
      .catch(() => [])
      .then((all) => {
        for (const along of all) if (!this.kept.has(along.key)) this.kept.set(along.key, along);
      });
    return this.read;
  }
}
