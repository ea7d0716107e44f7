import type { Bag, BuyDocument, Way } from '../api/client';
import { number, type Formats } from '../format/format';
import { bagName } from './bagName';
import { mix as words, partsSchools } from '../words';

/** What a way is called, and why one would take it. */
export function wayName(
  way: Way,
  bags: Bag[],
  own: BuyDocument['bags'],
  format: Formats,
): [name: string, reason: string] {
  if (way.bag !== null) {
    return [
      bagName(way.bag, bags, own, format),
      way.cementAddedPct > 0 ? words.enriched(`${number(way.cementAddedPct)} %`) : '',
    ];
  }
  if (way.school !== null) {
    const [name, reason] = partsSchools[way.school];
    return [way.airEntrained ? `${name}, ${words.withAir}` : name, reason];
  }
  return [words.truck, words.truckReason];
}
