import type { Bag, BuyDocument, BuyLine } from '../api/client';
import { boardName } from './boardName';
import type { Formats } from '../format/format';
import { additives, goods } from '../words';
import { bagName } from './bagName';

/** A thing to buy, as a shop would call it. */
export function goodName(line: BuyLine, bags: Bag[], own: BuyDocument['bags'], format: Formats): string {
  switch (line.kind) {
    case 'bag':
      return goods.bag(bagName(line.of, bags, own, format));
    case 'additive':
      return goods.additive(additives[line.of as keyof typeof additives]);
    case 'board':
      return goods.board(`${boardName(line.of)}, ${format.length(line.lengthM)}`);
    case 'bar':
      return goods.bar(`${line.of}, ${format.length(line.lengthM)}`);
    case 'sheet':
      return goods.sheet(format.smallM(line.lengthM));
    case 'coating':
      return goods.coating(line.of);
    case 'truck':
      return goods.truck(line.of);
    default:
      return goods[line.kind]('');
  }
}
