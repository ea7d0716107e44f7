import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { app, cure as words } from '../words';
import type { CureEvent } from './cureEvents';

const ALARM_BEFORE_MIN = 10;

function utc(at: string): DateArray {
  const d = new Date(at);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
}

/** A calendar's lines end where a text says so: what is no letter, and no space, becomes one. */
const oneLine = (text: string): string => text.replace(/\p{Cc}+/gu, ' ');

/** The same event of a job keeps its id, so that a calendar that reads the file anew moves it and does not double it. */
const uid = (job: string, event: CureEvent, nth: number) =>
  `${job}-${event.pour === undefined ? '' : `${event.pour}-`}${event.kind}-${String(nth)}@setfirm`;

/** The weeks after a pour as iCalendar, an alarm before each. Throws where a title or a time cannot be written. */
export function calendarOf(job: { id: string; name: string }, events: CureEvent[]): string {
  const seen = new Map<string, number>();
  const made = events.map((event): EventAttributes => {
    const kind = `${event.pour ?? ''} ${event.kind}`;
    const nth = seen.get(kind) ?? 0;
    seen.set(kind, nth + 1);
    const title = oneLine(words.alarm(event.title, job.name));
    return {
      uid: uid(job.id, event, nth),
      title,
      ...(event.more === undefined ? {} : { description: oneLine(event.more) }),
      start: utc(event.at),
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: Math.max(5, Math.min(event.minutes, 24 * 60)) },
      alarms: [
        { action: 'display', description: title, trigger: { minutes: ALARM_BEFORE_MIN, before: true } },
      ],
    };
  });
  const { error, value } = createEvents(made, { productId: app.name, calName: oneLine(job.name) });
  if (error || !value) throw error ?? new Error();
  return value;
}
