/** Words on the screens. Plain, short, as a friend on site would say it. */
import type { Enum, JobDocument, Meets, StepName, StepState } from '../../api/client';

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
};

export const yard = {
  title: 'The yard',
  newJob: 'New job',
  name: 'What are you pouring?',
  namePlaceholder: 'Path to the greenhouse',
  start: 'Start',
  openFile: 'Open a job file',
  empty: 'Nothing planned yet. Start a job: the first figures stand before you have finished typing.',
  wetNow: 'Wet now',
  coming: 'Coming up',
  done: 'Hardening and done',
  week: 'The next fortnight',
  remove: 'Remove',
  removed: (name: string) => `${name} was removed.`,
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

export const logKinds: Record<Enum<'LogKind'>, string> = {
  wetted: 'Wetted',
  covered: 'Covered against frost',
  uncovered: 'Cover taken off',
  formsOff: 'Boards off',
  coated: 'Coat laid',
  struck: 'Struck out',
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
  grind: 'Grind or sand',
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

export const day = {
  sentence: (date: string, start: string, ends: string, doneBy: string) =>
    `${date}: first water at ${start}, the last batch lies at ${ends}, and you wash the tools after ${doneBy}.`,
  last: (pass: string, opens: string, closes: string) => ` ${pass} between ${opens} and ${closes}.`,
  blocked: 'The day cannot be told yet. What is missing is said at its field, here or in an earlier step.',
  views: { hours: 'The day', starts: 'When to start' },
  sides: { when: 'When', site: 'Site and weather', passes: 'Passes' },
  sidesLabel: 'What to change or look up',
  chance: 'All goes well',
  wrong: (chance: string, fault: string | null) =>
    ` All goes well in ${chance} of 100 cases${fault === null ? '.' : `; when not, mostly because ${fault}.`}`,
  people: 'People',
  peopleCount: (n: number) => (n === 1 ? '1 pair of hands' : `${String(n)} pairs of hands`),
  dark: 'dark',
  dusk: (time: string) => `dark from ${time}`,
  dragStart: 'Start of the pour',
  dragStartValue: (time: string) => `first water at ${time}`,
  dragHint: 'Drag the start, or type it.',
  begins: (zone: number, pass: string, time: string) => `Part ${String(zone)}: ${pass} from ${time}`,
  doneBetween: (early: string, late: string) => `done between ${early} and ${late}`,
  startsTable: 'Hours in which to start, by day',
  startCell: (day: string, hour: string, what: string) => `${day}, ${hour}: ${what}`,
  startsLegend:
    'A number: all goes well in so many of a hundred cases. A letter: what is in the way most often. The best are underlined.',
  startsOne: (when: string, chance: string, done: string, early: string, late: string) =>
    `${when}: all goes well in ${chance} of 100; done at ${done}, in four cases of five between ${early} and ${late}.`,
  startsMembers: (n: string) => `Each hour was followed through ${n} ways the weather and the mix may go.`,
  startsNone: 'The job cannot be planned yet, so no hour can be judged.',
  timeline: 'The day, hour by hour',
  evaporationTitle: 'Drying in an hour, and the chance of rain from above',
  air: 'Air',
  span: (from: string, to: string) => `${from} – ${to}`,
  care: 'take care',
  act: 'protect it',
  mixing: 'Mixing',
  zones: (n: number) =>
    n === 1
      ? 'All of it is of one age.'
      : `${String(n)} bars: the parts poured first, next and last are each ready in their turn.`,
  sign: 'Go and look when the window opens. The slab decides, not the clock.',
  band: 'Pale ends: in four cases of five it opens and closes within them.',
  crewMark: 'Under them: when somebody gets to each.',
  sheenGone: 'Sheen gone',
  noSheen: 'none shows',
  mixC: 'Mix',
  initialSet: 'First set',
  finalSet: 'Final set',
  rainChance: 'Rain till set',
  peak: 'Most drying',
  doneBy: 'Last pass',
  heardRain: 'rain',
  heardWind: (wind: string) => `wind to ${wind}`,
  opens: 'opens',
  closes: 'closes',
  pass: 'Pass',
};

/** What goes wrong when a day does, and its mark. */
export const dayFaults: Record<Enum<'DayFault'>, string> = {
  rain: 'rain before it sets',
  drying: 'dries too fast',
  cold: 'too cold',
  hot: 'mix too hot',
  dark: 'a pass in the dark',
  joint: 'cold joints',
  hands: 'too few hands for a pass',
};

/** The same, after "because". */
export const dayFaultReasons: Record<Enum<'DayFault'>, string> = {
  rain: 'rain comes before it sets',
  drying: 'it dries too fast',
  cold: 'it gets too cold',
  hot: 'the mix is too hot',
  dark: 'a pass falls into the dark',
  joint: 'batches no longer join',
  hands: 'hands are too few',
};

export const dayFaultMarks: Record<Enum<'DayFault'>, string> = {
  rain: 'R',
  drying: 'D',
  cold: 'C',
  hot: 'H',
  dark: 'N',
  joint: 'J',
  hands: 'B',
};

export const cure = {
  sentence: (days: string, until: string, walk: string | null, strip: string | null) =>
    `Keep it wet ${days}, until ${until}.` +
    (strip === null ? '' : ` Strip the boards from ${strip}.`) +
    (walk === null ? '' : ` Walk on it from ${walk}.`),
  noWater: (method: string, until: string) =>
    `${method}: it keeps its own water; leave it be until ${until}.`,
  days: (n: string) => `for ${n} days`,
  hours: (n: string) => `for ${n} hours`,
  blocked: 'The cure cannot be told yet: the day before it is not worked out.',
  views: { strength: 'Strength', calendar: 'Calendar' },
  viewsLabel: 'How to look at the cure',
  sides: { wet: 'Keep wet', dates: 'From when', coats: 'Coats', diary: 'Diary' },
  sidesLabel: 'What to change or look up',
  chart: 'Strength against time',
  planned: 'With this cure',
  band: 'Four cases in five',
  none: 'Never kept wet',
  rewet: 'Wet it again every',
  next: 'Wet it next',
  overdue: (since: string) => `due since ${since}`,
  nothingDue: 'nothing more',
  until: 'Keep wet until',
  at28: 'Strength at 28 days',
  drying: 'Drying in an hour',
  dates: 'From when',
  outOfSight: 'not within 60 days',
  needs: (mpa: string) => `needs ${mpa}`,
  dryIsNotHard: 'Dry is not hard: these dates go by strength.',
  calendarTitle: 'The weeks after',
  pour: 'pour',
  wettings: (n: number) => (n === 1 ? 'wet it' : `wet it ${String(n)} times`),
  coverTonight: (least: string) => `cover for the night: down to ${least}`,
  wetEnds: 'last wet day',
  told: (what: string) => `✓ ${what}`,
  coat: (name: string, n: number) => `${name}, coat ${String(n)}`,
  coatScuff: 'scuff it first',
  coatDone: 'laid',
  coatsHint: 'As the label has it. Coats are laid into dry hours in which you work.',
  addCoat: 'Add a product',
  removeCoat: (name: string) => `Remove ${name}`,
  coatName: 'Product',
  coatCount: 'Coats',
  coatFrom: 'From day',
  coatLeast: 'Recoat from, h',
  coatMost: 'Recoat until, h',
  coatWet: 'Keep wet, h',
  coatCure: 'In use after, h',
  coatDilution: 'Water to 1',
  coatOnDry: 'Wants a dry face',
  coatsNone: 'Nothing goes on it.',
  coatsClear: 'Take all away',
  wettedNow: 'I wetted it now',
  formsOffNow: 'Boards are off',
  coveredNow: 'Covered for the night',
  uncoveredNow: 'Cover is off',
  coatedNow: (name: string) => `Laid a coat: ${name}`,
  diaryNone: 'Nothing told yet. What you tell re-times the rest.',
  diaryLater: 'The diary begins when it is poured.',
  strike: (what: string, when: string) => `Strike out: ${what}, ${when}`,
  waiting: 'kept here, not yet with the program',
  dryFor: (hours: string) => `It lay dry for ${hours}.`,
  wakeFrom: 'Up from',
  wakeUntil: 'Up until',
  frost: 'At night, over it',
  calendarFile: 'Put it in a calendar',
  calendarHint: 'A file with alarms, for the calendar of your phone.',
  alarm: (what: string, job: string) => `${job}: ${what}`,
};

/** Usual products, by the id that the program has them under. */
export const coatNames: Record<string, string> = {
  penetratingSealer: 'Penetrating sealer',
  reactiveSealer: 'Reactive sealer, kept wet',
  filmSealer: 'Film sealer',
  counterSealer: 'Two-part counter sealer',
  paint: 'Concrete paint',
  stain: 'Water stain',
};

/** The weather a job takes, and what stands over it. */
export const site = {
  shelter: 'Over it',
  shade: 'Sun',
  windbreak: 'Something breaks the wind',
  fog: 'Mist is sprayed over it',
  rainCover: 'A cover lies ready for rain',
  workFrom: 'Begin from',
  workUntil: 'Begin until',
  weather: 'Weather',
  forecast: 'The forecast',
  readFile: 'Read weather from a file',
  fileHint: 'A table of hours (CSV) or a weather year for buildings (EPW).',
  fileTooLarge: 'That file is too large to be hourly weather.',
  backToForecast: 'Back to the forecast',
  fromFile: (name: string, from: string, until: string, hours: string) =>
    `${name}: ${hours} hours, ${from} to ${until}`,
  typicalYear: 'a typical year, not a forecast',
  notRead: 'Nothing was taken from it:',
};

/** Columns of a weather file. */
export const weatherColumns: Record<string, string> = {
  time: 'the time',
  airC: 'the air temperature',
  humidity: 'the humidity',
  windKmh: 'the wind',
  sunWm2: 'sun or cloud',
  cloud: 'the cloud',
  rainChance: 'rain',
  rainMm: 'the rain',
};

export const weatherReasons: Record<string, string> = {
  notANumber: 'is no number',
  impossible: 'cannot be on this planet; look at its unit',
  incomplete: 'is missing',
  timeUnread: 'cannot be read; write it as 2027-05-07 08:00, or with an offset',
  repeated: 'stands twice',
  outOfOrder: 'goes backwards; hours must follow each other',
  tooFewRows: 'has too few rows',
  zoneUnread: 'names no zone',
};
