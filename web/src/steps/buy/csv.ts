import type { Bag, BuyReport, JobDocument } from '../../api/client';
import { fixed, type Formats } from '../../format/format';
import { csvText } from '../../common/csvFile';
import { goodName } from '../../common/goodName';
import { goodGroups, buy as words } from '../../words';
import { amountText, packsText } from '../../common/goodText';

/** The list as a table in a file (RFC 4180): the same rows, names and amounts as on the screen. */
export function csvOf(buy: BuyReport, document: JobDocument, bags: Bag[], format: Formats): string {
  const head = [
    '',
    words.thing,
    words.needed,
    words.shed,
    words.take,
    `${words.line}, ${document.buy.currency}`,
  ];
  const lines = buy.lines.map((l) => [
    goodGroups[l.group],
    goodName(l, bags, document.buy.bags, format),
    amountText(l, l.used, format),
    amountText(l, l.fromShed, format),
    packsText(l, format),
    fixed(l.cost, 2),
  ]);
  const extras = document.buy.extras.map((e) => [words.extras, e.name, '', '', String(e.count), '']);
  const gear = buy.gearCost > 0 ? [['', words.gear, '', '', '', fixed(buy.gearCost, 2)]] : [];
  const total = ['', words.cost, '', '', '', fixed(buy.cost, 2)];
  return csvText([head, ...lines, ...extras, ...gear, total]);
}
