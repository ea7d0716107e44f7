/** The formula of each figure in words, and what its values are called. */
import type { Explanation } from '../../api/client';
import { whysBuilding } from './whysBuilding';
import { whysDay } from './whysDay';
import { whysMixing } from './whysMixing';
import type { WhyWords } from './whyWords';

/** A code without words does not compile. */
export const whys: Record<Explanation['code'], WhyWords> = {
  ...whysBuilding,
  ...whysMixing,
  ...whysDay,
};
