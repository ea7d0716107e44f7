/** The formula of each figure in words, and what its values are called. */
import { both } from './english';
import type { Why } from '../api/client';
import { whysBuilding } from './whysBuilding';
import { whysDay } from './whysDay';
import { whysMixing } from './whysMixing';
import type { WhysOf } from './whyWords';

/** A code without words does not compile. */
export const whys: WhysOf<Why['code']> = both({
  ...whysBuilding,
  ...whysMixing,
  ...whysDay,
});
