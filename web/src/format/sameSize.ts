const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll('′', "'")
    .replaceAll('″', '"')
    .replace(/\s+/g, '')
    .replace(/(\.\d*?)0+(?=\D|$)/, '$1')
    .replace(/\.(?=\D|$)/, '');

/** Whether two texts say one size in the same words: then saying it back would only be noise. */
export const sameSize = (typed: string, understood: string): boolean => plain(typed) === plain(understood);
