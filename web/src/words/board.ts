/** Words of the board on the day, as a friend on site would say them. */
import { both } from './english';
import type { Enum } from '../api/client';

export const board = both({
  title: 'Pour',
  whichPour: 'Which pour',
  pour: (n: string, holds: string) => `Pour ${n}: ${holds}`,
  back: 'Back to the plan',
  planned: (time: string) => `Planned for ${time}.`,
  staging: {
    title: 'Before the first water',
    ready: 'All of it is made ready.',
    when: (sign: string) => `Done when ${sign}.`,
    before: (n: string, some: string) =>
      n === '1' ? `Not ticked before that: ${some}.` : `${n} not ticked before that: ${some} …`,
  },
  begin: 'Begin the day',
  beginHint: 'Everything measured out, boards checked, hoses on, gloves and goggles on?',
  now: 'Now',
  next: 'Next',
  later: 'Then',
  nothing: 'Nothing is due. Look at the slab now and then.',
  allDone: 'All passes are made.',
  zone: (n: string) => `Zone ${n}`,
  allZones: 'the whole slab',
  at: (time: string) => `from ${time}`,
  until: (time: string) => `until ${time}`,
  in: (span: string) => `in ${span}`,
  days: (n: string) => `${n} days`,
  atOnce: 'now',
  knitsUntil: (time: string) => `knits until ${time}`,
  waitsFor: (n: string) => `Nothing lies here before batch ${n} is placed.`,
  liesAlready: 'It lies already',
  left: (span: string) => `${span} left`,
  over: (span: string) => `${span} over`,
  states: { soon: 'Soon', open: 'Now', closing: 'Closing', missed: 'Late', begun: 'In hand', calm: 'Next' },
  beginPass: 'Begun',
  donePass: 'Done',
  batch: (n: string, of: string) => `Batch ${n} of ${of}`,
  mixNext: 'Into the mixer',
  inMixer: 'In the mixer',
  placed: 'Placed',
  batchesDone: (n: string, of: string) => `${n} of ${of} placed`,
  endsAt: (time: string, planned: string) => `Mixing ends ${time} (planned ${planned})`,
  endedAt: (time: string, planned: string) => `Mixing ended ${time} (planned ${planned})`,
  pace: (share: string) => `a round takes ${share} of its time`,
  joint: (age: string, limit: string) => `Oldest joint ${age}, limit ${limit}`,
  coming: 'What comes',
  views: { now: 'News', mix: 'Mix', zones: 'Zones', day: 'Day' },
  viewsLabel: 'Parts of the board',
  wet: 'wet',
  placing: 'placing',
  rests: 'rests',
  finished: 'done',
  map: 'What each zone is ready for',
  mapAt: (time: string) => `As of ${time}`,
  mapNow: 'Back to now',
  scrub: 'Look through the day',
  pickZone: 'Choose a zone on the plan.',
  seen: 'What do you see?',
  sheenGone: 'Sheen gone',
  thumb: 'Look for the sheen; press a firm thumb in:',
  laterPct: (n: string) => `sets ${n} % later than planned`,
  soonerPct: (n: string) => `sets ${n} % sooner than planned`,
  asPlanned: 'sets as planned',
  giveOrTake: (n: string) => `give or take ${n} %`,
  changed: (zone: string, how: string) => `${zone} ${how}`,
  changedSheen: (zone: string) => `${zone}: the sheen is gone`,
  window: (pass: string, from: string, to: string) => `${pass} ${from}–${to}`,
  wasWindow: (from: string, to: string) => `was ${from}–${to}`,
  why: 'Why?',
  takeBack: (what: string) => `Take back: ${what}`,
  takenBack: 'Taken back',
  strike: 'Strike out',
  diary: 'Told today',
  none: 'Nothing told yet.',
  more: 'Something else',
  water: 'Water over plan',
  temperature: 'Temperature',
  rain: 'Rain',
  coverOn: 'Cover on',
  coverOff: 'Cover off',
  mist: 'Misted',
  pause: 'Pause',
  trouble: 'Trouble',
  note: 'Note',
  photo: 'Photo',
  photoWrong: {
    unreadable: 'This cannot be read as a picture. Take another, as JPEG or PNG.',
    notKept: 'There is no room for it on this device, or the browser lets nothing be kept: it was not taken.',
    refused: 'This job takes no more pictures: what it refused stays on this device.',
  },
  usedUp: 'Bags used up',
  bags: (n: string) => (n === '1' ? '1 bag' : `${n} bags`),
  hands: 'Hands',
  say: 'Write it down',
  noteLabel: 'In your words (the keyboard’s microphone takes it down too)',
  less: 'Less',
  moreOf: 'More',
  ofBatch: (n: string) => `into batch ${n}`,
  whichTemperature: 'Whose temperature',
  close: 'Close the day',
  closing: {
    title: 'The day is done',
    washed: 'Mixer and tools are washed',
    covered: 'The cover is on',
    holdBack: 'What was kept back is used up',
    left: 'Bags left over, unopened',
    done: 'Close it',
  },
  closed: (time: string) => `The day was closed at ${time}. Curing goes on from what really happened.`,
  toCure: 'On to Cure',
  ahead: 'Coming up',
  roles: { all: 'All of it', mixing: 'Mixing', placing: 'Placing', finishing: 'Finishing' },
  role: 'I do',
  here: (n: string) => `${n} on site`,
  alone: 'You alone',
  hereLong: 'Who has this board open',
  nameless: 'A phone',
  yourName: 'This phone is called',
  clockOff: (span: string) => `This phone’s clock is off by ${span}; the program’s time is used.`,
  offline: 'No connection: kept here, sent later.',
  plannedAt: (time: string) => `Hours as planned at ${time}; kept here.`,
  plansHere: 'No connection: planned here, sent later.',
  waiting: (n: string) => `${n} kept here, to be sent`,
  settings: 'Sound, voice, night',
  sound: 'Sound',
  vibrate: 'Vibration',
  voice: 'Speak it',
  night: 'Night colours',
  awake: 'The screen stays on.',
  byItself: {
    whole: 'With no connection this device plans by itself: it has all that it needs.',
    not: 'This device is still fetching what it needs to plan with no connection.',
    cannot:
      'With no connection this device shows what it has seen, and keeps what you tell. To plan by itself it must be opened over HTTPS.',
  },
  notAwake: 'This browser lets the screen go dark: set the phone not to sleep.',
  noDay: 'This pour has no day yet: settle Shape, Mix, Load and Day first.',
  steps: 'Load it in this order',
  rehearse: {
    title: 'Rehearsal',
    hint: 'A made-up day: its weather and its set are drawn from what is in doubt, and hidden. Nothing of it is kept.',
    seed: (n: string) => `Day ${n}`,
    another: 'Another day',
    speed: (n: string) => `${n}×`,
    pause: 'Pause the clock',
    go: 'Run the clock',
    jump: 'To what is next',
    mixed: 'Mix the rest as planned',
    see: 'You see',
    sheen: 'water on the face',
    noSheen: 'no water on the face',
    review: 'How it went',
    well: 'Every pass was made at its time.',
    hiddenZone: (zone: string, how: string, dry: string) => `${zone} really ${how}${dry}`,
    dryAt: (time: string) => `, dry at ${time}`,
    open: 'Rehearse it',
  },
  sheet: { close: 'Back to the board' },
} as const);

/** Days that are rehearsed before they are real. */
export const lessons: Record<Enum<'Lesson'>, { name: string; about: string }> = both({
  hotWindyAfternoon: {
    name: 'Hot, windy afternoon',
    about:
      'Begun at half past twelve in sun and wind: the face dries before it has bled, and no pass waits. Look early, mist, and do not work what is only skinned over.',
  },
  coldSlowDay: {
    name: 'Cold, slow day',
    about:
      'Little happens for hours, and water stands long. A float on it spoils the face: wait for the sheen, and mind the dark.',
  },
  mixingOutlastsFirstZone: {
    name: 'Still mixing when the first zone is ready',
    about:
      'Two people and a large slab: the first zone wants its float while you are still mixing. Who leaves the mixer, and when?',
  },
});

export const thumbMarks: Record<Enum<'ThumbMark'>, string> = both({
  deeper: 'sinks deep',
  sixMm: 'dents 6 mm',
  threeMm: 'dents 3 mm',
  none: 'no dent',
  noLightPrint: 'light finger: no print',
});

/** What a zone is ready for; the pass is put to it where there is one. */
export const readiness: Record<Enum<'Readiness'>, (pass: string) => string> = both({
  empty: () => 'empty',
  placing: () => 'being placed',
  sheen: () => 'water on it: leave it',
  rests: () => 'rests',
  ready: (pass) => `ready: ${pass}`,
  inHand: (pass) => `in hand: ${pass}`,
  late: (pass) => `late: ${pass}`,
  finished: () => 'finished',
});

/** Passes as one short word, for a map. */
export const shortPasses: Record<Enum<'Pass'>, string> = both({
  strikeOff: 'strike off',
  bullFloat: 'bull float',
  washSlurry: 'wash',
  edgeAndFloat: '1st float',
  secondFloat: '2nd float',
  exposeStone: 'expose',
  broom: 'broom',
  firstTrowel: 'trowel',
  stripAndRub: 'strip, rub',
  hardTrowel: 'hard trowel',
  sawJoints: 'saw',
});

export const toldTemperatures: Record<Enum<'ToldTemperature'>, string> = both({
  air: 'Air',
  mix: 'Mix',
  slab: 'Slab',
  water: 'Water',
});

/** Said aloud when something opens, nears its end or was missed. */
export const spoken = both({
  open: (zone: string, pass: string, until: string) => `Zone ${zone}: ${pass} now, until ${until}`,
  closing: (zone: string, pass: string, until: string) => `Zone ${zone}: ${pass} closes at ${until}`,
  missed: (zone: string, pass: string) => `Zone ${zone}: ${pass} is late`,
  joint: {
    closing: (batch: string, until: string) => `Batch ${batch} knits with the one before it until ${until}`,
    missed: (batch: string, until: string) =>
      `Batch ${batch} was to knit by ${until}: make a joint before it`,
  },
});

/** Where no sign tells, nothing is said of one. */
const bySign = (sign: string) => (sign === '' ? '' : `; the thumb ${sign}`);

/** What a pass at the wrong time left behind, by how much, and which sign would have told. */
export const finishFaults: Record<
  Enum<'FinishFault'>,
  (pass: string, minutes: string, sign: string) => string
> = {
  workedInWater: (pass, minutes) =>
    `${pass}: water stood on the face and was worked in; it will dust. Right ${minutes}; the sheen tells.`,
  shutOverBleeding: (pass, minutes, sign) =>
    `${pass}: the face was shut while water still rose; blisters. Right ${minutes}${bySign(sign)}.`,
  tooSoft: (pass, minutes, sign) =>
    `${pass}: too soft, edges close again and lines tear. Right ${minutes}${bySign(sign)}.`,
  tooHard: (pass, minutes, sign) =>
    `${pass}: past closing, nothing takes any more. Right ${minutes}${bySign(sign)}.`,
};

export const faultTimes = both({
  later: (span: string) => `${span} later`,
  sooner: (span: string) => `${span} sooner`,
});
