/** The formula of each figure in words, and what its values are called. */
import type { Explanation } from '../../api/client';
import { duration, factText, number, type Formats } from '../format';

export const why = {
  button: (what: string) => `Why? ${what}`,
  short: 'Why?',
  source: 'Source',
  holds: 'holds for',
};

interface WhyWords {
  title: string;
  formula: string;
  result: (value: number, fmt: Formats) => string;
  inputs: Record<string, string>;
}

const litresResult = (v: number, fmt: Formats) => fmt.bulk(v);

export const whys: Record<Explanation['code'], WhyWords> = {
  area: {
    title: 'Area',
    formula: 'area inside the outline − openings, for each piece',
    result: (v, fmt) => fmt.area(v),
    inputs: { grossM2: 'inside the outline', openingsM2: 'openings', pieces: 'pieces' },
  },
  perimeter: {
    title: 'Round the edge',
    formula: 'all edges together, those worked out too',
    result: (v, fmt) => fmt.length(v),
    inputs: { edges: 'edges' },
  },
  netVolume: {
    title: 'Volume as drawn',
    formula: 'area × depth; a path: length × section; parts added up',
    result: litresResult,
    inputs: {
      areaM2: 'area',
      meanDepthMm: 'mean depth',
      slabL: 'slab',
      thickEdgesL: 'thick edges',
      fieldL: 'field',
      apronsL: 'aprons',
      footingL: 'foot',
      tubeL: 'tube',
      baseCourseL: 'base course',
      toppingL: 'topping',
      pebbleBedL: 'bed',
    },
  },
  pathLength: {
    title: 'Length',
    formula: 'along the middle: straights, and radius × angle round the bends',
    result: (v, fmt) => fmt.length(v),
    inputs: { stretches: 'stretches' },
  },
  fall: {
    title: 'Lowest corner',
    formula: 'way along the fall × grade, below the highest corner',
    result: (v, fmt) => fmt.small(v),
    inputs: { gradePct: 'grade', leastPct: 'least that drains', atHousePct: 'asked beside a house' },
  },
  panels: {
    title: 'Panels',
    formula:
      'fewest with no side over the spacing (thickness × 30, at most 4.5 m; less for walks, borders, kerbs), and no side over 1.5 times the other',
    result: (v) => number(v),
    inputs: {
      thicknessMm: 'thickness',
      spacingOverThickness: 'spacing over thickness',
      spacingM: 'no side over',
      mostRatio: 'long over short, at most',
      depthMm: 'joint depth: a quarter, 25 mm at least',
    },
  },
  pieceMass: {
    title: 'Weight',
    formula: 'volume × weight of hardened concrete',
    result: (v, fmt) => fmt.mass(v),
    inputs: { pieceL: 'volume', hardKg: 'a cubic metre' },
  },
  excavation: {
    title: 'To dig',
    formula: 'area × (pour + base) + what hangs down',
    result: (v, fmt) => fmt.bulk(v * 1000),
    inputs: { depthMm: 'depth', baseMm: 'of it base' },
  },
  spoil: {
    title: 'Loose spoil',
    formula: 'dug × swell',
    result: (v, fmt) => fmt.bulk(v * 1000),
    inputs: { bankM3: 'dug', swell: 'swell' },
  },
  baseStone: {
    title: 'Stone to buy',
    formula: 'compacted × 1.2 is loose; × weight of a loose cubic metre',
    result: (v, fmt) => fmt.mass(v),
    inputs: {
      compactedM3: 'compacted',
      loosening: 'loosening',
      looseM3: 'loose',
      lifts: 'lifts',
      liftMm: 'a lift at most',
    },
  },
  boards: {
    title: 'Boards',
    formula: 'fewest lengths that hold every cut and its kerf; then the least length',
    result: (v) => number(v),
    inputs: { cutM: 'all cuts', stockM: 'bought', lowerBound: 'the total asks', kerfMm: 'kerf' },
  },
  stakes: {
    title: 'Stakes',
    formula: 'every corner, splice and bulkhead; between them no further apart than the board allows',
    result: (v) => number(v),
    inputs: { spacingM: 'straight boards', bentM: 'bent strips' },
  },
  bends: {
    title: 'Bent strip',
    formula: 'angle × (radius ± half the strip)',
    result: (v, fmt) => fmt.length(v),
    inputs: {
      tightestM: 'tightest radius',
      leastM: 'it bends to',
      stripMm: 'strip',
      insideM: 'along the pour',
    },
  },
  steelBars: {
    title: 'Steel',
    formula: 'all bars, laps included × weight of a metre',
    result: (v, fmt) => fmt.mass(v),
    inputs: { barM: 'bars', massPerM: 'kg in a metre', spacingMm: 'apart', lapMm: 'lap', coverMm: 'cover' },
  },
  meshSheets: {
    title: 'Mesh sheets',
    formula: 'sheets over all inside the cover, lapped one square + 50 mm',
    result: (v) => number(v),
    inputs: {
      sheetAlongM: 'a sheet, long',
      sheetAcrossM: 'a sheet, wide',
      lapMm: 'lap',
      coverMm: 'edge cover',
    },
  },
  fibreDose: {
    title: 'Fibre',
    formula: 'concrete × dose in a cubic metre',
    result: (v, fmt) => fmt.mass(v),
    inputs: { orderL: 'concrete', doseKg: 'dose' },
  },
  scrim: {
    title: 'Scrim',
    formula: 'area × laps',
    result: (v, fmt) => fmt.area(v),
    inputs: { areaM2: 'area', overlap: 'laps' },
  },
  mouldSheets: {
    title: 'Sheets',
    formula: 'parts laid in rows across the sheet',
    result: (v) => number(v),
    inputs: { moulds: 'moulds', sheetAlongM: 'a sheet, long', sheetAcrossM: 'a sheet, wide', parts: 'parts' },
  },
  castings: {
    title: 'Castings',
    formula: 'pieces ÷ moulds, rounded up',
    result: (v) => number(v),
    inputs: { pieces: 'pieces', moulds: 'moulds', stripDays: 'in the mould', cleanDays: 'between' },
  },
  orderVolume: {
    title: 'Concrete to have ready',
    formula: 'as drawn × (1 + waste)',
    result: litresResult,
    inputs: { netL: 'as drawn', wastePct: 'waste' },
  },
  bags: {
    title: 'Bags or buckets of cement',
    formula: '(to have ready + hold-back) ÷ yield of one, rounded up',
    result: (v) => number(v),
    inputs: { orderL: 'to have ready', holdBackL: 'held back for patches', wholeL: 'yield of one' },
  },
  bagsMass: {
    title: 'Weight to carry',
    formula: 'bags × weight of one',
    result: (v, fmt) => fmt.mass(v),
    inputs: { bags: 'bags', bagKg: 'one bag' },
  },
  bagWater: {
    title: 'Water to a bag',
    formula: 'as you said, or the middle of the bag’s range',
    result: (v, fmt) => fmt.litres(v),
    inputs: { leastL: 'bag’s least', mostL: 'bag’s most' },
  },
  bagStrength: {
    title: 'Strength at 28 days',
    formula: 'bag’s strength × F(water/cement) ÷ F(water/cement at its most water), up to 1.15 times',
    result: (v, fmt) => fmt.strength(v),
    inputs: {
      f28Mpa: 'on the bag',
      waterCement: 'water/cement',
      atMostWaterCement: 'at the bag’s most water',
      mostCredit: 'most that is claimed, times',
    },
  },
  partsWater: {
    title: 'Mixing water in a cubic metre',
    formula: 'from the table for this stone and slump',
    result: (v) => `${number(v)} kg/m³`,
    inputs: {
      stoneMm: 'largest stone',
      slumpMm: 'slump',
      airPct: 'air',
      carriedKg: 'of it carried by sand and stone',
    },
  },
  partsCement: {
    title: 'Cement in a cubic metre',
    formula: 'parts by volume ÷ yield; yield = (sum of mass/density + water) ÷ (1 − air)',
    result: (v) => `${number(v)} kg/m³`,
    inputs: {
      cementParts: 'cement, parts',
      sandParts: 'sand, parts',
      stoneParts: 'stone, parts',
      ballastParts: 'ballast, parts',
      yieldL: 'yield of 1 L of cement',
    },
  },
  partsSand: {
    title: 'Dry sand in a cubic metre',
    formula: 'parts × loose weight ÷ yield; damp sand takes more room, so more buckets of it',
    result: (v) => `${number(v)} kg/m³`,
    inputs: { sandParts: 'sand, parts', bulking: 'damp sand takes up, times', waterPct: 'water it brings' },
  },
  partsStone: {
    title: 'Dry stone in a cubic metre',
    formula: 'parts × loose weight ÷ yield',
    result: (v) => `${number(v)} kg/m³`,
    inputs: { stoneParts: 'stone, parts', waterPct: 'water it brings' },
  },
  handsWanted: {
    title: 'Hands for a day in comfort',
    formula: 'volume ÷ what one person places in comfort, rounded up',
    result: (v) => number(v),
    inputs: { volumeM3: 'volume', comfortM3: 'one in comfort', exhaustionM3: 'one, exhausted' },
  },
  partsBallast: {
    title: 'Ballast in a cubic metre',
    formula: 'parts by volume; its sand swells with damp, and the water in it is taken off',
    result: (v) => `${number(v)} kg/m³`,
    inputs: {
      ballastParts: 'ballast, parts',
      sandPct: 'sand in it',
      bulking: 'takes more room, times',
      waterPct: 'water in it',
    },
  },
  rounding: {
    title: 'What measuring in quarters does',
    formula:
      'water/cement of what is measured ÷ that of the recipe − 1; the volume by absolute volume likewise',
    result: (v) => `${number(v, 1)} %`,
    inputs: { waterCement: 'water/cement as measured', yieldPct: 'volume off by', stepShare: 'measured to' },
  },
  warmWater: {
    title: 'Water that brings the mix there',
    formula: 'wanted + solids × 0.92 × (wanted − solids’ temperature) ÷ (water × 4.19)',
    result: (v, fmt) => fmt.celsius(v),
    inputs: { wantedC: 'wanted', solidsKg: 'solids', solidsC: 'they have', waterKg: 'water' },
  },
  cost: {
    title: 'All of it',
    formula: 'things + things besides + the cheaper way home',
    result: (v, fmt) => fmt.money(v),
    inputs: { goodsMoney: 'things', extrasMoney: 'besides', homeMoney: 'way home' },
  },
  load: {
    title: 'To carry home',
    formula: 'what is bought × its mass, added up',
    result: (v, fmt) => fmt.mass(v),
    inputs: { lines: 'lines' },
  },
  perLitre: {
    title: 'What concrete costs',
    formula: 'what goes into the concrete ÷ what is to be had ready',
    result: (v, fmt) => fmt.moneyEach(v),
    inputs: { concreteMoney: 'concrete', orderL: 'to have ready' },
  },
  truckCost: {
    title: 'A truck',
    formula: 'ordered × price + each m³ short of the least × its charge + coming',
    result: (v, fmt) => fmt.money(v),
    inputs: {
      orderedM3: 'ordered',
      perM3Money: 'a cubic metre',
      minimumM3: 'least',
      shortMoney: 'each m³ short',
      deliveryMoney: 'coming',
    },
  },
  trips: {
    title: 'Trips',
    formula: 'mass ÷ what the car carries, rounded up; or brought, where that costs less',
    result: (v) => number(v),
    inputs: {
      massKg: 'to carry',
      payloadKg: 'the car carries',
      tripsMoney: 'all trips',
      deliveryMoney: 'brought',
    },
  },
  partsStrength: {
    title: 'Strength at 28 days',
    formula: 'from the table, between its points on ln(strength)',
    result: (v, fmt) => fmt.strength(v),
    inputs: { waterCement: 'water/cement' },
  },
  waterCement: {
    title: 'Water to cement, by weight',
    formula: 'water ÷ cement, each in a cubic metre; the less, the stronger',
    result: (v) => number(v, 2),
    inputs: { waterKg: 'water, with what the sand brings', cementKg: 'cement' },
  },
  initialSet: {
    title: 'First set at 20 °C',
    formula: 'bags: as labelled; parts: 5 h × √(water/cement ÷ 0.55)',
    result: (v) => `${number(v, 2)} h`,
    inputs: { waterCement: 'water/cement', finalSetH: 'final set' },
  },
  mixTemperature: {
    title: 'Temperature of the mix',
    formula: 'Σ mass × heat × temperature ÷ Σ mass × heat',
    result: (v, fmt) => factText('mixC', v, fmt),
    inputs: {
      solidsKg: 'dry material in 1 m³',
      solidsC: 'as warm as the air',
      waterKg: 'water in 1 m³',
      waterC: 'water',
    },
  },
  capacity: {
    title: 'What the mixer takes',
    formula: 'drum × 0.65; bucket × 0.6, at most 12 L; else what it mixes at once',
    result: litresResult,
    inputs: {
      unitL: 'least batch, placed',
      unitLooseL: 'least batch, loose',
      looseLimitL: 'loose material fits',
    },
  },
  batchCount: {
    title: 'Batches',
    formula: '(to have ready + hold-back) ÷ what the mixer takes, in whole or half bags, levelled',
    result: (v) => number(v),
    inputs: {
      orderL: 'to have ready',
      holdBackL: 'held back',
      capacityL: 'mixer takes',
      unitL: 'half a bag, or a quarter bucket of cement, gives',
    },
  },
  holdBack: {
    title: 'Kept under plastic for patches',
    formula: 'a litre or two of the last batch',
    result: litresResult,
    inputs: { leastL: 'at the least', mostL: 'at the most' },
  },
  cycle: {
    title: 'A batch every',
    formula: 'cycle of one person × what helpers save',
    result: (v) => duration(v),
    inputs: {
      cycleMin: 'cycle, alone',
      barrowM: 'barrow run',
      hands: 'hands',
      mixers: 'mixers running',
      crewFactor: 'with helpers, times',
    },
  },
  jointAge: {
    title: 'Age where two batches meet',
    formula:
      'from a batch’s own water until the next is placed; must stay under 0.4 of first set at the mix’s temperature',
    result: (v) => duration(v),
    inputs: {
      limitMin: 'limit here',
      initialSetH: 'first set at 20 °C',
      mixC: 'mix',
      progress: 'limit, share of first set',
    },
  },
  sheen: {
    title: 'Sheen gone, hours from the water',
    formula:
      'what bleeds, 0.015 × water × depth × (water/cement ÷ 0.5)^1.5, less what dries, until the film is thinner than shows',
    result: (v) => (v === 0 ? 'none shows' : `${number(v, 1)} h`),
    inputs: {
      bleedsKgM2: 'bleeds in all',
      waterKg: 'water in 1 m³',
      depthMm: 'depth',
      waterCement: 'water/cement',
      sheenKgM2: 'a film that shows',
      deficitKgM2H: 'drying over bleeding, at most',
    },
  },
  passWindow: {
    title: 'When the pass opens',
    formula:
      'hours at 20 °C = opening share × first set; the temperature of the slab turns them into clock time',
    result: (v) => `${number(v, 2)} h at 20 °C`,
    inputs: {
      opensAt: 'opens at, share of first set',
      closesAt: 'closes at, share of first set',
      initialSetH: 'first set at 20 °C',
      concreteC: 'slab then',
      doubtPct: 'doubt in the set',
    },
  },
  firstSetOnSite: {
    title: 'First set, after the first water',
    formula:
      'when the slab has lived through the mix’s hours at 20 °C; warmer counts for more, colder for less',
    result: (v) => duration(v * 60),
    inputs: { setH: 'the mix at 20 °C', mixC: 'mix comes out at' },
  },
  finalSetOnSite: {
    title: 'Final set, after the last batch met water',
    formula:
      'when the slab has lived through the mix’s hours at 20 °C; warmer counts for more, colder for less',
    result: (v) => duration(v * 60),
    inputs: { setH: 'the mix at 20 °C', mixC: 'mix comes out at' },
  },
  doneBy: {
    title: 'Last pass, after the first water',
    formula: 'when the last pass on the part poured last closes',
    result: (v) => duration(v * 60),
    inputs: { zones: 'parts of one age', mixingMin: 'mixing and placing' },
  },
  evaporation: {
    title: 'Most drying before it sets',
    formula: 'E = 5 [(Tc + 18)^2.5 − r (Ta + 18)^2.5] (V + 4) × 10⁻⁶',
    result: (v, fmt) => `${fmt.evaporation(v)} an hour`,
    inputs: { careKgM2H: 'take care from', actKgM2H: 'protect from', mixC: 'mix' },
  },
  rainChance: {
    title: 'Chance of rain before it sets',
    formula: '1 − product of (1 − chance) over the hours',
    result: (v) => `${number(v)} %`,
    inputs: {
      hours: 'hours to final set',
      noGoPct: 'not without a cover over',
      warnPct: 'have a cover over',
    },
  },
  wetDays: {
    title: 'Days to keep it wet',
    formula: '7 days above 10 °C; colder, until 70 % of its strength; fast mixes 3; rapid mixes 4 hours',
    result: (v) => `${number(v, 1)} days`,
    inputs: { meanAirC: 'air, first week', warmC: 'warm enough', coldSharePct: 'share wanted in the cold' },
  },
  rewetting: {
    title: 'Hours between wettings',
    formula: 'water the method holds ÷ drying, between 1 and 24 h',
    result: (v) => `${number(v, 1)} h`,
    inputs: { storeKgM2: 'method holds', evaporationKgM2H: 'drying' },
  },
  meanEvaporation: {
    title: 'Drying in an hour, on average while wet',
    formula: '5 × [(Tc + 18)^2.5 − r (Ta + 18)^2.5] × (V + 4) ÷ 1 000 000, hour by hour',
    result: (v, fmt) => fmt.evaporation(v),
    inputs: { hours: 'hours kept wet', peakKgM2H: 'most in one hour' },
  },
  strength: {
    title: 'Strength at 28 days with this cure',
    formula: 'f28 × exp(c (1 − √(28 ÷ age))), less what stopping the wetting costs',
    result: (v, fmt) => fmt.strength(v),
    inputs: {
      f28Mpa: 'fully cured',
      ageCoefficient: 'c',
      finalSetH: 'final set at 20 °C',
      wetEquivalentDays: 'days wet, as at 20 °C',
      share: 'share kept',
    },
  },
  milestone: {
    title: 'When it is strong enough',
    formula: 'first hour at which the strength is there, and the least age is past',
    result: (v, fmt) => fmt.strength(v),
    inputs: {
      needsMpa: 'needs',
      sharePct: 'and of its full strength',
      leastHours: 'least age, hours',
      f28Mpa: 'full strength',
    },
  },
};
