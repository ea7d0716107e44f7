import { both } from './english';
import type { Enum, LearntKey, Says, Standout } from '../api/client';
import { duration, number, type Formats } from '../format/format';
import { passes } from './names';

/** What happened, and what the next plan takes over. */
export const lookBack = both({
  title: 'Look back',
  blocked: 'The day has to be planned first.',
  ahead: (when: string) => `It is still to be poured: ${when}. What earlier pours say of it stands beside.`,
  nothing:
    'Nothing was told of this day yet. Tell it from the paper in two minutes: it counts like any other.',
  under: 'The day is still under way. What was told so far stands below.',
  asPlanned: 'It went as planned.',
  sides: {
    stood: 'What stood out',
    faults: 'How it is',
    learnt: 'What it teaches',
    tell: 'Tell the day',
    files: 'Files',
  },
  sidesLabel: 'What is looked at',
  drawing: 'The day as planned and as it was',
  mixing: 'Batches',
  sheen: 'Sheen gone',
  planned: 'as planned',
  could: 'as the concrete let it',
  was: 'as it was',
  off: 'outside its window',
  zone: (n: string) => `zone ${n}`,
  wasLine: (what: string, zone: string, from: string, until: string) =>
    `${what}, zone ${zone}: ${from} to ${until}`,
  figures: {
    start: 'First water',
    mixing: 'Mixing ended',
    done: 'Last pass done',
    bags: 'Bags used',
    water: 'Water added',
    strength: 'Strength at 28 days',
    cost: 'Cost of the job',
  },
  plannedAt: (time: string) => `planned ${time}`,
  notTold: 'not told',
  ofPlanned: (n: string) => `of ${n} planned`,
  leftOver: (n: string, money: string) => `${n} left, ${money}`,
  ofFull: (mpa: string) => `of ${mpa} with a full cure`,
  probed: 'by the probe in it',
  none: 'Nothing stood out.',
  temperatures: 'Temperatures told',
  covers: 'Covers',
  coverOn: 'on',
  coverOff: 'off',
} as const);

export const faultTelling = both({
  add: 'Something is wrong',
  sign: 'What do you see?',
  choose: 'Choose…',
  place: 'Where? Press on the plan.',
  placed: (along: string, inn: string) => `${along} along, ${inn} in`,
  noPlace: 'No place is told yet.',
  note: 'In your words',
  photo: 'Add a photo',
  photoKept: 'A photo is with it.',
  tell: 'Tell it',
  strike: 'Strike it out',
  none: 'No fault was told of. May it stay so.',
  ofPicture: (sign: string) => `Photo: ${sign}`,
  plan: 'Plan of the element; press where it is',
} as const);

export const telling = both({
  intro: 'From the day sheet, in two minutes. What you leave empty is taken as planned, and teaches nothing.',
  day: 'Day',
  first: 'First water',
  lastBatch: 'Last batch in the form',
  bags: 'Bags used',
  sheen: 'Sheen gone',
  zone: (n: string) => `Zone ${n}`,
  looked: 'What it looked like',
  tell: 'Tell the day',
  told: 'This day is told. To change a line, strike it out on the board and tell it again.',
  again: 'To the board',
  wrong: 'A time on the clock, as 14:20.',
  wrongOrder: 'It has to come after the first water.',
  wrongBags: 'A number, 0 or more.',
  wantsFirst: 'When did the first water go in?',
} as const);

export const logFiles = both({
  title: 'The diary as a file',
  csv: 'As a table (CSV)',
  json: 'As JSON',
  probe: 'Read a probe log',
  probeHint:
    'A table with a time and a column such as slab_c or probe_f, written by a probe in the slab. Where it has readings they take the place of what is reckoned for strength and dates.',
  probeRead: (n: string, from: string, until: string) => `${n} readings, ${from} to ${until}.`,
  probeGap: (gap: string) => `The longest gap is ${gap} h; over more than 3 h the reckoned warmth stands.`,
  probeUse: 'Use it',
  probeUsed: 'Strength and dates go by this probe.',
} as const);

const late = (minutes: number, early: string, after: string) =>
  `${duration(Math.abs(minutes))} ${minutes < 0 ? early : after}`;

const more = (pct: number, less: string, longer: string) =>
  `${number(Math.abs(pct))} % ${pct < 0 ? less : longer}`;

type StandoutWords = { [C in Standout['code']]: (facts: Says<Standout, C>, format: Formats) => string };

/** What was not as planned, in a sentence each. */
export const standouts: StandoutWords = both({
  begun: (s) => `First water was ${late(s.laterMin, 'sooner', 'later')} than planned.`,
  mixing: (s) =>
    `Mixing took ${duration(s.tookMin)}, not ${duration(s.plannedMin)}: ${number(s.roundMin, 1)} min a batch, not ${number(s.plannedRoundMin, 1)}.`,
  passOff: (s) =>
    `Zone ${number(s.zone)}: ${passes[s.pass].toLowerCase()} ${
      s.laterMin < 0
        ? `${duration(-s.laterMin)} before the concrete was ready`
        : `${duration(s.laterMin)} too late`
    }.`,
  setting: (s) => `It set ${more(s.laterPct, 'sooner', 'later')} than planned, by its signs.`,
  sheen: (s) => `The sheen stayed ${more(s.longerPct, 'shorter', 'longer')} than reckoned.`,
  finishing: (s) => `Passes took ${more(s.longerPct, 'less', 'longer')} than planned.`,
  moreWater: (s, f) =>
    `${f.litres(s.l)} more water than planned went into ${number(s.batches)} ${s.batches === 1 ? 'batch' : 'batches'}.`,
  bags: (s) => `${number(s.used, 1)} bags were used, ${number(s.planned, 1)} were planned.`,
  layDry: (s, f) =>
    `It lay dry for ${number(s.dryH)} h while it should have been wet: that costs ${f.strength(s.lostMpa)}.`,
  stood: (s) => `Work stood still ${s.times === 1 ? 'once' : `${number(s.times)} times`}.`,
  rained: () => 'It rained on it.',
  done: (s) => `The last pass was done ${late(s.laterMin, 'sooner', 'later')} than planned.`,
});

/** Words of findings end in a full stop; the unit of water is a letter that must not be read as a word. */
export const standoutText = (s: Standout, f: Formats): string =>
  (standouts[s.code] as (facts: Standout, format: Formats) => string)(s, f);

/** What is learnt. */
export const learnt = both({
  title: 'What pours have taught',
  intro:
    'From what was told of your pours. Nothing is taken over until you say so. The figures we begin with count as four pours: with each pour of yours they count less.',
  none: 'Nothing yet: tell of a pour, and what it teaches stands here.',
  asks: 'Waits for your word',
  inUse: 'In use',
  refused: 'Refused',
  quiet: 'Known, too little to matter',
  take: 'Use it',
  refuse: 'No, and do not ask',
  undo: 'Undo',
  ask: 'Ask me again',
  from: (n: number) => (n === 1 ? 'from 1 pour' : `from ${number(n)} pours`),
  spread: (low: string, high: string) => `four in five between ${low} and ${high}`,
  now: 'used now',
  would: 'would be',
  says: 'Each pour said',
  saysOf: (what: string, all: string) => `${what}: each pour said ${all}`,
  changes: 'What would change',
  noChange: 'No job ahead would change.',
  changed: (name: string, what: string) => `${name}: ${what}`,
  mixingEnds: (after: string, before: string) => `mixing ends ${after}, not ${before}`,
  doneBy: (after: string, before: string) => `done by ${after}, not ${before}`,
  orders: (after: string, before: string) => `${after}, not ${before}`,
  goesBy: (what: string) => `Goes by what your pours have taught: ${what}.`,
  failed: 'That did not reach the program. Try again.',
  of: {
    set: 'Time to set',
    pace: 'Minutes a batch',
    finishing: 'Minutes a pass',
    waste: 'Concrete that a bed takes',
    sheen: 'How long the sheen stays',
  } satisfies Record<Enum<'LearntOf'>, string>,
  us: 'you',
  here: 'your site',
  beds: { rigid: 'rigid forms', levelled: 'a levelled base', handDug: 'hand-dug ground' },
  mixersOf: {
    drum: 'a drum',
    forced: 'a pan mixer',
    drillBucket: 'drill and bucket',
    tub: 'a tub',
    barrow: 'a barrow',
  },
  parts: 'mixed by parts',
  ready: 'by truck',
});

const named = (names: Record<string, string>, name: string): string => names[name] ?? name;

/** Whose value it is, in words; a bag by the name it is given. */
export const learntWhose = (key: LearntKey, bag: (id: string) => string): string => {
  const crew = key.who === '' ? learnt.us : key.who;
  switch (key.of) {
    case 'set':
      return `${key.what === 'parts' ? learnt.parts : key.what === 'ready' ? learnt.ready : bag(key.what)}, ${crew}`;
    case 'pace':
      return `${named(learnt.mixersOf, key.what)}, ${crew}`;
    case 'finishing':
      return crew;
    case 'waste':
      return named(learnt.beds, key.what);
    case 'sheen':
      return key.what === '' ? learnt.here : key.what;
    default:
      return key.of satisfies never;
  }
};

export const season = both({
  title: 'The season',
  link: 'The season: what was poured, and what it taught',
  pours: 'What was poured',
  none: 'No pour was told of yet.',
  when: 'Day',
  job: 'Job',
  amount: 'Concrete',
  faults: 'Faults',
  noFaults: 'none seen',
  teaches: 'In the record',
  leaveOut: 'Leave it out',
  putBack: 'Let it count again',
} as const);
