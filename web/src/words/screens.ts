/** Words on the screens. Plain, short, as a friend on site would say it. */
import type { Enum, JobDocument, Meets, StepName, StepState, EventKind } from '../api/client';

export const app = {
  name: 'Set Firm',
  windowTitle: (page: string) => (page === 'Set Firm' ? page : `${page} – Set Firm`),
  home: 'Set Firm, to the yard',
  jobName: 'Name of the job',
  steps: 'Steps of the job',
  skip: 'Skip to the plan',
  loading: 'Reading…',
  notFound: 'Nothing is here.',
  backToYard: 'Back to the yard',
  simulated: 'Simulated weather, made up for trying things out. Look at a real forecast before you pour.',
  simulatedShort: 'Simulated weather: look at a real forecast before you pour.',
  keys: 'Keys',
  keysTitle: 'Keys',
  light: 'Light',
  dark: 'Dark',
  scheme: (dark: boolean) => (dark ? 'Switch to light' : 'Switch to dark'),
  close: 'Close',
  broken: 'This page broke.',
  brokenLong:
    'That is our fault, not yours. What you typed is kept on this device; take it away as a file to be sure, and try again.',
  saveTyped: 'Save what I typed',
  tryAgain: 'Try again',
  failed: 'That did not work.',
  noServer:
    'The program does not answer. What you typed is kept on this device and will be sent when it is back.',
};

export const keyList: [string, string][] = [
  ['1 – 7', 'go to a step'],
  ['y', 'back to the yard'],
  ['u', 'metric or US customary'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['?', 'this list'],
];

export const steps: Record<StepName, string> = {
  shape: 'Shape',
  build: 'Build',
  mix: 'Mix',
  load: 'Load',
  buy: 'Buy',
  day: 'Day',
  cure: 'Cure',
};

export const severities: Record<Enum<'Severity'>, string> = {
  note: 'Note',
  caution: 'Take care',
  warning: 'Decide',
  error: 'Mend',
};

export const stepStates: Record<StepState, string> = {
  settled: 'settled',
  wantsDecision: 'wants a decision',
  blocked: 'something is missing',
};

export const save = {
  saved: 'Saved',
  saving: 'Saving…',
  waiting: 'Kept on this device; waiting for the program',
  notKept: 'Not kept yet',
  notKeptLong:
    'This browser’s storage is full or shut: what you typed is on this page only. Leave it open until the program has it, or save a copy.',
  lineRefused: (why: string) => `A line of the diary was refused, and waits on this device. ${why}`,
  lineNotKept:
    'A line of the diary is kept on this page only: this browser’s storage is full or shut. Leave the page open until the program has it.',
  waits: (what: string) => `Waiting on this device: ${what}.`,
  aDraft: 'changes to a job',
  someLines: (n: string) => `${n} lines of a diary`,
  waitsConflict: 'The job was changed elsewhere: open it and choose.',
  conflict: 'Changed elsewhere',
  conflictLong: 'This job was changed elsewhere while you worked on it here.',
  keepMine: 'Keep mine',
  takeTheirs: 'Take theirs',
  refused: 'Not saved: this change was refused.',
  undo: 'Undo',
  redo: 'Redo',
  units: (us: boolean) => (us ? 'US units' : 'Metric'),
  unitsSwap: (us: boolean) => (us ? 'US units: show in metric' : 'Metric: show in US units'),
  download: 'Save a copy',
  versions: 'As it was before',
  versionsHint: 'Take one back: what stands now is kept too, and undo brings it back.',
  noVersions: 'It was not changed yet.',
  asItWas: (when: string) => `As it was on ${when}`,
  takeBack: 'Take it back',
  versionGone: 'It is not kept any more.',
};

export const yard = {
  title: 'The yard',
  newJob: 'New job',
  name: 'What you call it',
  whatIsPoured: 'What is poured?',
  start: 'Start',
  openFile: 'Open a job file',
  backup: 'Save a backup',
  empty: 'Nothing planned yet. Start a job: the first figures stand before you have finished typing.',
  wetNow: 'Wet now',
  coming: 'Coming up',
  done: 'Hardening and done',
  week: 'The next fortnight',
  remove: 'Remove',
  removed: (name: string) => `${name} was removed.`,
  changedMeanwhile: (name: string) =>
    `${name} was changed elsewhere meanwhile, so it was not removed. Look at it first.`,
  removedJobs: (n: string) => `Removed jobs (${n})`,
  removedOn: (date: string) => `removed ${date}`,
  emptyRemoved: 'Empty: gone for good',
  emptySure: 'Really? They cannot be brought back.',
  pending: 'being planned…',
  unplannable: 'could not be planned: open it to see why',
  bringBack: 'Bring it back',
  bags: (n: string) => `${n} bags`,
  keptWet: (until: string | null, next: string | null, walk: string | null) =>
    [until && `until ${until}`, next && `wet it next ${next}`, walk && `walk on it from ${walk}`]
      .filter(Boolean)
      .join('; '),
  doneBy: (time: string) => `done by ${time}`,
  poured: (date: string) => `poured ${date}`,
  rain: (chance: string) => `${chance} rain`,
  range: (low: string, high: string) => `${low} to ${high}`,
  dry: 'dry',
  decisions: (n: number) => (n === 1 ? '1 thing to decide' : `${String(n)} things to decide`),
  unreadable: 'That file is not a job.',
  nextPour: (when: string, which: string) => `Then ${which}: ${when}.`,
  phase: {
    unfinished: 'Not worked out yet',
    planned: 'Planned',
    pouring: 'Pour day',
    keepWet: 'Keep it wet',
    hardening: 'Hardening',
    done: 'Done',
  } satisfies Record<Enum<'JobPhase'>, string>,
};

export const meets: Record<Meets, string> = {
  form: 'form board',
  wall: 'house wall',
  oldSlab: 'old slab',
  earlierPanel: 'earlier panel',
  open: 'left open',
};

export const finishes: Record<Enum<'Finish'>, string> = {
  mag: 'Floated (mag)',
  broom: 'Broomed',
  steel: 'Steel trowelled, hard',
  steelOnce: 'Steel trowelled once',
  rubbed: 'Stripped early and rubbed',
  exposed: 'Stones exposed',
  pebbles: 'Pebbles, washed clean',
  groundLater: 'Left flat, ground later',
  asCast: 'Left as it is struck off',
};

export const beds: Record<Enum<'Bed'>, string> = {
  rigid: 'Rigid mould',
  levelled: 'Levelled stone',
  handDug: 'Hand-dug ground',
};

export const bagKinds: Record<Enum<'BagKind'>, string> = {
  general: 'General concrete mix',
  highStrength: 'High-strength mix',
  fibreCrackResisting: 'Fibre mix',
  fastHighStrength: 'Fast high-strength mix',
  rapidHardening: 'Rapid-hardening mix',
  rapidMortar: 'Rapid-hardening mortar',
  topping: 'Sand and topping mix',
  mortar: 'Mortar mix',
  countertop: 'Countertop mix, two-part',
  own: 'A bag of your own',
};

export const exposures: Record<Enum<'Exposure'>, string> = {
  noFreezing: 'Never freezes',
  freezesSeldomWet: 'Freezes, seldom wet',
  freezesOftenWet: 'Freezes, often wet',
  deIcingSalt: 'De-icing salt',
};

export const consistencies: Record<Enum<'Consistency'>, string> = {
  crumbly: 'Crumbly',
  balling: 'Balling',
  stiff: 'Stiff',
  plastic: 'Plastic',
  soft: 'Soft',
  pouring: 'Pouring',
};

export const consistencyTests: Record<Enum<'Consistency'>, string> = {
  crumbly: 'It falls apart in the hand; only for ramming.',
  balling: 'A squeezed ball holds and leaves the glove damp.',
  stiff: 'A heap stands with a blunt top; it needs tamping.',
  plastic: 'A heap sags by a hand’s breadth and its face closes under the shovel.',
  soft: 'It slides off the shovel and finds the corners with a nudge.',
  pouring: 'It levels by itself in the bucket.',
};

export const moistures: Record<Enum<'Moisture'>, string> = {
  dry: 'Dry: runs through the fingers',
  damp: 'Damp: a squeezed ball just holds',
  wet: 'Wet: a ball holds and leaves water on the hand',
  afterRain: 'After rain: water drips from the heap',
};

export const mixers: Record<JobDocument['mixing']['mixer']['kind'], string> = {
  drum: 'Drum mixer',
  forced: 'Pan mixer with paddles',
  drillBucket: 'Drill and bucket',
  tub: 'Tub and hoe',
  barrow: 'Wheelbarrow',
};

export const curing: Record<Enum<'CuringMethod'>, string> = {
  bare: 'Hose on the bare slab',
  burlap: 'Wet burlap',
  burlapUnderPlastic: 'Burlap under plastic',
  plastic: 'Plastic, laid flat',
  ponding: 'Water standing on it',
  inForm: 'Left in its form, covered',
  compound: 'Curing compound',
  cureAndSeal: 'Cure and seal in one',
};

/** What to watch with each method. */
export const curingHints: Record<Enum<'CuringMethod'>, string> = {
  bare: 'A fine spray; water no more than 11 °C (20 °F) colder than the slab.',
  burlap: 'Soaked, touching everywhere; water no more than 11 °C (20 °F) colder than the slab.',
  burlapUnderPlastic: 'Soaked burlap, plastic over it, its edges weighed down.',
  plastic: 'Laid flat and touching: wrinkles stain. Look under it and wet it again each day.',
  ponding: 'A low bank round it; the first water when the surface takes it without marking.',
  inForm: 'The form stays on and the face is covered; take care when it comes off.',
  compound: 'A litre to 5 m², as soon as the sheen is gone; sealers and paints may not hold on it.',
  cureAndSeal: 'On the day, as its label says; it is the sealer too.',
};

export const frostGuards: Record<Enum<'FrostGuard'>, string> = {
  none: 'Nothing',
  movingBlanket: 'Blankets',
  foam: 'Foam, 25 mm',
  straw: 'Dry straw, 100 mm, under plastic',
};

export const shelters: Record<Enum<'Shelter'>, string> = {
  open: 'Nothing',
  roof: 'A roof or a tent',
  indoors: 'Indoors',
};

export const shades: Record<Enum<'Shade'>, string> = {
  none: 'Full sun',
  halfDay: 'Shade half the day',
  allDay: 'Shade all day',
};

export const eventKinds: Record<EventKind, string> = {
  batchMixing: 'Batch begun',
  batchPlaced: 'Batch placed',
  struckOff: 'Struck off',
  waterAdded: 'Water added',
  temperature: 'Temperature read',
  sheenGone: 'Sheen gone',
  thumbTest: 'Thumb test',
  passBegun: 'Pass begun',
  passDone: 'Pass done',
  coverOn: 'Covered',
  coverOff: 'Cover taken off',
  rain: 'Rain',
  paused: 'Work stopped',
  trouble: 'Trouble',
  noted: 'Note',
  photo: 'Picture',
  usedUp: 'Used up',
  wetted: 'Wetted',
  boardsOff: 'Boards off',
  coated: 'Coat laid',
  castLifted: 'Lifted out of the mould',
  withdrawn: 'Struck out',
};

export const passes: Record<Enum<'Pass'>, string> = {
  strikeOff: 'Strike off',
  bullFloat: 'Bull float',
  washSlurry: 'Wash the slurry off',
  edgeAndFloat: 'Edge and first float',
  secondFloat: 'Second float',
  exposeStone: 'Wash the stones free',
  broom: 'Broom',
  firstTrowel: 'First trowel',
  stripAndRub: 'Strip and rub',
  hardTrowel: 'Hard trowel',
  sawJoints: 'Saw the joints',
};

export const passSigns: Record<Enum<'Pass'>, string> = {
  strikeOff: 'as each batch lands',
  bullFloat: 'cream closes the holes; stop before water shows',
  washSlurry: 'the pebbles stay when brushed',
  edgeAndFloat: 'the sheen is gone; the edger’s line does not close again',
  secondFloat: 'a thumb dents it about 6 mm',
  exposeStone: 'the stones hold under the brush',
  broom: 'a thumb dents it about 3 mm; the broom leaves no tear',
  firstTrowel: 'a light print, no paste on the trowel',
  stripAndRub: 'the form, slid up, leaves the edge standing',
  hardTrowel: 'the blade rings',
  sawJoints: 'the edge of the cut does not ravel',
};

export const milestones: Record<Enum<'Milestone'>, string> = {
  freezeOnce: 'Frost does no more harm',
  stripEdges: 'Strip the boards',
  walk: 'Walk on it',
  turnPiece: 'Out of the mould and turned',
  furniture: 'Furniture and daily use',
  sand: 'Sand and rub by hand',
  grind: 'Grind into the stone',
  cars: 'Cars',
  freezeOften: 'Stands winters',
  full: 'Full strength',
};

export const loading: Record<Enum<'LoadingStep'>, string> = {
  halfTheWater: 'half the water',
  additive: 'the additive',
  stone: 'the stone',
  sand: 'the sand',
  mostOfTheBallast: 'three quarters of the ballast',
  halfTheCement: 'half the cement',
  restOfDry: 'the rest of ballast and cement',
  cement: 'the cement',
  colour: 'the colour',
  addedCement: 'the added cement',
  fibre: 'the fibre, sprinkled in',
  mixOn: 'let it mix',
  bags: 'the bags, one after another',
  dryMaterial: 'sand, stone and cement',
  mixDry: 'turn it dry until one colour',
  mostOfTheWater: 'most of the water',
  firstBagWet: 'the first bag, mixed wet',
  secondBagToPlan: 'the rest, which brings it to plan',
  powderSlowly: 'the powder, slowly, the drill running',
  restOfWaterByEye: 'the rest of the water by eye',
};

export const shape = {
  sentence: (area: string, thickness: string, net: string, order: string, waste: string) =>
    `${area} at ${thickness} is ${net} as drawn. Have ${order} ready: ${waste} more for what the ground swallows.`,
  many: (n: number, area: string, net: string, order: string) =>
    `${String(n)} elements, ${area} in all: ${net} as drawn, ${order} to have ready.`,
  path: (length: string, what: string, net: string, order: string, waste: string) =>
    `${length} of ${what} is ${net} as drawn. Have ${order} ready: ${waste} more for what is spilt.`,
  pieces: (n: string, what: string, net: string, order: string, mass: string) =>
    `${n} of ${what} are ${net} as drawn, ${order} to have ready. One weighs ${mass}.`,
  one: (what: string, net: string, order: string, mass: string) =>
    `${what}: ${net} as drawn, ${order} to have ready. It will weigh ${mass}.`,
  blocked: 'The outline does not stand yet. What is wrong is said at its field.',
  length: 'Length',
  weight: 'One weighs',
  fallFigure: 'Lowest corner',
  below: (mm: string) => `${mm} down`,
  partsNote: (parts: string) => parts,
  radius: (r: string) => `r ${r}`,
  wayOut: 'way out',
  plan: (name: string) => `Plan of ${name}, to scale`,
  area: 'Area',
  net: 'As drawn',
  order: 'To have ready',
  perimeter: 'Round the edge',
  misfit: 'Tapes missed by',
  edgeButton: (n: number, length: string, what: string) =>
    `Edge ${String(n)}: ${length} ${what}, press to change`,
  manyEdges: (n: number) => `An outline of ${String(n)} edges.`,
  legend: 'Press an edge to change what it meets.',
  scaleBar: 'scale',
};

export const why = {
  button: (what: string) => `Why? ${what}`,
  short: 'Why?',
  source: 'Source',
  holds: 'holds for',
};

export const courses: Record<Enum<'Course'>, string> = {
  base: 'Base',
  topping: 'Topping',
  bed: 'Bed',
  slurry: 'Slurry',
};

export const pours = {
  strip: 'Pours of this job',
  noDay: 'no day yet',
  states: { coming: 'to come', now: 'under way', poured: 'poured' },
  casting: (name: string, n: string) => `${name}, casting ${n}`,
  panels: (name: string, list: string) => `${name}, ${list.includes(',') ? 'panels' : 'panel'} ${list}`,
  course: (name: string, course: string) => `${name}, ${course}`,
  title: 'What is poured when',
  part: { panel: (n: string) => `Panel ${n}`, casting: (n: string) => `Casting ${n}` },
  ownDay: 'A day of its own',
  on: (n: string, day: string) => `Pour ${n}: ${day}`,
  workDays: 'You pour on',
  workDayNames: {
    any: 'any day',
    weekdays: 'weekdays',
    evenings: 'weekday evenings',
    weekends: 'weekends',
  } satisfies Record<Enum<'WorkDays'>, string>,
  split: 'Shared out',
  splits: { asNeeded: 'as few pours as will do', everyOther: 'every other panel first' } satisfies Record<
    Enum<'PourSplit'>,
    string
  >,
  pickPanel: (n: number) => `Panel ${String(n)}: choose its day`,
  ofMany: (n: string, all: string) => `pour ${n} of ${all}`,
  mixOf: 'Mix',
  toppingMix: 'Mix of the topping',
  slurryMix: 'Mix of the slurry',
  cementAndWater: 'Cement and water',
  hands: 'Hands for this pour',
  one: (n: string) => `Pour ${n}`,
  titled: (title: string, n: string) => `${title} (pour ${n})`,
};
