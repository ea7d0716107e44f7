/** A board or bar by its sizes, as one asks for it in a shop: 47 × 100. */
export const boardName = (id: string): string => id.replace(/^(\d+)x(\d+)$/, '$1 × $2');
