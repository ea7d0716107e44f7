/** What the members of closed lists are called: steps, finishes, bags, passes, milestones. */
import { both } from './english';
import type { Enum, EventKind, JobDocument, Meets, StepName, StepState } from '../api/client';

export const steps: Record<StepName, string> = both({
  shape: 'Shape',
  build: 'Build',
  mix: 'Mix',
  load: 'Load',
  buy: 'Buy',
  day: 'Day',
  pour: 'Pour',
  cure: 'Cure',
  lookBack: 'Look back',
});

export const severities: Record<Enum<'Severity'>, string> = both({
  note: 'Note',
  caution: 'Take care',
  warning: 'Decide',
  error: 'Mend',
});

export const stepStates: Record<StepState, string> = both({
  settled: 'settled',
  wantsDecision: 'wants a decision',
  blocked: 'something is missing',
});

export const meets: Record<Meets, string> = both({
  form: 'form board',
  wall: 'house wall',
  oldSlab: 'old slab',
  earlierPanel: 'earlier panel',
  open: 'left open',
});

export const finishes: Record<Enum<'Finish'>, string> = both({
  mag: 'Floated (mag)',
  broom: 'Broomed',
  steel: 'Steel trowelled, hard',
  steelOnce: 'Steel trowelled once',
  rubbed: 'Stripped early and rubbed',
  exposed: 'Stones exposed',
  pebbles: 'Pebbles, washed clean',
  groundLater: 'Left flat, ground later',
  asCast: 'Left as it is struck off',
});

export const beds: Record<Enum<'Bed'>, string> = both({
  rigid: 'Rigid mould',
  levelled: 'Levelled stone',
  handDug: 'Hand-dug ground',
});

export const bagKinds: Record<Enum<'BagKind'>, string> = both({
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
});

export const exposures: Record<Enum<'Exposure'>, string> = both({
  noFreezing: 'Never freezes',
  freezesSeldomWet: 'Freezes, seldom wet',
  freezesOftenWet: 'Freezes, often wet',
  deIcingSalt: 'De-icing salt',
});

export const consistencies: Record<Enum<'Consistency'>, string> = both({
  crumbly: 'Crumbly',
  balling: 'Balling',
  stiff: 'Stiff',
  plastic: 'Plastic',
  soft: 'Soft',
  pouring: 'Pouring',
});

export const consistencyTests: Record<Enum<'Consistency'>, string> = both({
  crumbly: 'It falls apart in the hand; only for ramming.',
  balling: 'A squeezed ball holds and leaves the glove damp.',
  stiff: 'A heap stands with a blunt top; it needs tamping.',
  plastic: 'A heap sags by a hand’s breadth and its face closes under the shovel.',
  soft: 'It slides off the shovel and finds the corners with a nudge.',
  pouring: 'It levels by itself in the bucket.',
});

export const moistures: Record<Enum<'Moisture'>, string> = both({
  dry: 'Dry: runs through the fingers',
  damp: 'Damp: a squeezed ball just holds',
  wet: 'Wet: a ball holds and leaves water on the hand',
  afterRain: 'After rain: water drips from the heap',
});

export const mixers: Record<JobDocument['mixing']['mixer']['kind'], string> = both({
  drum: 'Drum mixer',
  forced: 'Pan mixer with paddles',
  drillBucket: 'Drill and bucket',
  tub: 'Tub and hoe',
  barrow: 'Wheelbarrow',
});

export const curing: Record<Enum<'CuringMethod'>, string> = both({
  bare: 'Hose on the bare slab',
  burlap: 'Wet burlap',
  burlapUnderPlastic: 'Burlap under plastic',
  plastic: 'Plastic, laid flat',
  ponding: 'Water standing on it',
  inForm: 'Left in its form, covered',
  compound: 'Curing compound',
  cureAndSeal: 'Cure and seal in one',
});

/** What to watch with each method. */
export const curingHints: Record<Enum<'CuringMethod'>, string> = both({
  bare: 'A fine spray; water no more than 11 °C (20 °F) colder than the slab.',
  burlap: 'Soaked, touching everywhere; water no more than 11 °C (20 °F) colder than the slab.',
  burlapUnderPlastic: 'Soaked burlap, plastic over it, its edges weighed down.',
  plastic: 'Laid flat and touching: wrinkles stain. Look under it and wet it again each day.',
  ponding: 'A low bank round it; the first water when the surface takes it without marking.',
  inForm: 'The form stays on and the face is covered; take care when it comes off.',
  compound: 'A litre to 5 m², as soon as the sheen is gone; sealers and paints may not hold on it.',
  cureAndSeal: 'On the day, as its label says; it is the sealer too.',
});

export const frostGuards: Record<Enum<'FrostGuard'>, string> = both({
  none: 'Nothing',
  movingBlanket: 'Blankets',
  foam: 'Foam, 25 mm',
  straw: 'Dry straw, 100 mm, under plastic',
});

export const shelters: Record<Enum<'Shelter'>, string> = both({
  open: 'Nothing',
  roof: 'A roof or a tent',
  indoors: 'Indoors',
});

export const shades: Record<Enum<'Shade'>, string> = both({
  none: 'Full sun',
  halfDay: 'Shade half the day',
  allDay: 'Shade all day',
});

export const eventKinds: Record<EventKind, string> = both({
  dayBegun: 'The day begins',
  batchMixing: 'Batch begun',
  batchPlaced: 'Batch placed',
  struckOff: 'Struck off',
  waterAdded: 'Water added',
  temperature: 'Temperature read',
  sheenGone: 'Sheen gone',
  thumbTest: 'Thumb test',
  passBegun: 'Pass begun',
  passDone: 'Pass done',
  handsChanged: 'Hands changed',
  jointMade: 'Joint made',
  misted: 'Misted',
  dayClosed: 'The day is closed',
  coverOn: 'Covered',
  coverOff: 'Cover taken off',
  rain: 'Rain',
  paused: 'Work stopped',
  trouble: 'Trouble',
  noted: 'Note',
  photo: 'Photo',
  taskDone: 'Task done',
  usedUp: 'Used up',
  wetted: 'Wetted',
  boardsOff: 'Boards off',
  coated: 'Coat laid',
  castLifted: 'Lifted out of the mould',
  goodBought: 'Bought',
  goodMissing: 'Not to be had',
  faultSeen: 'Something looks wrong',
  probeRead: 'Read by a probe',
  withdrawn: 'Struck out',
});

export const passes: Record<Enum<'Pass'>, string> = both({
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
});

export const passSigns: Record<Enum<'Pass'>, string> = both({
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
});

export const milestones: Record<Enum<'Milestone'>, string> = both({
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
});

export const loading: Record<Enum<'LoadingStep'>, string> = both({
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
});

export const courses: Record<Enum<'Course'>, string> = both({
  base: 'Base',
  topping: 'Topping',
  bed: 'Bed',
  slurry: 'Slurry',
});
