import type { ChoiceEffect, Enum } from '../../api/client';
import { duration, fixed, number, type Formats } from '../../format/format';
import { curing, schools, tasks as words } from '../../words';

/** What a choice is called: its value in the unit of its practice. */
export function choiceText(practice: Enum<'Practice'>, value: string, format: Formats): string {
  if (value === '') return words.advised;
  switch (practice) {
    case 'keepWetDays':
    case 'mouldDays':
    case 'sealAfterDays':
      return words.daysOf(value);
    case 'keepWetBy':
      return curing[value as Enum<'CuringMethod'>];
    case 'steel':
      return schools[value as Enum<'SteelSchool'>];
    case 'base':
      return value === '0' ? words.noBase : format.small(Number(value));
    case 'waterToBag':
      return format.litres(Number(value));
    default:
      return practice satisfies never;
  }
}

/** What comes of it, a phrase for each thing that it moves. */
export function effectText(effect: ChoiceEffect, format: Formats): string[] {
  const { moreMoney, moreMpa, moreWetDays, laterH, coatLaterH, longerDays } = effect;
  const hours = (h: number) =>
    Math.abs(h) >= 48 ? words.daysOf(number(Math.abs(h) / 24)) : duration(Math.abs(h) * 60);
  const said = (value: number | null, from: number, say: (v: number, more: boolean) => string) =>
    value === null || Math.abs(value) < from ? [] : [say(Math.abs(value), value > 0)];
  return [
    ...said(moreMoney, 0.5, (v, more) => words.effect.money(format.money(v), more)),
    ...said(moreMpa, 0.25, (v, more) => words.effect.mpa(format.strength(v), more)),
    ...said(moreWetDays, 0.5, (v, more) => words.effect.wet(words.daysOf(fixed(v, 0)), more)),
    ...said(laterH, 0.5, (v, later) => words.effect.walk(hours(v), later)),
    ...said(coatLaterH, 0.5, (v, later) => words.effect.coat(hours(v), later)),
    ...said(longerDays, 1, (v, later) => words.effect.longer(words.daysOf(number(v)), later)),
  ];
}
