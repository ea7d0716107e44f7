import { asking } from './ask';

/** Long enough after the page was asked for that it stands. */
const STANDS_MS = 1_000;

let waiting: ServiceWorker | null = null;
const listeners = new Set<() => void>();

/** A newer program is on this device and waits. */
export const newerWaits = (): boolean => waiting !== null;

export const onNewer = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Goes over to the newer program: the page is read again. */
export function takeNewer(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    window.location.reload();
  });
  waiting?.postMessage('takeOver');
}

function tell(worker: ServiceWorker | null): void {
  waiting = worker;
  for (const listener of listeners) listener();
}

async function register(): Promise<void> {
  const registered = await navigator.serviceWorker.register('/sw.js');
  const look = (worker: ServiceWorker | null) => {
    worker?.addEventListener('statechange', () => {
      // The first one of all takes nobody's place.
      if (worker.state === 'installed' && navigator.serviceWorker.controller) tell(worker);
    });
  };
  if (registered.waiting && navigator.serviceWorker.controller) tell(registered.waiting);
  look(registered.installing);
  registered.addEventListener('updatefound', () => {
    look(registered.installing);
  });
}

/** Keeps the program on this device, where the browser lets it: on the machine itself, and over HTTPS. */
export function install(): void {
  window.addEventListener('online', () => void asking.look());
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  setTimeout(() => void register().catch(() => undefined), STANDS_MS);
}
