import type { CureReport, DayReport, PourDates, WorkDay } from '../api/client';
import { number, type Formats } from '../format/format';
import {
  coatName,
  cure as words,
  eventKinds,
  milestones,
  passes,
  passSigns,
  pours as pourWords,
  workTasks,
} from '../words';

export type EventKind = 'task' | 'pour' | 'pass' | 'told' | 'wet' | 'milestone' | 'coat' | 'frost' | 'end';

/** Something of the weeks after a pour that has its hour. */
export interface CureEvent {
  at: string;
  kind: EventKind;
  title: string;
  /** A second line. */
  more?: string;
  /** Id of its pour, where there are several. */
  pour?: string;
  minutes: number;
}

const WETTING_MIN = 15;
const COAT_MIN = 60;
const MOMENT_MIN = 30;

const spanMin = (from: string, until: string) => Math.round((Date.parse(until) - Date.parse(from)) / 60_000);

/** Everything that is to be done or may begin, in the order of its hours. */
export function eventsOf(
  day: Pick<DayReport, 'start' | 'doneBy'>,
  cure: CureReport,
  format: Formats,
): CureEvent[] {
  const events: CureEvent[] = [
    { at: day.start, kind: 'pour', title: words.pour, minutes: spanMin(day.start, day.doneBy) },
    ...cure.wettings.map(({ at }) => ({
      at,
      kind: 'wet' as const,
      title: words.wettings(1),
      minutes: WETTING_MIN,
    })),
    ...cure.milestones.flatMap((m) =>
      // That frost does no more harm is only of use where there is some.
      m.at === null || (m.milestone === 'freezeOnce' && cure.nights.length === 0)
        ? []
        : [
            {
              at: m.at,
              kind: 'milestone' as const,
              title: milestones[m.milestone],
              ...(m.earliest !== null && m.latest !== null && m.earliest !== m.latest
                ? { more: format.between(m.earliest, m.latest) }
                : {}),
              minutes: MOMENT_MIN,
            },
          ],
    ),
    ...cure.coats.map((c) => ({
      at: c.at,
      kind: 'coat' as const,
      title: words.coat(coatName(c.name), c.number),
      ...(c.done ? { more: words.coatDone } : c.late ? { more: words.coatScuff } : {}),
      minutes: COAT_MIN,
    })),
    ...cure.nights.map((n) => ({
      at: n.from,
      kind: 'frost' as const,
      title: words.coverTonight(format.celsius(n.leastAirC)),
      minutes: spanMin(n.from, n.until),
    })),
    { at: cure.wetUntil, kind: 'end', title: words.wetEnds, minutes: MOMENT_MIN },
  ];
  return events.sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}

/** What was told of, for the calendar on the screen. */
export const toldOf = (cure: CureReport): CureEvent[] =>
  cure.diary.map((d) => ({ at: d.at, kind: 'told', title: words.told(eventKinds[d.kind]), minutes: 0 }));

/** The passes of the pour day that want hands of their own, from when each may begin. */
export const passEventsOf = (day: Pick<DayReport, 'passes'>): CureEvent[] =>
  day.passes
    .filter((p) => p.begins !== null)
    .map((p) => ({
      at: p.opens,
      kind: 'pass' as const,
      title: passes[p.pass],
      more: passSigns[p.pass],
      minutes: spanMin(p.opens, p.closes),
    }));

/** Days of work before and after the pours, what is done on each told together. */
export const workEventsOf = (days: WorkDay[]): CureEvent[] =>
  days.map((d) => {
    const titles = [...new Set(d.tasks.map((t) => workTasks[t.task].title))];
    return {
      at: d.at,
      kind: 'task' as const,
      title: titles.slice(0, MOST_TITLES).join(', ') + (titles.length > MOST_TITLES ? ' …' : ''),
      ...(titles.length > MOST_TITLES ? { more: titles.join(', ') } : {}),
      minutes: Math.max(MOMENT_MIN, Math.round(d.minutes)),
    };
  });

/** Of a day in the calendar. */
const MOST_TITLES = 3;

/** Everything of every pour, each told by its number, in the order of its hours. */
export const eventsOfAll = (pours: PourDates[], format: Formats, passes: boolean): CureEvent[] =>
  pours
    .flatMap((p) =>
      [...eventsOf(p, p.cure, format), ...(passes ? passEventsOf(p) : toldOf(p.cure))].map((e) => ({
        ...e,
        pour: p.pour,
        title:
          e.kind === 'pour' ? pourWords.one(number(p.number)) : pourWords.titled(e.title, number(p.number)),
      })),
    )
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));

/** What stands in one square of the calendar: wettings of a day are told together. */
export interface Square {
  date: string;
  lines: { kind: EventKind; text: string; at: string }[];
}

/** Of one pour. */
const MOST_WEEKS = 4;
const DAY_MS = 24 * 60 * 60 * 1000;
const dateAt = (at: number) => new Date(at).toISOString().slice(0, 10);

/** Whole weeks, beginning with `firstDay` (days since Sunday), from the day of the pour until after the last wetting and coat, but two at the least and four at the most. */
export function squaresOf(
  events: CureEvent[],
  format: Formats,
  firstDay: number,
  mostWeeks = MOST_WEEKS,
): Square[] {
  const [first] = events;
  if (!first) return [];
  // Work that goes before is shown as far as it lies in the same week.
  const poured = events.find((e) => e.kind !== 'task') ?? first;
  const pour = Date.parse(`${format.isoDate(poured.at)}T00:00:00Z`);
  const begin = pour - ((new Date(pour).getUTCDay() - firstDay + 7) % 7) * DAY_MS;
  const lasting = events.filter((e) => e.kind !== 'milestone').map((e) => Date.parse(e.at));
  const days = Math.floor((Math.max(...lasting) - begin) / DAY_MS) + 1;
  const weeks = Math.min(mostWeeks, Math.max(2, Math.ceil(days / 7)));
  return Array.from({ length: weeks * 7 }, (_, i) => {
    const date = dateAt(begin + i * DAY_MS);
    const own = events.filter((e) => format.isoDate(e.at) === date);
    const wet = own.filter((e) => e.kind === 'wet');
    const lines = own
      .filter((e) => e.kind !== 'wet')
      .map((e) => ({ kind: e.kind, at: e.at, text: `${format.time(e.at)} ${e.title}` }));
    const [wetting] = wet;
    if (wetting) {
      const times = wet.length <= 3 ? wet.map((e) => format.time(e.at)).join(', ') : '';
      lines.push({
        kind: 'wet',
        at: wetting.at,
        text: times === '' ? words.wettings(wet.length) : `${times} ${words.wettings(1)}`,
      });
    }
    return { date, lines: lines.sort((a, b) => Date.parse(a.at) - Date.parse(b.at)) };
  });
}

/** How a number of days or hours is said. */
export const daysText = (days: number) =>
  days < 1 ? words.hours(number(days * 24, 1)) : words.days(number(days, 1));
