/** Families of sentences: one for each member of what the core may say. */
import type { Says } from '../api/client';
import type { Formats } from '../format/format';

/** A sentence for every member of a family; one that misspells a fact, or is missing, does not compile. */
export type Sentences<Family extends { code: string }> = {
  [Code in Family['code']]: (facts: Says<Family, Code>, fmt: Formats) => string;
};

/** The sentence of a member, whichever it is. */
export function tell<Family extends { code: string }>(
  sentences: Sentences<Family>,
  member: Family,
  fmt: Formats,
): string {
  const sentence = sentences[member.code as Family['code']] as (facts: Family, fmt: Formats) => string;
  return sentence(member, fmt);
}
