/** When what is shown was last read from the program; null while the program itself answers. */
let since: string | null = null;
const listeners = new Set<() => void>();

export const keptSince = (): string | null => since;

export const onKept = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Takes note of where an answer came from: the service worker says when it read what it has kept. */
export function noteAnswer(answer: Response): void {
  const at = answer.headers.get('X-Kept-At');
  if (at === since) return;
  since = at;
  for (const listener of listeners) listener();
}
