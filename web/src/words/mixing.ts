/** Words of the mix, of the batches and of what is measured. */
import { both } from './english';
import type { Additive, Enum } from '../api/client';

/** Half a bag and one bag, but two bags. */
const oneAtMost = (text: string): boolean => ['¼', '½', '¾', '1'].includes(text);

/** What measuring is done with, one and many. */
export const containers: Record<Enum<'ContainerKind'>, [one: string, many: string]> = both({
  bucket: ['bucket', 'buckets'],
  shovel: ['shovel', 'shovels'],
  barrow: ['barrow', 'barrows'],
  box: ['box', 'boxes'],
  jug: ['jug', 'jugs'],
});

export const containerKinds: Record<Enum<'ContainerKind'>, string> = both({
  bucket: 'Bucket',
  shovel: 'Shovel',
  barrow: 'Barrow',
  box: 'Box',
  jug: 'Jug',
});

export const counted = (text: string, kind: Enum<'ContainerKind'>): string =>
  `${text} ${containers[kind][oneAtMost(text) ? 0 : 1]}`;

export const things: Record<Enum<'MeasuredThing'>, string> = both({
  bag: 'bags',
  addedCement: 'cement on top',
  cement: 'cement',
  sand: 'sand',
  stone: 'stone',
  ballast: 'ballast',
  water: 'water',
  additive: 'additive',
  pigment: 'pigment',
  polymer: 'polymer',
  fibre: 'fibre',
  readyMix: 'off the truck',
});

export const additives: Record<Additive, string> = both({
  retarder: 'Retarder',
  accelerator: 'Accelerator, no chloride',
  chlorideAccelerator: 'Accelerator, chloride',
  plasticiser: 'Plasticiser',
  airEntrainer: 'Air entrainer',
  antifreeze: 'Antifreeze',
  pigment: 'Pigment, % of cement',
  polymer: 'Polymer, % of cement',
});

export const partsSchools: Record<NonNullable<Enum<'PartsSchool'>>, [name: string, reason: string]> = both({
  oneTwoThree: ['1 : 2 : 3', 'the usual for slabs: strong, and it closes under the float'],
  oneFourBallast: ['1 : 4 all-in ballast', 'one heap instead of two; good where the ballast is good'],
  oneTwoFour: ['1 : 2 : 4', 'less cement; only stiff, with 20 mm stone, and for paths'],
  oneSixBallast: ['1 : 6 all-in ballast', 'in the ground strength is not needed; cheap'],
  leanSplit: ['1 : 2½ : 4', 'the same from sand and stone'],
  richSplit: ['1 : 2 : 2', 'half as much cement again: edges that feet and wheels wear'],
  richBallast: ['1½ : 5 all-in', 'the same from one heap'],
  fineSand: ['1 : 3 fine sand', 'no stone: fills a mould to its corners'],
  sandBed: ['1 : 4 sand', 'balling, to bed pebbles in'],
  polymerSand: ['1 : 1½ sand', 'for thin counters, with a polymer as its label says'],
});

export const wayMisfits: Record<Enum<'WayMisfit'>, string> = both({
  tooWeak: 'too weak',
  tooMuchWater: 'too much water',
  noAir: 'no air for frost',
  sectionTooThin: 'too thin for it',
  sectionTooThick: 'too thick for it',
  stoneTooLarge: 'stone too large',
  notInThisMixer: 'not in this mixer',
});

/** What is asked of a truck's supplier. */
export const truck = both({
  strength: 'Strength class, MPa',
  air: 'With air, against frost',
  chute: 'Its chute reaches the pour',
  saturdays: 'They come on Saturdays',
  age: 'On its way, min',
  onSite: 'Paid on site, min',
  limit: 'Off within, min',
  from: 'They come from',
  until: 'until',
});

export const mix = both({
  bagged: (count: string, bag: string, water: string, mpa: string) =>
    `${count} bags of ${bag}, ${water} of water to each: about ${mpa} when it has cured.`,
  parts: (dry: string, water: string, mpa: string) =>
    `${dry} and ${water} of water: about ${mpa} when it has cured.`,
  truckOf: (mpa: string) => `Truck, ${mpa}`,
  ready: (volume: string, mpa: string, stone: string, loads: number) =>
    `${volume} of ${mpa} with stone to ${stone}, by truck${loads > 1 ? ` in ${String(loads)} loads` : ''}.`,
  ordered: 'To order',
  loads: 'Loads',
  slump: 'Slump',
  air: 'Air',
  of: (amount: string, thing: string) => `${amount} of ${thing}`,
  asked: (mpa: string | null, waterCement: string | null, air: string | null) =>
    ` It has to be ${mpa === null ? 'no special strength' : `${mpa} or more`}${waterCement === null ? '' : `, water/cement up to ${waterCement}`}${air === null ? '' : `, ${air} of air`}.`,
  blocked: 'The mix cannot be told yet. What is missing is said at its field.',
  views: { ways: 'Ways to get it', batch: 'One batch', water: 'Water', feel: 'How it should feel' },
  viewsLabel: 'What is shown',
  which: 'Which mix',
  numbered: (n: number, what: string) => `${String(n)}: ${what}`,
  another: 'Add another mix',
  dropMix: 'Do without this mix',
  ladder: (f: string) => `Strength against the water ${f}`,
  ladderLong: (f: string) => `What each litre costs: strength at 28 days against the water ${f}`,
  toABag: 'to a bag',
  toAContainer: (container: string) => `to a ${container} of cement`,
  bagRange: 'the bag’s range',
  mostClaimed: 'more is not claimed',
  plannedAt: (water: string, strength: string) => `planned ${water}: ${strength}`,
  strength: 'Strength',
  waterCement: 'Water/cement',
  bags: 'Bags',
  weight: 'Weight',
  water: 'Water',
  setsIn: 'First set',
  cementBags: (n: number) => `${String(n)} bags of 25 kg`,
  rounding: 'By quarters',
  roundingNote: (yieldOff: string) => `volume ${yieldOff}`,
  notTold: 'not told',
  way: 'Way',
  cost: 'Cost',
  eachSpoken: (money: string, us: boolean) => `${money} ${us ? 'a ft³' : 'a litre'}`,
  hours: 'Work',
  carry: 'To carry',
  take: 'Take',
  taken: 'taken',
  proposed: 'proposed',
  takeWay: (name: string) => `Take ${name}`,
  truck: 'A truck',
  truckReason: 'no mixing; order by strength, and have the barrows ready',
  withAir: 'with air',
  enriched: (pct: string) => `with ${pct} more cement`,
  waysTable: 'Ways to get this concrete',
  batchTitle: (size: string, n: number) =>
    n === 1 ? `One batch: ${size}` : `One batch: ${size}; ${String(n)} like it`,
  batchDrawing: 'One batch in your own containers',
  doses: (n: string) => `${n} ${oneAtMost(n) ? 'dose' : 'doses'}`,
  feelDrawing: 'How the mix should feel, from crumbly to pouring',
  wanted: 'wanted here',
  additivesTitle: 'Additives',
  additivesHint: 'Doses to a bag, or to 25 kg of cement; pigment and polymer in % of the cement. 0 has none.',
  containersTitle: 'Your own containers',
  containersHint:
    'What each holds as you fill it: a volume, or its weight filled with the dry thing. A shovel is about 4 L of sand, 3 L of stone.',
  containerOf: (thing: string) => `Measure ${thing} with`,
  holds: (thing: string) => `It holds, for ${thing}`,
  moistureHint: 'Squeeze a handful from inside the heap.',
});

/** What so many of the crew do, one and several. */
const crewRoles: Record<Enum<'CrewRole'>, [one: string, several: string]> = {
  everything: ['does everything', 'mix, wheel and place, each from a mixer of their own'],
  mixes: ['mixes', 'mix'],
  wheels: ['wheels', 'wheel'],
  wheelsAndPlaces: ['wheels and places', 'wheel and place'],
  places: ['places', 'place'],
};

const spelled: Record<number, string> = { 1: 'One', 2: 'Two', 3: 'Three', 4: 'Four', 5: 'Five', 6: 'Six' };

/** What sets the time from one batch to the next. */
export const paceBounds: Record<Enum<'PaceBound'>, string> = both({
  machine: 'the mixer sets the pace, hands wait for it',
  hands: 'all hands are busy, the mixer waits for them',
  mixing: 'mixing by hand sets the pace',
  drillRests: 'the drill has to rest',
});

export const paceTasks: Record<Enum<'PaceTask'>, string> = both({
  charge: 'fetch and tip',
  mix: 'mix',
  watch: 'watch',
  empty: 'empty, rinse',
  barrow: 'wheel',
  spread: 'spread',
  strikeOff: 'strike off',
});

export const round = both({
  label: 'One round: who does what when',
  mixer: 'Mixer',
  hand: (n: number) => `Hand ${String(n)}`,
  free: 'free',
  title: (minutes: string, bound: string) => `A batch every ${minutes}: ${bound}.`,
  part: (task: string, minutes: string) => `${task}, ${minutes}`,
});

/** The crew's own pace: minutes of one person. */
export const pace = both({
  summary: 'How fast this crew is',
  hint: 'Minutes of one person. Empty takes the usual.',
  bagMin: 'Fetch and tip a bag of 25 kg',
  bucketMin: 'Fill and tip 12 L by bucket',
  shovelMin: 'Shovel in 12 L',
  machineMin: 'The mixer turns',
  drillMin: 'Mix 30 kg with the drill',
  hoeMin: 'Mix 27 kg with a hoe',
  emptyMin: 'Empty and rinse',
  barrowMin: 'Fill and tip a barrow',
  slabMin: 'Spread 10 L in a slab',
  narrowMin: 'Fill 10 L in moulds and edges',
  strikeMin: 'Strike off 1 m²',
  restMin: 'Rest in each hour after the first',
});

export const load = both({
  sentence: (n: string, size: string, every: string, total: string) =>
    `${n} batches of ${size}, one every ${every}: all mixed and placed in ${total}.`,
  barrowLoad: 'a barrow load',
  byTruck: (loads: number, barrows: string, volume: string, site: string) =>
    `${loads === 1 ? 'One truck' : `${String(loads)} trucks, one after the other`}: ${volume} in ${barrows} barrow loads, off in ${site}.`,
  onSite: 'Truck here',
  off: 'Off after its water',
  arrives: 'Comes at',
  one: (size: string, total: string) => `One batch of ${size}, placed in ${total}.`,
  bags: (text: string) => (oneAtMost(text) ? 'bag' : 'bags'),
  bagsEach: (text: string) => `${text} ${oneAtMost(text) ? 'bag' : 'bags'}`,
  cementEach: (text: string) => `${text} of cement`,
  blocked: 'The batches cannot be told yet. What is missing is said at its field.',
  views: { strip: 'Loads', plan: 'Where they lie', round: 'One round', card: 'Yard card' },
  strip: 'The loads, drawn to size',
  wayOut: 'way out',
  plan: (name: string) => `Which batch fills which part of ${name}`,
  noPlan: 'So many batches, or pieces in moulds, are not drawn on the plan.',
  batch: (n: number) => `Batch ${String(n)}`,
  zone: (n: number) => `zone ${String(n)}`,
  firstWater: 'first water',
  placed: 'placed',
  heardBatch: 'batch',
  heardBags: 'bags',
  heardCement: 'of cement',
  capacity: 'Mixer takes',
  count: 'Batches',
  pace: 'A batch every',
  mixing: 'Mixed and placed in',
  joint: 'Age at the joint',
  jointLimit: (limit: string) => `under ${limit}`,
  holdBack: 'Kept for patches',
  handsWanted: 'Hands in comfort',
  waterFor: (celsius: string) => `By the water alone: ${celsius}.`,
  waterForWhy: 'Water for the wanted mix',
  order: 'Load it in this order',
  seconds: (s: string) => `${s} s`,
  first: (water: string) => `${water} first`,
  water: 'water',
  inAt: (time: string) => `first water ${time}`,
  placedAt: (time: string) => `placed ${time}`,
  airOut: 'Get the air out',
  consolidation: {
    strikeOff: () => 'strike it off; so thin a layer needs no more',
    spadeEdges: () => 'run a spade up and down along the forms, then strike off',
    rodAndTap: (lifts: number, lift: string) =>
      `rod it in ${lifts === 1 ? 'one layer' : `${String(lifts)} layers of ${lift}`} and tap the form`,
    tapMould: (lifts: number, lift: string) =>
      `fill in ${lifts === 1 ? 'one layer' : `${String(lifts)} layers of ${lift}`}, tap the mould all round until hardly a bubble comes`,
    sander: (lifts: number, lift: string) =>
      `fill in ${lifts === 1 ? 'one layer' : `${String(lifts)} layers of ${lift}`}, run a palm sander without paper along the sides until hardly a bubble comes`,
  } satisfies Record<Enum<'Consolidation'>, (lifts: number, lift: string) => string>,
  measureOut: 'Measure out before you start',
  measureOutHint: 'Colour and additives for every batch, before the first is mixed.',
  tasks: (tasks: { role: Enum<'CrewRole'>; people: number }[]) =>
    `${tasks
      .map((t, i) => {
        const many = spelled[t.people] ?? String(t.people);
        return `${i === 0 ? many : many.toLowerCase()} ${crewRoles[t.role][t.people === 1 ? 0 : 1]}`;
      })
      .join(', ')}.`,
});
