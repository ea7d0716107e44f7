/** Sizes that stone is sold in, mm. */
export const STONES = [10, 12.5, 20, 25];
