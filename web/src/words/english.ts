import { writeNumbersFor } from '../format/format';

/**
 * Texts are written in British English. A job in US customary units is told in American: one list of spellings, applied where a text is
 * read, so that no text stands twice.
 */
const american: [RegExp, string][] = [
  [/\bkerb/g, 'curb'],
  [/\bKerb/g, 'Curb'],
  [/\b([Mm])ould/g, '$1old'],
  [/etre(s?)\b/g, 'eter$1'],
  [/\b([Ll])itre/g, '$1iter'],
  [/\b([Cc])olour/g, '$1olor'],
  [/\b([Gg])rey/g, '$1ray'],
  [/\b([Nn])eighbour/g, '$1eighbor'],
  [/\b([Cc])entre/g, '$1enter'],
  [/\b([Ll]evel|[Ll]abel|[Tt]rowel)l(ed|ing)\b/g, '$1$2'],
  [/\b([Pp])ractise/g, '$1ractice'],
];

export const toAmerican = (text: string): string =>
  american.reduce((said, [british, spelled]) => said.replace(british, spelled), text);

let isAmerican = false;

/** Which English is spoken from now on, and how numbers and dates are written in it: that of the job's units. */
export const speak = (units: 'metric' | 'us'): void => {
  isAmerican = units === 'us';
  writeNumbersFor(units);
  if (typeof document === 'undefined') return;
  const lang = isAmerican ? 'en-US' : 'en-GB';
  // To write it, though it be the same, has the browser work out every style of the page anew.
  if (document.documentElement.lang !== lang) document.documentElement.lang = lang;
};

/** What was handed over: names that people gave, however deep in facts. */
function namesIn(of: unknown, deep = 2): string[] {
  if (typeof of === 'string') return [of];
  return typeof of === 'object' && of !== null && deep > 0
    ? Object.values(of).flatMap((v) => namesIn(v, deep - 1))
    : [];
}

/** A sentence in American; names in it stay as they were given. */
const sentence = (text: string, names: string[]): string =>
  names
    .map((name) => [toAmerican(name), name] as const)
    .filter(([spelled, name]) => spelled !== name && text.includes(name))
    .reduce((said, [spelled, name]) => said.replaceAll(spelled, name), toAmerican(text));

const known = new WeakMap<object, object>();

function told(value: unknown, names: string[] = []): unknown {
  if (typeof value === 'string') return sentence(value, names);
  if (typeof value === 'function')
    return (...of: unknown[]) => told((value as (...of: unknown[]) => unknown)(...of), namesIn(of));
  if (Array.isArray(value)) return value.map((v) => told(v, names));
  if (typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype)
    return both(value);
  return value;
}

/** Words that are told in the English that is spoken. */
export function both<T extends object>(words: T): T {
  const have = known.get(words);
  if (have) return have as T;
  const proxy = new Proxy(words, {
    get(target, name, receiver) {
      const value: unknown = Reflect.get(target, name, receiver);
      if (isAmerican) return told(value);
      // Deeper words may be asked for when another English is spoken.
      return typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype
        ? both(value)
        : value;
    },
  });
  known.set(words, proxy);
  return proxy;
}
