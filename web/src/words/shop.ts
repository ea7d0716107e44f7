import { both } from './english';
import type { Enum } from '../api/client';

/** The list as it is held in a shop. */
export const shop = both({
  title: 'In the shop',
  link: 'In the shop',
  sentence: (open: string, left: string, spent: string) =>
    `${open === '0' ? 'All of it is in the car.' : open === '1' ? '1 thing left' : `${open} things left`}${open === '0' ? '' : `, about ${left}.`} In the car: ${spent}.`,
  blocked: 'What to buy cannot be told yet. Settle the shape and the mix first.',
  onlyOpen: 'Only what is left',
  got: (what: string) => `${what}: it is in the car`,
  some: 'Took some',
  someOf: (what: string, size: string) => `${what}: how many${size === '' ? '' : ` of ${size}`} were taken`,
  each: (size: string) => `× ${size}`,
  take: 'Put in the car',
  forWork: (tasks: string) => (tasks === '' ? '' : `for: ${tasks}`),
  /** What uses a thing: the task, of which piece of the job, and how much of it where there are several. */
  usedBy: (task: string, element: string, amount: string) =>
    [task, element && `(${element})`, amount].filter(Boolean).join(' '),
  none: 'Not to be had',
  noneOf: (what: string) => `${what}: not to be had here`,
  back: 'Take back',
  backOf: (what: string) => `${what}: take the last tick back`,
  inCar: (amount: string, by: string) => `in the car: ${amount}${by === '' ? '' : `, ${by}`}`,
  notHad: (by: string) => `not to be had${by === '' ? '' : `, says ${by}`}`,
  insteadTitle: 'What else? Taking one changes the plan for both phones.',
  noInstead: 'No other way fits this job: try the next shop.',
  noInsteadThing: 'Nothing in the plan takes its place: ask for the nearest, and tell the plan.',
  cost: (v: string, more: boolean) => `${v} ${more ? 'more' : 'less'}`,
  same: 'the same money',
  hours: (v: string, more: boolean) => `${v} of work ${more ? 'more' : 'less'}`,
  takeInstead: 'Take it',
  takeInsteadOf: (what: string) => `Take ${what} instead`,
  group: (name: string, left: string) => (left === '0' ? `${name}: done` : `${name}: ${left} left`),
  gearTitle: 'To hold in the hand',
  gearHint: 'Where it comes from. What is hired is paid for the days of the plan that want it.',
  gearFrom: (what: string) => `${what}: where it comes from`,
  gearPrice: (what: string, hire: boolean) => `${what}: price${hire ? ' of a day' : ''}`,
  gearWrong: 'A price, as a number from 0 on, is wanted here.',
  days: (n: string, first: string) => (n === '1' ? `on ${first}` : `${n} days, from ${first}`),
  gearCost: (cost: string) => `Gear: ${cost}`,
} as const);

export const gearSources: Record<Enum<'GearSource'>, string> = both({
  own: 'Have it',
  borrow: 'Borrow',
  hire: 'Hire',
  buy: 'Buy',
});
