import type { DayReport } from '../api/client';

export const RIGHT = 16;
/** Room to the right of the hours for what the last row's times say. */
export const TIMES = 76;
export const TOP = 30;
/** Height of the weather over the rows. */
export const AIR = 96;
/** Names of the rows stand to the left of the hours, or above each bar where there is no room. */
const NAMES = 138;
const NARROW = 460;
const NARROW_LEFT = 12;
export const HOUR_MS = 3_600_000;
export const MINUTE_MS = 60_000;

export const ms = (instant: string) => Date.parse(instant);

/** Where moments of a day lie in its drawing. */
export interface Frame {
  x: (at: number) => number;
  from: number;
  until: number;
  left: number;
  narrow: boolean;
}

/** The hours from before the first water until all has set. */
export function frameOf(day: DayReport, width: number): Frame {
  return frameBetween(
    ms(day.start) - HOUR_MS / 2,
    Math.max(ms(day.doneBy), ms(day.finalSet ?? day.doneBy)) + HOUR_MS / 2,
    width,
  );
}

/** From one moment to another. */
export function frameBetween(from: number, until: number, width: number): Frame {
  const narrow = width < NARROW;
  const left = narrow ? NARROW_LEFT : NAMES;
  return {
    from,
    until,
    left,
    narrow,
    x: (at) => left + ((at - from) / (until - from)) * (width - left - RIGHT - (narrow ? 0 : TIMES)),
  };
}

/** Full hours to mark, not too many for the room. */
export function hoursOf(frame: Frame): number[] {
  const every = frame.until - frame.from > (frame.narrow ? 8 : 14) * HOUR_MS ? 2 : 1;
  const first = Math.ceil(frame.from / HOUR_MS);
  const last = Math.floor(frame.until / HOUR_MS);
  return Array.from({ length: last - first + 1 }, (_, i) => (first + i) * HOUR_MS).filter(
    (_, i) => i % every === 0,
  );
}
