/** One sentence for each finding and each remedy. */
import type { Additive, Enum, Finding, Remedy } from '../../api/client';
import { clock, duration, factText, fixed, number, type Formats } from '../format';
import { fileReasons, misfits, schools } from './building';
import { goodById } from './buying';
import { additives } from './mixing';
import { weatherColumns, weatherReasons } from './days';
import { bagKinds, curing, frostGuards, milestones, passes } from './screens';

type FindingWords = (f: Finding['facts'], t: Finding['texts'], fmt: Formats) => string;

export const unread: Record<string, string> = {
  empty: 'A size is wanted here.',
  tooLong: 'That is too long to be a size.',
  notANumber: 'That could not be read. Try 12′ 6″, 3.81 m or 3810.',
  unknownUnit: 'That unit is not known. Try mm, cm, m, in, ft, L or gal.',
  negative: 'A size is above zero.',
  ambiguousComma: 'Is that comma a decimal mark or a thousand? Write 1.2 or 1200.',
  divisionByZero: 'A fraction over zero means nothing.',
  termsOutOfOrder: 'Write large before small, in one system: 12′ 6″ or 3.81 m.',
};

const range: FindingWords = (f, _t, fmt) => {
  const [name, value] = Object.entries(f).find(([k]) => k.startsWith('value')) ?? ['value', 0];
  const unit = name.slice('value'.length);
  const [least, most] = [f[`least${unit}`] ?? 0, f[`most${unit}`] ?? 0];
  const text = (v: number) => factText(name, v, fmt);
  return `${text(value)} is outside what makes sense here: ${text(least)} to ${text(most)}.`;
};

const ratio = (value: number) => fixed(value, 2);
const n = (f: Finding['facts'], name: string) => f[name] ?? 0;
const additiveName = (t: Finding['texts']) =>
  additives[t.additive as Additive].replace(/,.*/, '').toLowerCase();
const passName = (t: Finding['texts']) => passes[t.pass as Enum<'Pass'>];

/** One sentence for each finding; the facts go in. A code without words does not compile. */
export const findings: Record<Enum<'FindingCode'>, FindingWords> = {
  quantityUnread: (_f, t) => unread[t.reason ?? ''] ?? unread.notANumber ?? '',
  outOfRange: range,
  unknownTimeZone: (_f, t) => `“${t.given ?? ''}” is no time zone that is known.`,
  nothingToPour: () => 'Nothing is drawn yet. Add something to pour.',
  tooMany: (f) => `${number(n(f, 'count'))} is too many here; ${number(n(f, 'most'))} is the most.`,
  tooFewEdges: (f) => `${number(n(f, 'count'))} edges do not make an outline; three are the least.`,
  turnsDoNotClose: (f) =>
    `The turns add up to ${number(n(f, 'sumDegrees'), 1)}°. Once round is 360°, all left or all right taken together.`,
  outlineGap: (f, _t, fmt) =>
    `The edges miss the start by ${fmt.small(n(f, 'gapMm'))}. Tape again, or leave two lengths blank and they are worked out. Up to ${fmt.small(n(f, 'limitMm'))} is spread without asking.`,
  outlineNotSolvable: (f) =>
    n(f, 'blanks') > 2
      ? `${number(n(f, 'blanks'))} lengths are blank; at most two can be worked out.`
      : 'The two blank edges run parallel, so they cannot be told apart. Tape one of them.',
  edgeBackwards: (f, _t, fmt) =>
    `This edge would have to run backwards by ${fmt.small(Math.abs(n(f, 'lengthMm')))}. Check the lengths and the turns before it.`,
  outlineCrosses: (f, _t, fmt) =>
    `The outline crosses itself, ${fmt.length(Math.abs(n(f, 'xM')))} along and ${fmt.length(Math.abs(n(f, 'yM')))} in from the start. Check a turn.`,
  openingOutside: () => 'This opening is not wholly inside the slab.',
  openingsOverlap: (f) => `This opening runs into opening ${number(n(f, 'other') + 1)}.`,
  tapesTooShort: (f, _t, fmt) =>
    `Both tapes together are ${fmt.small(n(f, 'sumMm'))}, and the nails are ${fmt.small(n(f, 'apartMm'))} apart: they cannot meet. Tape again.`,
  tapesTooFarApart: (f, _t, fmt) =>
    `The two tapes differ by ${fmt.small(n(f, 'differenceMm'))}, more than the nails are apart (${fmt.small(n(f, 'apartMm'))}): they cannot meet. Tape again.`,
  checkTapeMisfit: (f, _t, fmt) =>
    `The check tape says ${fmt.small(n(f, 'tapedMm'))}, the other two put it at ${fmt.small(n(f, 'workedOutMm'))}: ${fmt.small(n(f, 'misfitMm'))} apart. One of the three is wrong.`,
  presetCannotBe: (f, _t, fmt) =>
    `${fmt.small(n(f, 'alongMm'))} by ${fmt.small(n(f, 'acrossMm'))} leaves no such shape: the notch or the width is too large for it.`,
  bendTooTight: (f, _t, fmt) =>
    `A bend of ${fmt.small(n(f, 'radiusMm'))} is tighter than half the width; ${fmt.small(n(f, 'leastMm'))} is the least radius.`,
  tooNarrow: (f, _t, fmt) =>
    `${fmt.small(n(f, 'widthMm'))} is narrow enough to snap; ${fmt.small(n(f, 'leastMm'))} is the least.`,
  curbWantsTwo: (f) => `Say two of base, top and batter; ${number(n(f, 'given'))} stand here.`,
  curbLeansAway: (f, _t, fmt) =>
    `A batter of ${number(n(f, 'batterDegrees'), 1)}° over ${fmt.small(n(f, 'heightMm'))} leaves no top.`,
  easeTooLarge: (f, _t, fmt) =>
    `${fmt.small(n(f, 'easeMm'))} takes the whole edge away; there are ${fmt.small(n(f, 'topMm'))} to take it from.`,
  fieldTooThin: (f, _t, fmt) =>
    `A field of ${fmt.small(n(f, 'thicknessMm'))} cracks when it is carried; ${fmt.small(n(f, 'leastMm'))} is the least.`,
  twoPours: (f, _t, fmt) =>
    `Two pours: ${fmt.small(n(f, 'baseMm'))} of base, then ${fmt.small(n(f, 'toppingMm'))} of topping. They are planned one after the other.`,
  noProbes: (f) =>
    n(f, 'count') === 0
      ? 'Tell how deep it is at one place at the least.'
      : `${number(n(f, 'count'))} depths are too many; ${number(n(f, 'most'))} is the most.`,
  fallTooFlat: (f) =>
    `${number(n(f, 'gradePct'), 2)} in 100 leaves puddles; ${number(n(f, 'leastPct'), 1)} in 100 is the least that drains.`,
  fallFlatAtHouse: (f, _t, fmt) =>
    `${number(n(f, 'gradePct'), 2)} in 100 drains, but within ${fmt.length(n(f, 'withinM'))} of a house ${number(n(f, 'leastPct'), 1)} in 100 is asked.`,
  fallToWall: (f) => `Water would run to the wall at edge ${number(n(f, 'edge'))}.`,
  jointOutside: () => 'This joint lies outside the slab.',
  panelTooLong: (f, _t, fmt) =>
    `Panel ${number(n(f, 'panel'))} is ${fmt.length(n(f, 'lengthMm') / 1000)} long; over ${fmt.length(n(f, 'mostMm') / 1000)} it cracks where it likes.`,
  panelTooSlender: (f) =>
    `Panel ${number(n(f, 'panel'))} is ${number(n(f, 'ratio'), 2)} times as long as wide; over ${number(n(f, 'most'), 1)} it cracks across.`,
  cornerWithoutJoint: (f) =>
    `Corner ${number(n(f, 'corner'))} points into the slab: without a joint a crack starts there.`,
  jointDeeperThanGroover: (f, _t, fmt) =>
    `A joint must be ${fmt.small(n(f, 'depthMm'))} deep. A common hand groover cuts up to ${fmt.small(n(f, 'grooverMm'))}: take a deep one, or saw.`,
  repeatJoints: () => 'Repeat every joint of the slab below it, in the same places.',
  noWayOut: () => 'Every edge is a wall: there is no edge to finish from, and no way out.',
  beyondReach: (f, _t, fmt) =>
    `The middle is ${fmt.length(n(f, 'deepM'))} from where you can kneel; an arm reaches ${fmt.length(n(f, 'reachM'))}. Have a bull float on a pole, or kneeboards, or pour in panels.`,
  fileDamaged: (f, t) =>
    `Line ${number(n(f, 'line'))} of the file cannot be read: ${fileReasons[t.reason ?? ''] ?? fileReasons.incomplete ?? ''}.`,
  fileUnitUnknown: () => 'The file does not say what its numbers measure. Choose it.',
  fileUnitUnsupported: (f) =>
    `The drawing’s unit (number ${number(n(f, 'unit'))}) is none that slabs are drawn in. Save it in millimetres, metres, inches or feet.`,
  fileWithoutOutline: () => 'Nothing closed is drawn in that file.',
  fileTooManyPoints: (f) =>
    `${number(n(f, 'count'))} points are too many; ${number(n(f, 'most'))} is the most.`,
  baseThinnerThanAdvised: (f, _t, fmt) =>
    `On this ground ${fmt.small(n(f, 'advisedMm'))} of base is advised; ${fmt.small(n(f, 'baseMm'))} stands here.`,
  unknownBoard: (_f, t) => `The board “${t.given ?? ''}” is not in the list.`,
  boardTooLow: (f, _t, fmt) =>
    `A board ${fmt.small(n(f, 'boardMm'))} high does not hold ${fmt.small(n(f, 'pourMm'))}. Take a higher one, or two on edge.`,
  digBelowBoard: (f, _t, fmt) =>
    `The board is ${fmt.small(n(f, 'boardMm'))} high: dig the base ${fmt.small(n(f, 'gapMm'))} below its foot.`,
  plyTooStiff: (f, _t, fmt) =>
    `${fmt.small(n(f, 'plyMm'))} ply bends no tighter than ${fmt.small(n(f, 'leastMm'))}; this edge has a radius of ${fmt.small(n(f, 'radiusMm'))}.`,
  bendNeedsKerfs: (f, _t, fmt) =>
    `A radius of ${fmt.small(n(f, 'radiusMm'))} is tighter than any ply or hardboard bends: kerf the back of a board, or use a strip of sheet metal.`,
  curveOfManyEdges: (f, _t, fmt) =>
    `An outline of ${number(n(f, 'edges'))} edges is a drawn curve: bend one strip of ${fmt.length(n(f, 'lengthM'))} along it.`,
  unknownBar: (_f, t) => `The bar “${t.given ?? ''}” is not in the list.`,
  steelDoesNotFit: (f, t, fmt) =>
    `${schools[t.school as Enum<'SteelSchool'>]} does not fit here: ${misfits[t.misfit as Enum<'SteelMisfit'>]}. ${
      t.better === t.school || t.misfit === 'tooThin'
        ? `It wants ${fmt.small(n(f, 'leastMm'))}; there are ${fmt.small(n(f, 'thicknessMm'))}.`
        : `${schools[t.better as Enum<'SteelSchool'>]} would do${t.better === 'barGrid' ? `, in ${fmt.small(n(f, 'leastMm'))} of concrete` : ''}.`
    }`,
  heavyPiece: (f, _t, fmt) =>
    `One piece weighs ${fmt.mass(n(f, 'massKg'))}: ${
      n(f, 'massKg') > n(f, 'machineKg')
        ? 'move it with a machine, a trolley or several people'
        : 'lift it with help'
    }.`,
  footingBelowFrost: (f, _t, fmt) =>
    `Footings stand below the depth that frost reaches where you live; this one stands ${fmt.small(n(f, 'deepMm'))} deep. What they must carry is not worked out here: ask who is licensed for it.`,
  unknownBag: (_f, t) => `The bag “${t.given ?? ''}” is not in the list.`,
  mixWithoutCement: () => 'A mix without cement does not set. Give the cement at least a part.',
  waterOverBagLimit: (f, _t, fmt) =>
    `${fmt.litres(n(f, 'waterL'))} is over the bag’s limit of ${fmt.litres(n(f, 'mostL'))}: about ${fmt.strength(n(f, 'f28Mpa'))} instead of ${fmt.strength(n(f, 'bestF28Mpa'))}.`,
  waterUnderBagLimit: (f, _t, fmt) =>
    `${fmt.litres(n(f, 'waterL'))} is under the bag’s least, ${fmt.litres(n(f, 'leastL'))}: it will be too stiff to place.`,
  waterCementOutsideTable: (f) =>
    `Water to cement comes to ${number(n(f, 'waterCement'), 2)}. Strength is only known from ${number(n(f, 'least'), 2)} to ${number(n(f, 'most'), 2)}: change the cement or the water.`,
  thicknessOutsideMix: (f, _t, fmt) =>
    n(f, 'mostMm') > 0
      ? `${fmt.small(n(f, 'thicknessMm'))} is outside what this bag is for: ${fmt.small(n(f, 'leastMm'))} to ${fmt.small(n(f, 'mostMm'))}.`
      : `${fmt.small(n(f, 'thicknessMm'))} is thinner than this bag is for: ${fmt.small(n(f, 'leastMm'))} at the least.`,
  stoneTooLarge: (f, _t, fmt) =>
    `Stone of ${fmt.small(n(f, 'stoneMm'))} is too large for ${fmt.small(n(f, 'thicknessMm'))}: a third of the thickness is the most.`,
  exposureWaterCement: (f) =>
    `Water to cement is ${ratio(n(f, 'waterCement'))}; where it will lie, ${ratio(n(f, 'most'))} is the most.`,
  exposureStrength: (f, _t, fmt) =>
    `This winter asks ${fmt.strength(n(f, 'leastMpa'))}; the mix gives about ${fmt.strength(n(f, 'f28Mpa'))}.`,
  exposureAir: (f) =>
    `Where it freezes the mix wants about ${number(n(f, 'wantedPct'), 1)} % of fine air; this one has ${number(n(f, 'airPct'), 1)} %. Ask for parts with air stirred in, or a truck.`,
  rapidTakesItsOwn: (_f, t) =>
    `A rapid mix takes only its own maker’s additives: leave the ${additiveName(t)} out.`,
  tooMuchRetarder: (f) =>
    `${number(n(f, 'doses'), 1)} doses of retarder; a bag takes ${number(n(f, 'most'))}. More may never set right.`,
  tooMuchPigment: (f) =>
    `${number(n(f, 'givenPct'), 1)} % of pigment: ${number(n(f, 'usualPct'))} % is what it is meant for, and over ${number(n(f, 'mostPct'))} % it costs strength.`,
  airNotForBags: () =>
    'A bag is made up without air, and stirring it in is guesswork. Mix by parts, or order a truck.',
  retardedAndAccelerated: () => 'One additive slows the set and the other hurries it. Leave one out.',
  pigmentByLabel: () => 'The bag does not tell its cement: dose the pigment as its own label says.',
  chlorideRustsSteel: () => 'Chloride rusts the steel in it. Take an accelerator without chloride.',
  plasticisedSegregates: (f, _t, fmt) =>
    `With a plasticiser, stone of ${fmt.small(n(f, 'stoneMm'))} sinks in a form ${fmt.small(n(f, 'deepMm'))} deep; up to ${fmt.small(n(f, 'mostMm'))} it stays where it is.`,
  airNeverTrowelled: () =>
    'Concrete with air is never steel-trowelled: its skin comes off. Float and broom it.',
  antifreezeIsNoCover: (f, _t, fmt) =>
    `It goes down to ${fmt.celsius(n(f, 'airC'))}. Antifreeze helps it set in the cold; it does not keep it from freezing. Cover it.`,
  mixersWithoutHands: (f) =>
    `${number(n(f, 'mixers'))} mixers and ${number(n(f, 'hands'))} hands: one stands still.`,
  coarselyMeasured: (f) =>
    `Measured in quarters, the water/cement is ${number(n(f, 'offPct'), 1)} % off and the volume ${number(n(f, 'yieldPct'), 1)} %. Take smaller containers, or whole multiples.`,
  shedHoldsNothing: (f, t) =>
    `You noted none of it in the shed, so all of it will be bought: ${goodById(t.good ?? '')}, ${number(n(f, 'used'), 1)}.`,
  tooHeavyForCar: (f, t, fmt) =>
    `The car carries ${fmt.mass(n(f, 'payloadKg'))}, and the largest size to buy weighs ${fmt.mass(n(f, 'mostKg'))}: ${goodById(t.good ?? '').toLowerCase()}. Have it brought, or take small bags.`,
  mixOutOfReach: (f, _t, fmt) =>
    `To have ${fmt.celsius(n(f, 'wantedC'))} the water wants ${fmt.celsius(n(f, 'waterC'))}; as planned the mix has ${fmt.celsius(n(f, 'mixC'))}. Water does it between ${fmt.celsius(n(f, 'leastC'))} and ${fmt.celsius(n(f, 'mostC'))}; beyond that warm or shade the sand and stone.`,
  waterScalds: (f, _t, fmt) =>
    `Water of ${fmt.celsius(n(f, 'waterC'))} scalds: gloves, and no powder tipped into it by hand. Over ${fmt.celsius(n(f, 'limitC'))} take care.`,
  mixerTooSmall: (f, _t, fmt) =>
    `The mixer takes ${fmt.litres(n(f, 'capacityL'))} at once, and the least batch is ${fmt.litres(n(f, 'unitL'))}. A bigger one is wanted.`,
  batchTooHeavy: (f, t, fmt) =>
    t.by === 'plate'
      ? `The least batch weighs ${fmt.mass(n(f, 'unitKg'))} wet, and the mixer’s plate says ${fmt.mass(n(f, 'mostKg'))}. Take another mixer.`
      : `The least batch weighs ${fmt.mass(n(f, 'unitKg'))} wet; ${n(f, 'hands') > 1 ? 'two lift and tip' : 'one lifts and tips'} ${fmt.mass(n(f, 'mostKg'))}. Mix it in something that is not lifted.`,
  drillRests: (f) =>
    `The drill has to cool between batches: ${duration(n(f, 'cycleMin'))} a batch counts its rest.`,
  wantsMixer: (f) =>
    `${number(n(f, 'count'))} bags are hard work this way; over ${number(n(f, 'limit'))} wants a drum.`,
  wantsHelper: (f, _t, fmt) =>
    `${fmt.bulk(n(f, 'volumeM3') * 1000)} is a lot for one; over ${fmt.bulk(n(f, 'limitM3') * 1000)} wants a helper.`,
  moreThanADay: (f, _t, fmt) =>
    `${fmt.bulk(n(f, 'volumeM3') * 1000)} is more than a comfortable day for ${number(n(f, 'hands'))} (${fmt.bulk(n(f, 'comfortM3') * 1000)}); ${fmt.bulk(n(f, 'exhaustionM3') * 1000)} would exhaust you.`,
  coldJoint: (f) =>
    `A batch is ${duration(n(f, 'ageMin'))} old when the next meets it; after ${duration(n(f, 'limitMin'))} they no longer join.`,
  weatherUnusable: (f, t) =>
    `Hour ${number(n(f, 'hour'))} of the weather has an impossible ${t.field ?? 'value'}.`,
  weatherEndsEarly: () =>
    'The forecast does not reach this day. A typical day of it stands in; look again nearer the time.',
  rainBeforeSet: (f) =>
    `Rain before it sets: ${number(n(f, 'chancePct'))} % chance. ${n(f, 'limitPct') > 20 ? 'Not without a cover on hand.' : 'Have a cover on hand.'}`,
  dryingFast: (f, _t, fmt) =>
    `The surface may lose ${fmt.evaporation(n(f, 'peakKgM2H'))} an hour; from ${fmt.evaporation(n(f, 'limitKgM2H'))} it wants shade, a windbreak or fog, or an evening start.`,
  driesBeforeItBleeds: (f, _t, fmt) =>
    `It dries faster than it bleeds, by up to ${fmt.evaporation(n(f, 'peakKgM2H'))} an hour; from ${fmt.evaporation(n(f, 'limitKgM2H'))} the face cracks before it sets. Shade it, break the wind, mist it or cover it between passes; a dull face is then dry, not ready.`,
  coldWeather: (f, _t, fmt) =>
    `Down to ${fmt.celsius(n(f, 'airC'))} while it is young; below ${fmt.celsius(n(f, 'limitC'))} it wants covering and warm water.`,
  mixTooCold: (f, _t, fmt) =>
    `The mix comes out at ${fmt.celsius(n(f, 'mixC'))}; in the cold ${fmt.celsius(n(f, 'limitC'))} is the least. Warmer water helps.`,
  mixTooHot: (f, _t, fmt) =>
    `The mix comes out at ${fmt.celsius(n(f, 'mixC'))}; over ${fmt.celsius(n(f, 'limitC'))} it sets too fast. Colder water, shaded bags, an earlier start.`,
  handsStillMixing: (f, t) =>
    `${passName(t)} on part ${number(n(f, 'zone'))} closes ${duration(n(f, 'overlapMin'))} before the last batch lies. Someone must leave the mixer, or pour in two goes.`,
  zonesCollide: (f, t) =>
    `${passName(t)} on part ${number(n(f, 'zone'))} is begun ${duration(n(f, 'lateMin'))} too late: ${n(f, 'hands') === 1 ? 'one pair of hands is' : `${number(n(f, 'hands'))} pairs of hands are`} busy elsewhere.`,
  afterDark: (_f, t) => `${passName(t)} falls into the dark. Start earlier, or have lights ready.`,
  outsideWorkingHours: (f) =>
    `Nobody begins at this hour: you said from ${clock(n(f, 'hoursFrom'))} until ${clock(n(f, 'hoursUntil'))}.`,
  weatherFileMissing: () =>
    'The weather file of this job is not here. The forecast stands in; read the file again.',
  weatherFileDamaged: (f, t) =>
    `Line ${number(n(f, 'line'))}: ${weatherColumns[t.column ?? ''] ?? t.column ?? ''} ${weatherReasons[t.reason ?? ''] ?? ''}${t.given ? ` (“${t.given}”)` : ''}.`,
  weatherColumnMissing: (_f, t) =>
    `There is no column for ${weatherColumns[t.column ?? ''] ?? t.column ?? ''}. Its name must begin with it: time, temp_c, humidity_%, wind_kmh.`,
  weatherUnitUnknown: (_f, t) =>
    `The column “${t.given ?? ''}” does not say its unit. End its name in one: temp_c or temp_f, wind_kmh, wind_ms or wind_mph, humidity_%.`,
  weatherGap: (f) =>
    n(f, 'hours') > n(f, 'most')
      ? `Line ${number(n(f, 'line'))}: ${number(n(f, 'hours'), 1)} hours are missing before it; more than ${number(n(f, 'most'))} are not filled.`
      : `Line ${number(n(f, 'line'))}: ${number(n(f, 'hours'), 1)} hours after the line before; filled by a straight line.`,
  weatherValueMissing: (f, t) =>
    n(f, 'hours') > n(f, 'most')
      ? `Line ${number(n(f, 'line'))}: ${weatherColumns[t.column ?? ''] ?? ''} is missing for ${number(n(f, 'hours'), 1)} hours; more than ${number(n(f, 'most'))} are not filled.`
      : `Line ${number(n(f, 'line'))}: ${weatherColumns[t.column ?? ''] ?? ''} is missing; filled from its neighbours.`,
  weatherHourSkipped: (f, t) =>
    `Line ${number(n(f, 'line'))}: the clocks skip ${t.given ?? 'that hour'}; it was left out. If the file keeps winter time all year, write the offset.`,
  weatherHourTwice: (f, t) =>
    `Line ${number(n(f, 'line'))}: the clocks have ${t.given ?? 'that hour'} twice; the first was taken unless it stands there twice.`,
  weatherTooLong: (f) =>
    `Line ${number(n(f, 'line'))}: ${number(n(f, 'count'))} hours; a file may have ${number(n(f, 'most'))}, a year.`,
  weatherWithout: (_f, t) =>
    t.column === 'rainChance'
      ? 'The file says nothing of rain: it warns of none. Look at a forecast.'
      : 'The file says nothing of sun or cloud: half-clouded skies stand in.',
  weatherTypicalYear: (_f, t) =>
    `A typical year${t.given ? ` of ${t.given}` : ''}, put together from many: good for choosing a season, no forecast.`,
  weatherLeapDay: (f) =>
    `Line ${number(n(f, 'line'))}: the file has no 29 February; the day before stands in.`,
  driesOverNight: (f, t) =>
    `${curing[t.method as Enum<'CuringMethod'>]} dries out for up to ${duration(n(f, 'dryH') * 60)} while everybody sleeps.`,
  frostNight: (f, _t, fmt) =>
    `A cold night: the concrete falls to ${fmt.celsius(n(f, 'leastC'))} with ${fmt.strength(n(f, 'strengthMpa'))}; frost harms it under ${fmt.strength(n(f, 'safeMpa'))}. Cover it.`,
  coldCure: (f, _t, fmt) =>
    `The air falls to ${fmt.celsius(n(f, 'airC'))} while it cures; below ${fmt.celsius(n(f, 'limitC'))} it hardens next to nothing without a cover.`,
  wettingMissed: (f, _t, fmt) =>
    `It lay dry for ${duration(n(f, 'dryH') * 60)} when it should have been wet; that costs about ${fmt.strength(n(f, 'lostMpa'))} at 28 days. Wet it now and go on.`,
  coatTooLate: (f, t) =>
    `Coat ${number(n(f, 'coat'))} of ${t.product ?? ''} finds no dry hour in its window: scuff with 320 grit first.`,
  rapidSetsAsPlaced: () =>
    'Rapid mix: strike off and float each batch as it lands. There is no later window for edging or brooming.',
  cureStoppedEarly: (f) =>
    `${number(n(f, 'wetDays'), 1)} days wet instead of ${number(n(f, 'adviceDays'), 1)} leaves about ${number(n(f, 'sharePct'))} % of its strength.`,
  cannotBeKeptWet: (f, t) =>
    `${curing[t.method as Enum<'CuringMethod'>]} dries out in ${duration(n(f, 'intervalH') * 60)} at the worst hour. Nobody can keep that up: cover it.`,
  frozenYoung: (f, _t, fmt) =>
    `It would freeze at ${fmt.strength(n(f, 'strengthMpa'))}, before the ${fmt.strength(n(f, 'safeMpa'))} that lets it survive. No dates are given. Choose a milder day or cover it well.`,
  milestoneOutOfSight: (f, t, fmt) =>
    `${milestones[t.milestone as Enum<'Milestone'>]} needs ${fmt.strength(n(f, 'neededMpa'))}; this mix and weather do not get there within 60 days.`,
  causticCement: () =>
    'Wet cement burns skin and eyes: waterproof gloves, boots, glasses. Rinse at once with plenty of water, eyes for 20 minutes, and see a doctor.',
  dustWhenTipping: () => 'Cement dust harms lungs: wear a mask when tipping bags, with the wind behind you.',
  heavyLift: (f, _t, fmt) =>
    `A bag weighs ${fmt.mass(n(f, 'massKg'))}; over ${fmt.mass(n(f, 'limitKg'))} lift with help or split it. Turn it over dry before you halve it.`,
  mixerGuard: () => 'Guard on, hands and sleeves out of what turns, and an RCD or GFCI on the lead.',
  markServices: () => 'Before you dig, have buried cables and pipes marked.',
  washOut: () => 'Wash out where it can settle: never into drains or ponds.',
  structuralWork: () =>
    'Set Firm plans slabs on the ground for the garden. Foundations, retaining walls, hung slabs and anything over 1 m up follow local codes and licensed people.',
};

/** A bag by its id, as far as the id tells. */
const bagName = (id = ''): string => {
  const size = /-(\d+)(kg|lb)$/.exec(id);
  const kind = bagIds[id.replace(/-\d+(kg|lb)$/, '')];
  return kind ? `${bagKinds[kind].toLowerCase()}, ${size?.[1] ?? ''} ${size?.[2] ?? ''}` : 'the other bag';
};

const bagIds: Record<string, Enum<'BagKind'>> = {
  general: 'general',
  'high-strength': 'highStrength',
  fibre: 'fibreCrackResisting',
  fast: 'fastHighStrength',
  rapid: 'rapidHardening',
  'rapid-mortar': 'rapidMortar',
  topping: 'topping',
  mortar: 'mortar',
  countertop: 'countertop',
};

/** What a remedy does, said with the effect it would have. */
export const remedies: Record<
  Enum<'RemedyCode'>,
  (e: Remedy['effect'], fmt: Formats, t: NonNullable<Remedy['texts']>) => string
> = {
  addHand: (e) =>
    e.ageMin !== undefined
      ? `Ask one more: ${number(e.hands ?? 0)} hands, ${duration(e.ageMin)} old`
      : e.mixingMin !== undefined
        ? `Ask one more: ${number(e.hands ?? 0)} hands, done in ${duration(e.mixingMin)}`
        : `Have ${number(e.hands ?? 0)} hands`,
  addMixer: (e) => `Run ${number(e.mixers ?? 0)} mixers: ${duration(e.ageMin ?? 0)} old`,
  retard: (e) => `One dose of retarder: may be ${duration(e.limitMin ?? 0)} old`,
  coolerHour: (e, fmt) =>
    `Begin in the cool: mix at ${fmt.celsius(e.mixC ?? 0)}, may be ${duration(e.limitMin ?? 0)} old`,
  otherBag: (e, fmt, t) =>
    `Take ${bagName(t.bag)}: about ${fmt.strength(e.f28Mpa ?? 0)}, ${fmt.money(e.costMoney ?? 0)}`,
  noStone: () => 'Leave the stone out',
  plasticiseInstead: (e, fmt) =>
    `Plasticiser and ${fmt.litres(e.waterL ?? 0)}: moves as well, about ${fmt.strength(e.f28Mpa ?? 0)}`,
  stirInAir: () => 'Stir in an air entrainer',
  oneDose: () => 'One dose',
  usualPigment: (e) => `${number(e.pigmentPct ?? 0)} %`,
  withoutAdditive: () => 'Leave it out',
  withoutChloride: () => 'Without chloride',
  broomInstead: () => 'Broom it',
  warmWater: (e, fmt) => `Water at ${fmt.celsius(e.waterC ?? 0)}: mix at ${fmt.celsius(e.mixC ?? 0)}`,
  coolWater: (e, fmt) => `Water at ${fmt.celsius(e.waterC ?? 0)}: mix at ${fmt.celsius(e.mixC ?? 0)}`,
  enoughInShed: (e, fmt) =>
    `There is enough: ${number(e.used ?? 0, 1)}, saves ${fmt.money(e.savesMoney ?? 0)}`,
  biggerMixer: (e, fmt) => `Take a drum of ${fmt.litres(e.sizeL ?? 0)}`,
  laterDay: (e) =>
    `Pour ${number(e.daysLater ?? 0)} ${e.daysLater === 1 ? 'day' : 'days'} later: ${number(e.chancePct ?? 0)} % chance of rain`,
  bagMiddleWater: (e, fmt) => `Back to ${fmt.litres(e.waterL ?? 0)}: about ${fmt.strength(e.f28Mpa ?? 0)}`,
  lessWater: (e, fmt) => `${fmt.litres(e.waterL ?? 0)} to a bag: about ${fmt.strength(e.f28Mpa ?? 0)}`,
  blankLastEdge: () => 'Hold what was taped: work out the last two edges',
  spreadGap: (e, fmt) => `Spread ${fmt.small(e.gapMm ?? 0)} over all ${number(e.sides ?? 0)} edges`,
  steeperFall: (e) => `Fall ${number(e.gradePct ?? 0, 1)} in 100`,
  fallOffWall: (e) => `Fall off the wall, edge ${number(e.edge ?? 0)}`,
  proposeJoints: () => 'Take the joints proposed',
  takeSchool: (e) => `Take what is advised: ${Object.values(schools)[e.school ?? 0]?.toLowerCase() ?? ''}`,
  thickerSlab: (e, fmt) => `Make it ${fmt.small(e.thicknessMm ?? 0)} thick`,
  anyPly: (e, fmt) => `Bend it from ${fmt.small(e.plyMm ?? 0)}`,
  anyBoard: () => 'Take the lowest board that holds it',
  advisedBase: (e, fmt) => `Lay ${fmt.small(e.baseMm ?? 0)} of base`,
  longerCure: (e) => `Keep it wet ${number(e.adviceDays ?? 0, 1)} days`,
  coverUnderPlastic: (e) => `Burlap under plastic: every ${number(e.intervalH ?? 0)} h`,
  pondIt: (e) => `Let water stand on it: every ${number(e.intervalH ?? 0)} h`,
  coverAtNight: (e, fmt, t) =>
    `${frostGuards[(t.guard ?? 'movingBlanket') as Enum<'FrostGuard'>]}: not under ${fmt.celsius(e.leastC ?? 0)}`,
  earlierStart: (e) => `Start at ${clock(e.startH ?? 0)}: done at ${clock(e.doneH ?? 0)}`,
  rainCoverReady: () => 'I have a cover ready',
  shadeIt: (e, fmt) => `Shade it: ${fmt.evaporation(e.peakKgM2H ?? 0)}`,
  breakWind: (e, fmt) => `Break the wind: ${fmt.evaporation(e.peakKgM2H ?? 0)}`,
  mistIt: (e, fmt) => `Mist it: ${fmt.evaporation(e.peakKgM2H ?? 0)}`,
};
