import type { Bag, BuyDocument } from '../api/client';
import type { Formats } from '../format/format';
import { bagKinds } from '../words';

/** A bag by its kind and mass; one of the user's own by the name it was given. */
export function bagName(id: string, bags: Bag[], own: BuyDocument['bags'], format: Formats): string {
  const known = bags.find((b) => b.id === id);
  return known
    ? `${bagKinds[known.kind]}, ${format.mass(known.massKg)}`
    : (own.find((b) => b.id === id)?.name ?? id);
}
