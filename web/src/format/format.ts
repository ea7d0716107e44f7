/** Every number on a screen is written here, and nowhere else. Values come in SI; the job's system decides the look. */
import type { Enum, Units } from '../api/client';

const INCH_MM = 25.4;
const FOOT_MM = 12 * INCH_MM;
export const FOOT_M = FOOT_MM / 1000;
const GALLON_L = (231 * INCH_MM ** 3) / 1e6;
const CUBIC_YARD_L = (36 * INCH_MM) ** 3 / 1e6;
const SQUARE_FOOT_M2 = FOOT_M ** 2;
const POUND_KG = 0.45359237;
const PSI_PER_MPA = 145.0377;
const MILE_KM = 1.609344;
type Locale = 'en-GB' | 'en-US';
const localeOf = (units: Units): Locale => (units === 'us' ? 'en-US' : 'en-GB');
const HOUR_MS = 3_600_000;

/** How numbers, hours and days are written that belong to no job of their own. */
let spoken: Locale = 'en-GB';
export const writeNumbersFor = (units: Units): void => {
  spoken = localeOf(units);
};

/** 11/30 is the last of November, not the eleventh of a thirtieth month. */
export const monthFirst = (): boolean => spoken === 'en-US';

const cache = new Map<string, Intl.NumberFormat>();

/** A number for a field that takes numbers: with so many decimals at the most, or as it is. */
export const rounded = (value: number, places?: number): number =>
  places === undefined ? value : Number(value.toFixed(places));

/** A number with this many decimals at the most; thousands are set apart by a thin space, in American by a comma. */
export function number(value: number, decimals = 0): string {
  const key = `${spoken}${String(decimals)}`;
  let format = cache.get(key);
  if (!format) {
    format = new Intl.NumberFormat(spoken, { maximumFractionDigits: decimals });
    cache.set(key, format);
  }
  const text = format.format(value);
  return spoken === 'en-US' ? text : text.replaceAll(',', '\u202f');
}

/** 7 as 07: hours of a clock. */
export const twoDigits = (value: number): string => String(value).padStart(2, '0');

const timeParts = (locale: Locale): Intl.DateTimeFormatOptions =>
  locale === 'en-US'
    ? { hour: 'numeric', minute: '2-digit' }
    : { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };

/** 8:30 AM is never parted at the end of a line. */
const unbroken = (time: string): string => time.replace(/\s(?=[AP]M$)/, '\u00a0');

/** Hours since midnight as a clock shows them: 8.5 is 08:30, in American 8:30 AM. */
export function clock(hours: number): string {
  const at = new Date(Math.round(hours * 60) * 60_000);
  return unbroken(new Intl.DateTimeFormat(spoken, { timeZone: 'UTC', ...timeParts(spoken) }).format(at));
}

/** A whole hour, where there is little room: 08:00, in American 8 AM. */
export const clockHour = (hour: number): string => clock(hour).replace(/:00(?=.[AP]M$)/, '');

/** A time that a job keeps (08:30) as a clock shows it; what is no time stays as it is. */
export function clockOf(kept: string): string {
  const [, hour, minute] = /^(\d{2}):(\d{2})$/.exec(kept) ?? [];
  return hour === undefined ? kept : clock(Number(hour) + Number(minute) / 60);
}

/** A number with just this many decimals. */
export function fixed(value: number, decimals: number): string {
  return value.toFixed(decimals);
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/** Parts of an inch that lengths are shown to: sixteenths, or eighths where a household likes those. */
let inchParts = 16;
export const showInchesTo = (parts: number): void => {
  inchParts = parts === 8 ? 8 : 16;
};

/** Feet and inches to the nearest sixteenth or eighth: 12′ 6 1/2″. */
export function feetInches(mm: number): string {
  const sixteenths = Math.round((mm / INCH_MM) * inchParts) * (16 / inchParts);
  const feet = Math.floor(sixteenths / (12 * 16));
  const inches = Math.floor((sixteenths - feet * 12 * 16) / 16);
  const part = sixteenths % 16;
  const divisor = gcd(part, 16);
  const fraction = part === 0 ? '' : `${String(part / divisor)}/${String(16 / divisor)}`;
  const inchText = [inches > 0 || fraction === '' ? String(inches) : '', fraction].filter(Boolean).join(' ');
  if (feet === 0) return `${inchText}″`;
  return inches === 0 && fraction === '' ? `${String(feet)}′` : `${String(feet)}′ ${inchText}″`;
}

/** Halves, quarters and eighths as people write them: 7½. */
export function eighths(value: number): string {
  const rounded = Math.round(value * 8) / 8;
  const whole = Math.floor(rounded);
  const glyph = EIGHTHS[(rounded - whole) * 8] ?? '';
  return whole === 0 && glyph !== '' ? glyph : `${number(whole)}${glyph}`;
}

export function duration(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return minutes < 10 ? `${number(minutes, 1)} min` : `${String(whole)} min`;
  const rest = whole % 60;
  return rest === 0
    ? `${String(Math.floor(whole / 60))} h`
    : `${String(Math.floor(whole / 60))} h ${String(rest)} min`;
}

const percent = (share: number) => `${number(share * 100)} %`;

/** So many times as long, or as much, as a change: 1.08 is +8 %. */
export const change = (factor: number): string => {
  const pct = Math.round((factor - 1) * 100);
  return `${pct > 0 ? '+' : pct < 0 ? '−' : '±'}${number(Math.abs(pct))} %`;
};

/** How steeply a surface falls: 1.5 %. */
export const grade = (inAHundred: number) => `${number(inAHundred, 2)} %`;

/** A number typed in another unit than the job keeps. */
export interface Scale {
  unit: string;
  /** From what is kept to what is shown. */
  show: (kept: number) => number;
  /** From what was typed to what is kept. */
  said: (typed: number) => number;
}

export interface Formats {
  length: (metres: number) => string;
  /** Thickness and other small sizes. */
  small: (mm: number) => string;
  /** How far below something a place lies. */
  drop: (mm: number) => string;
  /** A place that was pointed at in a drawing, as one would type it. */
  typed: (metres: number) => string;
  /** A place that was worked out, as one would type it, to a tenth of a millimetre. */
  typedExact: (metres: number) => string;
  scaleBar: (metres: number) => string;
  area: (m2: number) => string;
  /** Concrete by the cubic metre or yard. */
  bulk: (litres: number) => string;
  bulkM3: (m3: number) => string;
  /** A small size that was told in metres. */
  smallM: (metres: number) => string;
  /** Water and buckets. */
  litres: (litres: number) => string;
  mass: (kg: number) => string;
  /** Mass to a running metre or foot, as one speaks of it there. */
  perRun: (kgPerM: number) => string;
  /** Mass to a square metre or foot. */
  perFace: (kgPerM2: number) => string;
  /** What is weighed on kitchen scales. */
  weighed: (kg: number) => string;
  celsius: (c: number) => string;
  /** How a temperature is typed: its unit, and there and back. */
  thermometer: Scale;
  /** A temperature where the scale is plain from the rest: 14°. */
  degrees: (c: number) => string;
  strength: (mpa: number) => string;
  wind: (kmh: number) => string;
  /** Water leaving the surface in an hour. */
  evaporation: (kgM2H: number) => string;
  percent: (share: number) => string;
  /** Money in the job's currency. */
  money: (amount: number) => string;
  /** Money for so much concrete as one speaks of: a litre, a cubic foot. */
  moneyEach: (perLitre: number) => string;
  /** 08:30, in American 8:30 AM */
  time: (instant: string) => string;
  /** Fri 27 Nov */
  date: (instant: string) => string;
  /** Fri 27 Nov, 08:30 */
  dateTime: (instant: string) => string;
  /** Fri 27 Nov, 09:00: a moment days away, no finer than it is known; rounded up to the hour. */
  dateHour: (instant: string) => string;
  /** Fri 27 Nov, 09:00 to 11:00: two moments days away, each no finer than it is known. */
  between: (early: string, late: string) => string;
  /** A whole or half hour of the day, for axes. */
  hour: (instant: string) => string;
  /** 2026-11-27 in the site's zone. */
  isoDate: (instant: string) => string;
  units: Units;
}

const metric = {
  length: (m: number) => `${fixed(m, 2)} m`,
  small: (mm: number) => `${number(mm, mm < 10 ? 1 : 0)} mm`,
  drop: (mm: number) => (mm < 0.5 ? '0' : `−${number(mm)}`),
  typed: (m: number) => `${fixed(m, 2)} m`,
  typedExact: (m: number) => `${fixed(m * 1000, 1)} mm`,
  scaleBar: (m: number) => `${String(m)} m`,
  area: (m2: number) => `${number(m2, m2 < 10 ? 2 : 1)} m²`,
  bulk: (l: number) => (l < 100 ? `${number(l, l < 10 ? 1 : 0)} L` : `${fixed(l / 1000, 2)} m³`),
  litres: (l: number) => `${number(l, l < 10 ? 2 : 1)} L`,
  mass: (kg: number) => (kg >= 1000 ? `${number(kg / 1000, 2)} t` : `${number(kg, kg < 10 ? 1 : 0)} kg`),
  perRun: (kg: number) => `${number(kg)} kg`,
  perFace: (kg: number) => `${number(kg)} kg to the m²`,
  weighed: (kg: number) => (kg < 1 ? `${number(kg * 1000)} g` : `${number(kg, 2)} kg`),
  celsius: (c: number) => `${number(c)} °C`,
  thermometer: { unit: '°C', show: (c: number) => c, said: (c: number) => c },
  degrees: (c: number) => `${number(c)}°`,
  strength: (mpa: number) => `${number(mpa, mpa < 10 ? 1 : 0)} MPa`,
  wind: (kmh: number) => `${number(kmh)} km/h`,
  evaporation: (e: number) => `${fixed(e, 2)} kg/m²`,
  /** What prices of concrete are told for, litres. */
  spokenL: 1,
};

const us: typeof metric = {
  length: (m) => feetInches(m * 1000),
  small: (mm) => feetInches(mm),
  drop: (mm) => (mm < 0.8 ? '0' : `−${feetInches(mm)}`),
  typed: (m) => `${fixed((m * 1000) / INCH_MM, 1)}"`,
  typedExact: (m) => `${fixed((m * 1000) / INCH_MM, 3)}"`,
  scaleBar: (m) => feetInches(m * 1000),
  area: (m2) => `${number(m2 / SQUARE_FOOT_M2, 1)} ft²`,
  bulk: (l) => (l < 100 ? `${number(l / GALLON_L, 1)} gal` : `${fixed(l / CUBIC_YARD_L, 2)} yd³`),
  litres: (l) => `${number(l / GALLON_L, 2)} gal`,
  mass: (kg) => `${number(kg / POUND_KG, kg < 10 * POUND_KG ? 1 : 0)} lb`,
  perRun: (kg) => `${number((kg / POUND_KG) * FOOT_M)} lb`,
  perFace: (kg) => `${number((kg / POUND_KG) * SQUARE_FOOT_M2)} lb to the ft²`,
  weighed: (kg) =>
    kg < POUND_KG ? `${number((kg / POUND_KG) * 16, 1)} oz` : `${number(kg / POUND_KG, 2)} lb`,
  celsius: (c) => `${number(c * 1.8 + 32)} °F`,
  thermometer: { unit: '°F', show: (c) => Math.round((c * 1.8 + 32) * 10) / 10, said: (f) => (f - 32) / 1.8 },
  degrees: (c) => `${number(c * 1.8 + 32)}°`,
  strength: (mpa) => `${number(Math.round((mpa * PSI_PER_MPA) / 10) * 10)} psi`,
  wind: (kmh) => `${number(kmh / MILE_KM)} mph`,
  evaporation: (e) => `${fixed((e / POUND_KG) * SQUARE_FOOT_M2, 3)} lb/ft²`,
  spokenL: CUBIC_YARD_L / 27,
};

/** The formats of one job: its system, and the zone of its site. */
export function formatsFor(units: Units, timeZone: string, currency = ''): Formats {
  const locale = localeOf(units);
  const make = (options: Intl.DateTimeFormatOptions, as: Locale = locale) => {
    let format: Intl.DateTimeFormat;
    try {
      format = new Intl.DateTimeFormat(as, { timeZone, ...options });
    } catch {
      format = new Intl.DateTimeFormat(as, { timeZone: 'UTC', ...options }); // an unknown zone has its own finding
    }
    return (instant: string) => unbroken(format.format(new Date(instant)).replace(',', ''));
  };
  const time = make(timeParts(locale));
  const date = make({ weekday: 'short', day: 'numeric', month: 'short' });
  const iso = make({ year: 'numeric', month: '2-digit', day: '2-digit' }, 'en-GB');
  const system = units === 'us' ? us : metric;
  const money = (amount: number) =>
    `${currency}${currency === '' ? '' : '\u202f'}${amount >= 1000 ? number(amount) : fixed(amount, 2)}`;
  const upToHour = (instant: string) =>
    new Date(Math.ceil(Date.parse(instant) / HOUR_MS) * HOUR_MS).toISOString();
  const dateHour = (instant: string) => `${date(upToHour(instant))}, ${time(upToHour(instant))}`;
  return {
    ...system,
    bulkM3: (m3) => system.bulk(m3 * 1000),
    smallM: (m) => system.small(m * 1000),
    percent,
    money,
    moneyEach: (perLitre) => money(perLitre * system.spokenL),
    time,
    date,
    dateTime: (instant) => `${date(instant)}, ${time(instant)}`,
    dateHour,
    between: (early, late) =>
      `${dateHour(early)} – ${date(upToHour(early)) === date(upToHour(late)) ? time(upToHour(late)) : dateHour(late)}`,
    hour: make(locale === 'en-US' ? { hour: 'numeric' } : { hour: '2-digit', hourCycle: 'h23' }),
    isoDate: (instant) => iso(instant).split('/').reverse().join('-'),
    units,
  };
}

/** A calendar date (2026-11-27) without a zone. */
export function calendarDay(date: string): { weekday: string; day: string; long: string } {
  const at = new Date(`${date}T12:00:00Z`);
  const part = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat(spoken, { timeZone: 'UTC', ...options }).format(at);
  return {
    weekday: part({ weekday: 'short' }),
    day: part({ day: 'numeric', month: 'short' }),
    long: part({ weekday: 'long', day: 'numeric', month: 'long' }),
  };
}

/** Round values for an axis from `least` to `most`: about `count` of them, a 1, 2 or 5 of some power of ten apart. */
export function ticks(least: number, most: number, count: number): number[] {
  const rough = (most - least) / Math.max(1, count);
  if (!(rough > 0)) return [least];
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5].find((m) => m * power >= rough) ?? 10) * power;
  const first = Math.ceil(least / step - 1e-9);
  const last = Math.floor(most / step + 1e-9);
  return Array.from({ length: last - first + 1 }, (_, i) => (first + i) * step);
}

/** Which unit a fact's name ends in, and how that is written. */
export function factText(name: string, value: number, f: Formats): string {
  const by: [RegExp, (v: number) => string][] = [
    [/KgM2H$/, (v) => `${f.evaporation(v)} an hour`],
    [/KgM2$/, f.evaporation],
    [/Mm$/, f.small],
    [/M3$/, (v) => f.bulk(v * 1000)],
    [/M2$/, f.area],
    [/Mpa$/, f.strength],
    [/Money$/, f.money],
    [/Pct$/, (v) => `${number(v, 1)} %`],
    [/Min$/, duration],
    [/Hours$|^hours$|H$/, (v) => `${number(v, 2)} h`],
    [/Days$/, (v) => `${number(v, 1)} days`],
    [/Degrees$/, (v) => `${number(v, 1)}°`],
    [/Year$/, (v) => fixed(v, 0)],
    [/Kg$/, f.mass],
    [/C$/, (v) => (f.units === 'us' ? f.celsius(v) : `${number(v, 1)} °C`)],
    [/L$/, (v) => (v >= 100 ? f.bulk(v) : f.litres(v))],
    [/M$/, f.length],
  ];
  return (by.find(([pattern]) => pattern.test(name))?.[1] ?? ((v: number) => number(v, 3)))(value);
}

/** A number in the unit that it was out of range in. */
export const inRangeUnit = (unit: Enum<'RangeUnit'>, value: number, f: Formats): string =>
  factText(unit === 'none' ? 'value' : `value${unit.charAt(0).toUpperCase()}${unit.slice(1)}`, value, f);
