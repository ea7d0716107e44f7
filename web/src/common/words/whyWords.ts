import type { Formats } from '../format';

/** The formula of a figure in words, and what its values are called. */
export interface WhyWords {
  title: string;
  formula: string;
  result: (value: number, fmt: Formats) => string;
  inputs: Record<string, string>;
}

export const litresResult = (v: number, fmt: Formats) => fmt.bulk(v);
