import type { BatchReport } from '../api/client';
import { quarters } from './format';
import { load } from './words';

/** What a batch is made of, said short. */
export const batchSize = (b: BatchReport): string =>
  b.bags === null ? load.bucketsEach(quarters(b.cementBuckets ?? 0)) : load.bagsEach(quarters(b.bags));
