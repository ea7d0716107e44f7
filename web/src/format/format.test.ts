import { describe, expect, test } from 'vitest';
import {
  calendarDay,
  clock,
  clockHour,
  duration,
  factText,
  feetInches,
  formatsFor,
  grade,
  number,
  showInchesTo,
  eighths,
  ticks,
  writeNumbersFor,
} from './format';

const INCH = 25.4;

describe('lengths in feet and inches', () => {
  test.each([
    [150 * INCH, '12′ 6″'],
    [144 * INCH, '12′'],
    [5.5 * INCH, '5 1/2″'],
    [0.25 * INCH, '1/4″'],
    [12.125 * INCH, '1′ 1/8″'],
    [0, '0″'],
    [11.99 * INCH, '1′'], // rounds up into the next foot
  ])('%d mm is %s', (mm, text) => {
    expect(feetInches(mm)).toBe(text);
  });
});

test('eighths are written as people write them', () => {
  expect([0, 0.125, 0.25, 0.5, 1, 7.5, 2.74, 1.87].map(eighths)).toEqual([
    '0',
    '⅛',
    '¼',
    '½',
    '1',
    '7½',
    '2¾',
    '1⅞',
  ]);
});

test('durations change from minutes to hours', () => {
  expect([3.5, 59.4, 60, 61, 189].map(duration)).toEqual([
    '3.5 min',
    '59 min',
    '1 h',
    '1 h 1 min',
    '3 h 9 min',
  ]);
});

test('thousands are set apart by a thin space, in American by a comma', () => {
  expect(number(1234567)).toBe('1\u202f234\u202f567');
  writeNumbersFor('us');
  expect(number(1234567.25, 1)).toBe('1,234,567.3');
  writeNumbersFor('metric');
});

test('dates and hours are written as where the units are from', () => {
  const [metric, us] = [formatsFor('metric', 'UTC'), formatsFor('us', 'UTC')];
  const at = '2026-11-27T13:40:00Z';
  expect(metric.dateTime(at)).toBe('Fri 27 Nov, 13:40');
  expect(us.dateTime(at)).toBe('Fri Nov 27, 1:40\u00a0PM');
  expect([metric.hour(at), us.hour(at)]).toEqual(['13', '1\u00a0PM']);
  expect([metric.isoDate(at), us.isoDate(at)]).toEqual(['2026-11-27', '2026-11-27']);
  expect([metric.time('2026-11-27T00:05:00Z'), us.time('2026-11-27T00:05:00Z')]).toEqual([
    '00:05',
    '12:05\u00a0AM',
  ]);
  expect([clock(8.5), clockHour(8), calendarDay('2026-11-27').day]).toEqual(['08:30', '08:00', '27 Nov']);
  writeNumbersFor('us');
  expect([clock(8.5), clockHour(12), calendarDay('2026-11-27').day]).toEqual([
    '8:30\u00a0AM',
    '12\u00a0PM',
    'Nov 27',
  ]);
  writeNumbersFor('metric');
});

test('a moment is told in the zone of the site, across a clock change', () => {
  const f = formatsFor('metric', 'Europe/Berlin');
  expect(f.dateTime('2027-03-28T00:30:00Z')).toBe('Sun 28 Mar, 01:30');
  expect(f.dateTime('2027-03-28T01:30:00Z')).toBe('Sun 28 Mar, 03:30');
  expect(f.isoDate('2027-03-28T22:30:00Z')).toBe('2027-03-29');
  expect(f.time('2027-05-04T22:00:00Z')).toBe('00:00');
});

test('a date days away is no finer than the hour, and never sooner than it is', () => {
  const f = formatsFor('metric', 'Europe/Berlin');
  expect(f.dateHour('2027-05-05T04:12:00Z')).toBe('Wed 5 May, 07:00');
  expect(f.dateHour('2027-05-05T04:00:00Z')).toBe('Wed 5 May, 06:00');
});

test('an unknown zone is read as UTC; that it is unknown is a finding of its own', () => {
  expect(formatsFor('metric', 'Middle/Earth').time('2027-05-04T10:00:00Z')).toBe('10:00');
});

test('both systems tell the same amounts', () => {
  const [metric, us] = [formatsFor('metric', 'UTC'), formatsFor('us', 'UTC')];
  expect([metric.bulk(764.554857984), us.bulk(764.554857984)]).toEqual(['0.76 m³', '1.00 yd³']);
  expect([metric.mass(36.28739), us.mass(36.28739)]).toEqual(['36 kg', '80 lb']);
  expect([metric.celsius(20), us.celsius(20)]).toEqual(['20 °C', '68 °F']);
  expect([metric.strength(27.579), us.strength(27.579)]).toEqual(['28 MPa', '4\u202f000 psi']);
  expect([metric.area(9.290304), us.area(9.290304)]).toEqual(['9.29 m²', '100 ft²']);
});

test('a temperature is typed in the unit of the system and kept in degrees Celsius', () => {
  const f = formatsFor('us', 'UTC').thermometer;
  expect(f.unit).toBe('°F');
  expect(f.show(12)).toBe(53.6);
  expect(f.said(f.show(12))).toBeCloseTo(12, 9);
  expect(formatsFor('metric', 'UTC').thermometer.said(12)).toBe(12);
});

test('a fact is written by the unit at the end of its name', () => {
  const f = formatsFor('metric', 'UTC');
  expect(factText('thicknessMm', 100, f)).toBe('100 mm');
  expect(factText('volumeM3', 1.4, f)).toBe('1.40 m³');
  expect(factText('waterL', 2.4, f)).toBe('2.4 L');
  expect(factText('limitMin', 189, f)).toBe('3 h 9 min');
  expect(factText('limitKgM2H', 0.5, f)).toBe('0.50 kg/m² an hour');
  expect(factText('waterCement', 0.619, f)).toBe('0.619');
});

test('ticks are round and stay inside', () => {
  expect(ticks(1.9, 3.37, 5).map((t) => number(t, 2))).toEqual(['2', '2.5', '3']);
  expect(ticks(0, 10, 5)).toEqual([0, 2, 4, 6, 8, 10]);
  expect(ticks(4, 4, 5)).toEqual([4]);
});

test('a calendar day has no zone', () => {
  expect(calendarDay('2027-05-04')).toEqual({ weekday: 'Tue', day: '4 May', long: 'Tuesday 4 May' });
});

describe('places in a drawing', () => {
  const [metric, us] = [formatsFor('metric', 'UTC'), formatsFor('us', 'UTC')];

  test('what was pointed at is typed to the centimetre or tenth of an inch', () => {
    expect(metric.typed(1.2345)).toBe('1.23 m');
    expect(us.typed(1.2345)).toBe('48.6"');
  });

  test('what was worked out is typed so that nothing moves', () => {
    expect(metric.typedExact(0.93333)).toBe('933.3 mm');
    expect(metric.typedExact(-0.3)).toBe('-300.0 mm');
    expect(us.typedExact(0.0254)).toBe('1.000"');
  });

  test('a drop is told downwards, and the highest place is nought', () => {
    expect(metric.drop(0.2)).toBe('0');
    expect(metric.drop(56.4)).toBe('−56');
    expect(us.drop(25.4)).toBe('−1″');
  });

  test('a fall keeps its half per cent', () => {
    expect(grade(1.5)).toBe('1.5 %');
    expect(grade(2)).toBe('2 %');
  });
});

test('inches are shown to sixteenths, or to eighths where those are liked', () => {
  expect(feetInches(1000)).toBe('3′ 3 3/8″');
  expect(feetInches(995)).toBe('3′ 3 3/16″');
  showInchesTo(8);
  expect(feetInches(995)).toBe('3′ 3 1/8″');
  expect(feetInches(304.8)).toBe('1′');
  showInchesTo(16);
});
