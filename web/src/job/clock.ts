/** A time on the clock of a day, as a moment. */

const MINUTE_MS = 60_000;
const DAY_MIN = 24 * 60;
/** So long before the day's first water a time is still of that morning; earlier ones are of the night after. */
const BEFORE_MIN = 6 * 60;

const minutesOf = (clock: string): number => {
  const [hours, minutes] = clock.split(':').map(Number);
  return (hours ?? 0) * 60 + (minutes ?? 0);
};

/**
 * @param start A moment of the day.
 * @param startClock The same on the clock of the site: 08:30.
 * @param clock A time told of that day, or of the night after it: 14:20.
 */
export function momentOf(start: string, startClock: string, clock: string): string {
  let off = minutesOf(clock) - minutesOf(startClock);
  if (off < -BEFORE_MIN) off += DAY_MIN;
  return new Date(Date.parse(start) + off * MINUTE_MS).toISOString();
}
