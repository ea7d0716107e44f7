/** Times and dates as people type them, brought to what a job keeps; null while that cannot be read. */
import { monthFirst, twoDigits } from './format';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** 8:30, 0830, 8.30 and 8 as 08:30, 1:40 pm as 13:40; without a half of the day the clock has 24 hours. */
export function timeTyped(text: string): string | null {
  const [, said, minute = '0', half] =
    /^\s*(\d{1,2})(?:\s*[:.h]?\s*(\d{2}))?\s*(?:([ap])\.?m?\.?)?\s*$/i.exec(text) ?? [];
  if (said === undefined || Number(minute) > 59) return null;
  if (half !== undefined && (Number(said) < 1 || Number(said) > 12)) return null;
  const hour =
    half === undefined ? Number(said) : (Number(said) % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  return hour > 23 ? null : `${twoDigits(hour)}:${twoDigits(Number(minute))}`;
}

/** 2026-11-30, 30.11.2026, 30/11/2026 (in American 11/30/2026), 30 Nov 2026 and Nov 30, 2026 as 2026-11-30. */
export function dateTyped(text: string): string | null {
  const iso = /^\s*(\d{4})-(\d{1,2})-(\d{1,2})\s*$/.exec(text);
  const dotted = /^\s*(\d{1,2})\.\s*(\d{1,2})\.\s*(\d{4})\s*$/.exec(text);
  const named = /^\s*(?:[a-z]{3,}\s+)?(\d{1,2})\s+([a-z]{3})[a-z]*\.?\s+(\d{4})\s*$/i.exec(text);
  const slashed = /^\s*(\d{1,2})\/(\d{1,2})\/(\d{4})\s*$/.exec(text);
  const month1st = /^\s*(?:[a-z]{3,},?\s+)?([a-z]{3})[a-z]*\.?\s+(\d{1,2}),?\s+(\d{4})\s*$/i.exec(text);
  const monthOf = (name = '') => MONTHS.indexOf(name.toLowerCase()) + 1;
  const parts: (string | number | undefined)[] | null = iso
    ? [iso[1], iso[2], iso[3]]
    : dotted
      ? [dotted[3], dotted[2], dotted[1]]
      : named
        ? [named[3], monthOf(named[2]), named[1]]
        : month1st
          ? [month1st[3], monthOf(month1st[1]), month1st[2]]
          : slashed
            ? monthFirst()
              ? [slashed[3], slashed[1], slashed[2]]
              : [slashed[3], slashed[2], slashed[1]]
            : null;
  if (parts === null) return null;
  const [year, month, day] = parts.map(Number);
  if (year === undefined || month === undefined || day === undefined) return null;
  const date = new Date(Date.UTC(year, month - 1, day));
  const real =
    date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  return real ? `${String(year).padStart(4, '0')}-${twoDigits(month)}-${twoDigits(day)}` : null;
}
