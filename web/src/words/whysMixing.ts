/** The formulas of mix, batches and money in words. */
import { both } from './english';
import type { Why } from '../api/client';
import { duration, factText, number } from '../format/format';
import { litresResult, type WhysOf } from './whyWords';

export const whysMixing = both({
  wholeBags: {
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
    formula:
      'bag’s strength × F(water/cement) ÷ F(water/cement at the middle of its water), never more than the bag’s; dry sand and stone soak up a little of the water first',
    result: (v, fmt) => fmt.strength(v),
    inputs: {
      f28Mpa: 'on the bag',
      waterCement: 'water/cement',
      middleWaterCement: 'at the middle of its water',
      soakedPct: 'of sand and stone, soaked up',
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
  partsStrength: {
    title: 'Strength at 28 days',
    formula: 'from the table, between its points on ln(strength)',
    result: (v, fmt) => fmt.strength(v),
    inputs: { waterCement: 'water/cement' },
  },
  readyStrength: {
    title: 'Strength at 28 days',
    formula: 'the class that is ordered; water/cement is the leanest of the table that gives it',
    result: (v, fmt) => fmt.strength(v),
    inputs: { waterCement: 'water/cement', air: 'with air' },
  },
  rounding: {
    title: 'What measuring in quarters does',
    formula:
      'water/cement of what is measured ÷ that of the recipe − 1; the volume by absolute volume likewise',
    result: (v) => `${number(v, 1)} %`,
    inputs: { waterCement: 'water/cement as measured', yieldPct: 'volume off by', stepShare: 'measured to' },
  },
  waterToCement: {
    title: 'Water to cement, by weight',
    formula: 'water ÷ cement, each in a cubic metre; the less, the stronger',
    result: (v) => number(v, 2),
    inputs: { waterKg: 'water, with what the sand brings', cementKg: 'cement' },
  },
  initialSet: {
    title: 'First set at 20 °C',
    formula:
      'bags: as labelled × √(water/cement ÷ that at the middle of its water); parts: 5 h × √(water/cement ÷ 0.55)',
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
  warmWater: {
    title: 'Water that brings the mix there',
    formula: 'wanted + solids × 0.92 × (wanted − solids’ temperature) ÷ (water × 4.19)',
    result: (v, fmt) => fmt.celsius(v),
    inputs: { wantedC: 'wanted', solidsKg: 'solids', solidsC: 'they have', waterKg: 'water' },
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
  round: {
    title: 'A batch every',
    formula:
      'the greatest of: the mixer’s own round (charge, mix, empty) ÷ mixers; all work ÷ hands; by hand or drill, charging and mixing ÷ those who can mix at once',
    result: (v) => duration(v),
    inputs: {
      chargeMin: 'fetch, open, tip',
      mixMin: 'mix',
      emptyMin: 'empty and rinse',
      barrowMin: 'wheel',
      spreadMin: 'spread and compact',
      strikeMin: 'strike off',
      labourMin: 'work of all hands',
      hands: 'hands',
      mixers: 'mixers running',
    },
  },
  mixingTime: {
    title: 'Mixed and placed in',
    formula:
      'rounds of all batches but the last, with rests and weariness, and the last one’s own way to struck off',
    result: (v) => duration(v),
    inputs: {
      batches: 'batches',
      roundMin: 'one round, rested',
      lastMin: 'the last, from water to struck off',
      restMin: 'rest in each hour after the first',
      tonnesAHand: 'tonnes each one handles',
      slowerPct: 'slower for each after the first',
      awayMin: 'hands called away to passes meanwhile',
    },
  },
  handsWanted: {
    title: 'Hands for a day in comfort',
    formula: 'volume ÷ what one person places in comfort, rounded up',
    result: (v) => number(v),
    inputs: { volumeM3: 'volume', comfortM3: 'one in comfort', exhaustionM3: 'one, exhausted' },
  },
  jointAge: {
    title: 'Age where two batches meet',
    formula:
      'from a batch’s own water until the next is placed; must stay under a share of first set at the mix’s temperature: 0.4, or 0.7 where a soft mix is tapped in a mould',
    result: (v) => duration(v),
    inputs: {
      limitMin: 'limit here',
      initialSetH: 'first set at 20 °C',
      mixC: 'mix',
      progress: 'limit, share of first set',
    },
  },
  cost: {
    title: 'All of it',
    formula: 'things + things besides + gear hired or bought + the cheaper way home',
    result: (v, fmt) => fmt.money(v),
    inputs: { goodsMoney: 'things', extrasMoney: 'besides', gearMoney: 'gear', homeMoney: 'way home' },
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
} satisfies Partial<WhysOf<Why['code']>>);
