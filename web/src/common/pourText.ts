import type { ElementDocument, Pour } from '../api/client';
import { number } from '../format/format';
import { courses, pours as words } from '../words';

/** What a pour has, said short: Terrace, panels 1, 3. */
export const pourHolds = (pour: Pour, elements: ElementDocument[]): string =>
  pour.parts
    .map((p) => {
      const name = elements[p.element]?.name ?? '';
      if (p.casting !== null) return words.casting(name, number(p.casting));
      if (p.course !== null) return words.course(name, courses[p.course].toLowerCase());
      return p.panels.length > 0 ? words.panels(name, p.panels.map((n) => number(n)).join(', ')) : name;
    })
    .join('; ');

const HOUR_MS = 60 * 60 * 1000;
/** A pour is under way until so long after its first water. */
const UNDER_WAY_H = 12;

export type PourState = keyof typeof words.states;

/** Where a pour stands, by the clock and by what was told of it. */
export function pourState(pour: Pour, now: number): PourState {
  if (pour.startsAt === null) return 'coming';
  const start = Date.parse(pour.startsAt);
  if (now < start) return 'coming';
  if (pour.wentBy) return 'wentBy';
  return pour.poured && now >= start + UNDER_WAY_H * HOUR_MS ? 'poured' : 'now';
}
