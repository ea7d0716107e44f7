/** Words of what is bought. */
import { both } from './english';
import type { Enum } from '../api/client';
import { coatNames } from './days';

/** A thing as a shop would call it; what tells it apart from others of its kind is put in. */
export const goods: Record<Enum<'GoodKind'>, (which: string) => string> = both({
  bag: (which) => which,
  cement: () => 'Cement',
  sand: () => 'Sharp sand',
  stone: () => 'Stone for concrete',
  ballast: () => 'All-in ballast',
  pebbles: () => 'Pebbles to set by hand',
  additive: (which) => which,
  pigment: () => 'Pigment',
  polymer: () => 'Polymer for concrete, by what is solid of it',
  baseStone: () => 'Stone for the base',
  board: (which) => `Board ${which}`,
  stake: () => 'Stakes',
  splicePlate: () => 'Splice plates',
  formScrew: () => 'Screws for boards and stakes',
  masonryNail: () => 'Masonry nails',
  sheet: (which) => `Sheet, coated, ${which}`,
  bendStrip: () => 'Strip that bends',
  mouldScrew: () => 'Screws for moulds',
  stripNail: () => 'Nails for bent strips',
  laminateResin: () => 'Resin for layers, with its hardener',
  laminateMat: () => 'Glass mat for layers',
  seamSealant: () => 'Sealant for seams',
  releaseOil: () => 'Release oil',
  releaseWax: () => 'Release wax',
  bar: (which) => `Bar ${which}`,
  meshSheet: () => 'Mesh sheets',
  fibre: () => 'Fibre',
  scrim: () => 'Scrim',
  chair: () => 'Chairs',
  tieWire: () => 'Wire ties',
  isolationStrip: () => 'Isolation strip',
  bondBreaker: () => 'Bond breaker tape',
  crackFiller: () => 'Crack filler in cartridges',
  bondCoat: () => 'Bond coat',
  plastic: () => 'Plastic sheeting',
  tape: () => 'Tape for plastic',
  burlap: () => 'Burlap',
  curingCompound: () => 'Curing compound',
  cureAndSeal: () => 'Cure and seal',
  coating: (which) => coatNames[which] ?? 'A coat of your own',
  deckBoard: () => 'Cement board for the deck',
  deckPly: () => 'Ply for the deck',
  gloves: () => 'Gloves, cement-proof',
  goggles: () => 'Goggles',
  dustMask: () => 'Dust masks',
  truck: (which) =>
    ({
      m3: 'Ready-mixed concrete',
      short: 'Truck: what is missing of its least',
      delivery: 'Truck: each time it comes',
      wait: 'Truck: time it waits',
    })[which] ?? 'Truck',
});

/** A thing by its id, where no more is known of it. */
export const goodById = (id: string): string => {
  const [kind = '', which = ''] = id.split('/');
  return kind in goods ? goods[kind as Enum<'GoodKind'>](which.replaceAll('-', ' ')).trim() : id;
};

export const goodGroups: Record<Enum<'GoodGroup'>, string> = both({
  concrete: 'Concrete',
  ground: 'Ground',
  forms: 'Boards and moulds',
  steel: 'Steel and fibre',
  surface: 'Covers, joints and coats',
  hands: 'For hands and eyes',
});

export const supplies: Record<Enum<'SupplyKind'>, string> = both({
  bags: 'Bags',
  loose: 'Loose, by parts',
  truck: 'Truck',
});

/** Prices that are no thing's, by their name in the price book. */
export const standing: Record<string, string> = both({
  trip: 'A trip with the car',
  delivery: 'Delivery of all of it',
  'truck/m3': 'Truck, a cubic metre',
  'truck/short': 'Truck, each m³ short of 3',
  'truck/delivery': 'Truck, coming',
});

export const buy = both({
  sentence: (cost: string, concrete: string, carry: string) =>
    `All of it is about ${cost}; the concrete alone is ${concrete}. ${carry}`,
  trips: (n: number, mass: string) =>
    `${mass} to carry: ${n === 1 ? 'one trip' : `${String(n)} trips`} with the car.`,
  delivered: (mass: string, cost: string, n: number) =>
    `${mass} to carry: have it brought for ${cost}, that is less than ${String(n)} trips.`,
  blocked:
    'What to buy cannot be told yet. What is missing is said at its field, here or in an earlier step.',
  views: { list: 'The list', compare: 'Bags, loose or truck' },
  cost: 'All of it',
  perSpoken: (us: boolean) => (us ? 'Concrete, a ft³' : 'Concrete, a litre'),
  mass: 'To carry',
  trips_: 'Trips',
  elementCost: (name: string) => name,
  thing: 'Thing',
  needed: 'Used',
  shed: 'In the shed',
  take: 'Buy',
  each: 'Price each',
  line: 'Cost',
  nothing: 'none',
  shedOf: (thing: string) => `${thing}: in the shed`,
  priceOf: (thing: string) => `${thing}: price of one`,
  noted: (date: string) => (date === '' ? 'yours' : `yours, ${date}`),
  typicalLong:
    'Prices in grey are typical, made up to start from. Type your own over them; they are kept with their date.',
  pieces: (n: string) => n,
  packs: (n: string, size: string) => `${n} × ${size}`,
  extras: 'Things besides',
  gear: 'Gear hired or bought',
  extraName: (n: number) => `Thing ${String(n)}`,
  extraCount: (n: number) => `How many of thing ${String(n)}`,
  extraPrice: (n: number) => `Price of thing ${String(n)}`,
  addExtra: 'Add a thing',
  removeExtra: (n: number) => `Remove thing ${String(n)}`,
  currency: 'Money in',
  payload: 'The car carries',
  hourWorth: 'An hour counts',
  standingTitle: 'Ways home, and the truck',
  ownBags: 'Bags of your own',
  ownBagsHint: 'As the label has it. It then stands among the ways to get the concrete.',
  addBag: 'Add a bag',
  removeBag: (name: string) => `Remove ${name}`,
  bag: {
    name: 'Name',
    mass: 'Weight',
    yield: 'Gives',
    leastWater: 'Water from',
    mostWater: 'to',
    f28Mpa: 'Strength, MPa',
    initialSetH: 'First set, h',
    finalSetH: 'Final set, h',
    leastThicknessMm: 'From, mm thick',
    mostThicknessMm: 'To, mm thick',
    stoneMm: 'Stone, mm',
    airPct: 'Air, %',
    cementPct: 'Cement, %',
  },
  newBag: 'My bag',
  csv: 'Save as a table',
  print: 'Print it',
  csvName: 'shopping',
  compareTitle: 'Money and work over the volume',
  compareChart: 'Cost of bags, loose and a truck against volume',
  here: (volume: string) => `this job, ${volume}`,
  way: 'Way',
  money: 'Money',
  work: 'Work, all hands',
  spoken: (us: boolean) => (us ? 'A ft³' : 'A litre'),
  crossing: (to: string, from: string, volume: string) => `${to} beats ${from} from ${volume}.`,
  noCrossing: 'Within this range no way overtakes another.',
  counted: (worth: string) => `An hour of work counts ${worth}.`,
  hours: (h: string) => `${h} h`,
});
