import type { BuyLine } from '../api/client';
import { duration, number, type Formats } from '../format/format';
import { buy as words } from '../words';

/** An amount in the unit that a thing is counted in. */
export function amountText(line: Pick<BuyLine, 'unit'>, amount: number, format: Formats): string {
  switch (line.unit) {
    case 'kg':
      return format.mass(amount);
    case 'l':
      return format.litres(amount);
    case 'm':
      return format.length(amount);
    case 'm2':
      return format.area(amount);
    case 'm3':
      return format.bulk(amount * 1000);
    case 'min':
      return duration(amount);
    case 'piece':
      return number(amount, 1);
    default:
      return line.unit satisfies never;
  }
}

/** What to take, size by size: 2 × 850 kg, 3 × 25 kg. */
export const packsText = (line: BuyLine, format: Formats): string =>
  line.packs.length === 0
    ? words.nothing
    : line.packs
        .map((p) =>
          line.unit === 'piece' && p.size === 1
            ? number(p.count)
            : line.unit === 'm3' || line.unit === 'min'
              ? amountText(line, p.count, format)
              : words.packs(number(p.count), amountText(line, p.size, format)),
        )
        .join(', ');
