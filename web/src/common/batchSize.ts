import type { BatchRecipe } from '../api/client';
import { eighths } from '../format/format';
import { counted, load } from '../words';

/** What a batch is made of, said short. */
export const batchSize = (recipe: BatchRecipe): string => {
  const cement = recipe.measures.find((m) => m.what === 'cement');
  if (recipe.measures.some((m) => m.what === 'readyMix')) return load.barrowLoad;
  return cement?.in
    ? load.cementEach(counted(eighths(cement.count), cement.in))
    : load.bagsEach(eighths(recipe.size));
};
