/** Lists that pages read before anything can be done on them. */
const LISTS = [
  '/api/bags',
  '/api/coats',
  '/api/lumber',
  '/api/bars',
  '/api/things',
  '/api/learnt',
  '/api/weather-files',
  '/api/lessons',
  '/api/jobs/removed',
];
/** More jobs than this nobody has under way. */
const MOST_JOBS = 40;

let taken = false;

/** Reads what the device should have when the network is gone; the service worker keeps it. One after the other: nobody waits for it. */
export async function takeYard(): Promise<void> {
  if (taken || !('serviceWorker' in navigator) || !navigator.serviceWorker.controller) return;
  taken = true;
  try {
    const jobs = (await (await fetch('/api/jobs')).json()) as { id: string }[];
    for (const path of LISTS) await fetch(path);
    for (const { id } of jobs.slice(0, MOST_JOBS)) {
      await fetch(`/api/jobs/${id}`);
      await fetch(`/api/jobs/${id}/log`);
    }
  } catch {
    taken = false; // with the next plan, then
  }
}
