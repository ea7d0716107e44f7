import type { BuyDocument, YardThings } from '../../api/client';

/** The price book with one price noted today; an empty field forgets it. */
export function priced(buy: BuyDocument, good: string, price: number | null, date: string): BuyDocument {
  const rest = buy.prices.filter((p) => p.good !== good);
  return { ...buy, prices: price === null ? rest : [...rest, { good, price, date }] };
}

/** The shed with so much of a thing in it; an empty field takes it out of the list. */
export function stocked(buy: BuyDocument, good: string, amount: number | null): BuyDocument {
  const at = buy.shed.findIndex((s) => s.good === good);
  if (amount === null) return { ...buy, shed: buy.shed.filter((s) => s.good !== good) };
  const row = { good, amount };
  return { ...buy, shed: at < 0 ? [...buy.shed, row] : buy.shed.with(at, row) };
}

/** Today where the person is, as 2026-11-27. */
export const today = (): string => new Date().toLocaleDateString('sv-SE');

/** What the yard has noted since, in the job's money, and the job has otherwise or not at all. */
export const newerPrices = (buy: BuyDocument, yard: YardThings['prices']): YardThings['prices'] =>
  yard.filter((y) => {
    const own = buy.prices.find((p) => p.good === y.good);
    return y.currency === buy.currency && (own === undefined || (own.price !== y.price && own.date < y.date));
  });
