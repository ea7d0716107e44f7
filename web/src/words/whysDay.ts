/** The formulas of the day and the cure in words. */
import { both } from './english';
import type { Why } from '../api/client';
import { duration, number } from '../format/format';
import { type WhysOf } from './whyWords';

export const whysDay = both({
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
  zoneSet: {
    title: 'How much later it sets than planned',
    formula:
      'Bayes on two levels: what the whole pour shares (one mix, one water, one day) and what is this zone’s own; each sign pulls by how sure it is',
    result: (v) => (v < 0 ? `${number(-v)} % sooner` : `${number(v)} % later`),
    inputs: {
      zone: 'zone',
      signs: 'signs read of it',
      sharedDoubtPct: 'doubt before any sign, of the whole pour, %',
      ownDoubtPct: 'and of each zone alone, %',
      pourPct: 'the whole pour sets later by, %',
      doubtPct: 'doubt that is left, %',
    },
  },
  signRead: {
    title: 'What a sign says',
    formula:
      'set progress by the plan’s clock ÷ what the slab shows = how much longer it takes; inside its span a sign changes nothing',
    result: (v) => (v < 0 ? `zone ${number(-v)} % sooner` : `zone ${number(v)} % later`),
    inputs: {
      zone: 'zone',
      plannedAt: 'by the plan’s clock, share of first set',
      saysLeast: 'the slab shows at least',
      saysMost: 'and at most',
      doubtPct: 'give or take, %',
    },
  },
  sheenRead: {
    title: 'How long the sheen stays',
    formula:
      'time from placing until it was seen gone ÷ time reckoned, weighed against the doubt there was; it says nothing of the set',
    result: (v) => `${number(v, 2)} times as long as reckoned`,
    inputs: { seen: 'zones seen dry', doubtPct: 'doubt before, %', longerPct: 'longer by, %' },
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
      members: 'ways it may go',
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
    formula: 'when the crew has made the last pass: whoever is free first takes the pass that closes first',
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
  startChance: {
    title: 'Chance that all goes well',
    formula:
      'ways of the weather and the set in which it stays dry, warm, light and manned long enough ÷ all ways',
    result: (v) => `${number(v)} in 100`,
    inputs: { members: 'ways it may go', setDoubtPct: 'doubt in the set' },
  },
  nextWetting: {
    title: 'Next wetting, after the last',
    formula:
      'when what the method holds has dried off, hour by hour; moved into hours in which somebody is up',
    result: (v) => `${number(v, 1)} h`,
    inputs: { storeKgM2: 'method holds', evaporationKgM2H: 'drying until then', driesH: 'dries off in' },
  },
  coatWindow: {
    title: 'When a coat goes on',
    formula:
      'age, then a day of drying where it wants a dry face; the next between its least and most hours; in dry hours of work',
    result: (v) => `from day ${number(v, 1)}`,
    inputs: {
      fromDays: 'age',
      leastH: 'recoat from',
      mostH: 'recoat until',
      dryH: 'drying first',
      coats: 'coats',
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
      leastEquivalentHours: 'least age as at 20 °C, hours',
      f28Mpa: 'full strength',
    },
  },
} satisfies Partial<WhysOf<Why['code']>>);
