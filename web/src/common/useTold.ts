import { useSyncExternalStore } from 'react';

type Told = typeof import('../words/told');

let told: Told | null = null;
const listeners = new Set<() => void>();

// Asked for as soon as something is there that may need it: the page stands without.
void import('../words/told').then((words) => {
  told = words;
  for (const listener of listeners) listener();
});

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The sentences of findings and of their ways out; null for the moment until they are there. */
export const useTold = (): Told | null => useSyncExternalStore(subscribe, () => told);
