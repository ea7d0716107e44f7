import type { Says, Why } from '../api/client';
import type { Formats } from '../format/format';

/** The formula of a figure in words, and what its values are called. */
export interface WhyWords<Formula extends Why> {
  title: string;
  formula: string;
  result: (value: number, fmt: Formats) => string;
  /** One for each value; a value that is misspelt, or has no name, does not compile. */
  inputs: Record<Exclude<keyof Formula, 'code'>, string>;
}

export type WhysOf<Codes extends Why['code']> = { [Code in Codes]: WhyWords<Says<Why, Code>> };

export const litresResult = (v: number, fmt: Formats) => fmt.bulk(v);
