import { describe, expect, it } from 'vitest';
import type { CureReport, DayReport, PourDates } from '../api/client';
import { formatsFor } from '../format/format';
import { calendarOf } from './calendarFile';
import { eventsOf, eventsOfAll, passEventsOf, squaresOf, toldOf } from './cureEvents';

const format = formatsFor('metric', 'Europe/Berlin');

const day = {
  start: '2027-05-07T06:30:00Z',
  doneBy: '2027-05-07T11:00:00Z',
  passes: [
    { pass: 'bullFloat', opens: '2027-05-07T07:00:00Z', closes: '2027-05-07T08:00:00Z', begins: null },
    {
      pass: 'broom',
      opens: '2027-05-07T10:00:00Z',
      closes: '2027-05-07T11:30:00Z',
      begins: '2027-05-07T10:00:00Z',
    },
  ],
} as DayReport;

const cure = {
  wetUntil: '2027-05-14T14:00:00Z',
  wettings: [
    { at: '2027-05-08T05:00:00Z', lastsUntil: '2027-05-08T11:00:00Z' },
    { at: '2027-05-08T11:00:00Z', lastsUntil: '2027-05-08T19:00:00Z' },
  ],
  diary: [{ id: 'd', at: '2027-05-08T10:50:00Z', kind: 'wetted', product: null, note: '' }],
  milestones: [
    { milestone: 'freezeOnce', at: '2027-05-08T03:00:00Z', earliest: null, latest: null, needsMpa: 3.5 },
    {
      milestone: 'walk',
      at: '2027-05-07T20:00:00Z',
      earliest: '2027-05-07T19:00:00Z',
      latest: '2027-05-07T21:30:00Z',
      needsMpa: 5,
    },
    { milestone: 'cars', at: null, earliest: null, latest: null, needsMpa: 20 },
  ],
  coats: [
    {
      product: 0,
      name: 'Sealer',
      number: 1,
      opens: '2027-05-15T14:00:00Z',
      closes: null,
      at: '2027-05-16T06:00:00Z',
      late: false,
      keepWetH: 0,
      done: false,
    },
  ],
  nights: [
    {
      from: '2027-05-08T01:00:00Z',
      until: '2027-05-08T05:00:00Z',
      leastAirC: -1,
      leastSlabC: 3,
      young: true,
    },
  ],
} as unknown as CureReport;

describe('the weeks after a pour', () => {
  const events = eventsOf(day, cure, format);

  it('has everything that has its hour, in order, and nothing that is out of sight', () => {
    expect(events.map((e) => e.kind)).toEqual([
      'pour',
      'milestone',
      'frost',
      'milestone',
      'wet',
      'wet',
      'end',
      'coat',
    ]);
    expect(events.map((e) => Date.parse(e.at))).toEqual(
      [...events.map((e) => Date.parse(e.at))].sort((a, b) => a - b),
    );
    expect(events[1]?.more).toBe('Fri 7 May, 21:00 – 00:00'.replace('00:00', 'Sat 8 May, 00:00'));
  });

  it('calls for the passes that want hands of their own, for as long as each is open', () => {
    expect(passEventsOf(day)).toMatchObject([{ title: 'Broom', at: '2027-05-07T10:00:00Z', minutes: 90 }]);
  });

  it('lays them into whole weeks, by the day at the site', () => {
    const squares = squaresOf(events, format, 1);
    expect(squares.length).toBe(14);
    expect(squares[0]?.date).toBe('2027-05-03');
    expect(squares.find((s) => s.date === '2027-05-08')?.lines.map((l) => l.kind)).toEqual([
      'frost',
      'milestone',
      'wet',
    ]);
    expect(squares.find((s) => s.date === '2027-05-08')?.lines[2]?.text).toContain('07:00, 13:00');
    expect(squaresOf([], format, 1)).toEqual([]);
    // Or from the day that the household's weeks begin with.
    expect([0, 6].map((day) => squaresOf(events, format, day)[0]?.date)).toEqual([
      '2027-05-02',
      '2027-05-01',
    ]);
    expect(squaresOf(events, format, 5)[0]?.date).toBe('2027-05-07');
    expect(toldOf(cure)[0]?.title).toContain('Wetted');
    const mild = { ...cure, nights: [] };
    expect(eventsOf(day, mild, format).map((e) => e.kind)).not.toContain('frost');
    expect(eventsOf(day, mild, format).filter((e) => e.kind === 'milestone').length).toBe(1);
  });

  it('goes into a calendar file with an alarm each, in world time, and the same ids each time', () => {
    const file = calendarOf({ id: 'job-1', name: 'Terrace; garden' }, events);
    expect(file.match(/BEGIN:VEVENT/g)?.length).toBe(events.length);
    expect(file.match(/BEGIN:VALARM/g)?.length).toBe(events.length);
    expect(file).toContain('DTSTART:20270508T050000Z');
    expect(file).toContain('UID:job-1-wet-1@setfirm');
    expect(file).toContain('Terrace\\; garden');
    const ids = (text: string) => text.match(/UID:.*/g);
    expect(ids(calendarOf({ id: 'job-1', name: 'Terrace; garden' }, events))).toEqual(ids(file));
  });
});

describe('the weeks after several pours', () => {
  const dates = (pour: string, number: number): PourDates => ({
    pour,
    number,
    start: day.start,
    doneBy: day.doneBy,
    passes: day.passes,
    cure,
  });
  const both = [dates('main', 1), dates('stone.casting-2', 2)];

  it('tells each thing by the number of its pour, all in the order of their hours', () => {
    const all = eventsOfAll(both, format, true);
    expect(all.length).toBe(2 * (eventsOf(day, cure, format).length + passEventsOf(day).length));
    expect(all.filter((e) => e.kind === 'pour').map((e) => e.title)).toEqual(['Pour 1', 'Pour 2']);
    expect(all.filter((e) => e.kind === 'coat').map((e) => e.title)).toEqual([
      'Sealer, coat 1 (pour 1)',
      'Sealer, coat 1 (pour 2)',
    ]);
    expect(all.map((e) => Date.parse(e.at))).toEqual(
      [...all.map((e) => Date.parse(e.at))].sort((a, b) => a - b),
    );
  });

  it('tells on the screen what was done, and in the file what is to be done', () => {
    expect(eventsOfAll(both, format, false).some((e) => e.kind === 'told')).toBe(true);
    expect(eventsOfAll(both, format, true).some((e) => e.kind === 'told')).toBe(false);
    expect(eventsOfAll([], format, true)).toEqual([]);
  });

  it.each(['\r', '\n', '\r\nBEGIN:VALARM', '\u0085', '\u0000'])(
    'lets no %j in a name reach the file',
    (cut) => {
      const of = (name: string) =>
        calendarOf({ id: 'job-1', name }, eventsOfAll(both, format, true))
          .replace(/\r\n[ \t]/g, '')
          .split('\r\n');
      const alarms = (lines: string[]) => lines.filter((l) => l.startsWith('BEGIN:VALARM')).length;
      const [plain, cutUp] = [of('Stones in the yard'), of(`Stones${cut}in the yard`)];
      expect(cutUp.join('')).not.toMatch(/\p{Cc}/u);
      expect(alarms(cutUp)).toBe(alarms(plain));
    },
  );

  it('gives the same thing of two pours two ids in a calendar file', () => {
    const file = calendarOf({ id: 'job-1', name: 'Stones' }, eventsOfAll(both, format, true));
    const ids = file.match(/UID:.*/g) ?? [];
    expect(new Set(ids).size).toBe(ids.length);
    expect(file).toContain('UID:job-1-main-pour-0@setfirm');
    expect(file).toContain('UID:job-1-stone.casting-2-pour-0@setfirm');
  });

  it('lays as many weeks as they last', () => {
    const late = { ...cure, wetUntil: '2027-07-30T14:00:00Z' };
    const squares = squaresOf(
      eventsOfAll([{ ...dates('main', 1), cure: late }], format, false),
      format,
      1,
      30,
    );
    expect(squares.length).toBe(13 * 7);
    expect(squares.at(-1)?.date).toBe('2027-08-01');
  });
});
