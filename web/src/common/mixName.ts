import type { Bag, BuyDocument, MixDocument } from '../api/client';
import { number, type Formats } from '../format/format';
import { mix as words } from '../words';
import { bagName } from './bagName';

/** What a mix is, short. */
export function mixText(mix: MixDocument, bags: Bag[], own: BuyDocument['bags'], format: Formats): string {
  return mix.kind === 'bagged'
    ? bagName(mix.bag, bags, own, format)
    : mix.kind === 'ready'
      ? words.truckOf(format.strength(mix.strengthMpa))
      : [mix.cement, ...(mix.ballast ? [mix.ballast] : [mix.sand, mix.stone])]
          .map((n) => number(n, 1))
          .join(' : ');
}

/** How a mix is told from the others. */
export const mixName = (
  mix: MixDocument,
  index: number,
  bags: Bag[],
  own: BuyDocument['bags'],
  format: Formats,
): string => words.numbered(index + 1, mixText(mix, bags, own, format));
