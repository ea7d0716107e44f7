import { useEffect, useEffectEvent, useSyncExternalStore } from 'react';
import type { Door } from './fileDoor';

interface Brought {
  door: Door;
  file: File;
}

type Take = (file: File) => void;

const attendants = new Map<Door, Take>();
const listeners = new Set<() => void>();
let waits: Brought | null = null;

function wait(brought: Brought | null): void {
  waits = brought;
  for (const listener of listeners) listener();
}

/** A file that was let go and that nobody has taken yet; null where there is none. */
export const waiting = (): Brought | null => waits;

export const onWaiting = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const sendAway = (): void => {
  wait(null);
};

/** To whoever stands at that door, or waits there until somebody does. */
export function bring(door: Door, file: File): void {
  const take = attendants.get(door);
  if (take) take(file);
  else wait({ door, file });
}

/** Something waits at that door, which whoever shows it may open. */
export const useWaits = (door: Door): boolean => useSyncExternalStore(onWaiting, () => waits?.door === door);

function attend(door: Door, take: Take): () => void {
  attendants.set(door, take);
  if (waits?.door === door) {
    const { file } = waits;
    wait(null);
    take(file);
  }
  return () => {
    if (attendants.get(door) === take) attendants.delete(door);
  };
}

/** Takes files that are let go anywhere and belong here. */
export function useDoor(door: Door, open: Take): void {
  const take = useEffectEvent(open);
  useEffect(
    () =>
      attend(door, (file) => {
        take(file);
      }),
    [door],
  );
}
