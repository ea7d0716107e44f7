import { number } from '../format/format';
import { board as words, passes } from '../words';
import type { Thing } from './thing';

/** What is to be done, in a word or two. */
export function titleOf(thing: Thing): string {
  switch (thing.kind) {
    case 'begin':
      return words.begin;
    case 'mix':
      return words.mixNext;
    case 'place':
      return words.inMixer;
    case 'pass':
      return passes[thing.task.pass];
    case 'close':
      return words.allDone;
    default:
      return thing satisfies never;
  }
}

/** The place, or the batch. */
export const whereOf = (thing: Thing, of: number): string =>
  thing.kind === 'pass'
    ? words.zone(number(thing.task.zone))
    : thing.kind === 'mix' || thing.kind === 'place'
      ? words.batch(number(thing.batch), number(of))
      : words.allZones;
