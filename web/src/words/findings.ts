/** One sentence for each finding. */
import type { Enum, Notice, Says } from '../api/client';
import { calendarDay, clock, duration, fixed, inRangeUnit, number, type Formats } from '../format/format';
import { bagById } from './bagById';
import { fileReasons, misfits, schools } from './building';
import { goodById } from './buying';
import { cautions } from './cautions';
import { additives, paceBounds } from './mixing';
import { tell, type Sentences } from './sentences';
import { weatherColumns, weatherReasons } from './days';
import { courses, curing, milestones, passes } from './names';

const unread: Record<Enum<'UnreadReason'>, string> = {
  empty: 'A size is wanted here.',
  tooLong: 'That is too long to be a size.',
  notANumber: 'That could not be read. Try 12′ 6″, 3.81 m or 3810.',
  unknownUnit: 'That unit is not known. Try mm, cm, m, in, ft, L or gal.',
  negative: 'A size is above zero.',
  ambiguousComma: 'Is that comma a decimal mark or a thousand? Write 1.2 or 1200.',
  divisionByZero: 'A fraction over zero means nothing.',
  termsOutOfOrder: 'Write large before small, in one system: 12′ 6″ or 3.81 m.',
};

const range = (f: Says<Notice, 'outOfRange'>, fmt: Formats) => {
  const text = (v: number) => inRangeUnit(f.unit, v, fmt);
  return `${text(f.value)} is outside what makes sense here: ${text(f.least)} to ${text(f.most)}.`;
};

const ratio = (value: number) => fixed(value, 2);
const additiveName = (additive: Enum<'Additive'>) => additives[additive].replace(/,.*/, '').toLowerCase();

const findings: Sentences<Notice> = {
  ...cautions,
  quantityUnread: (f) => unread[f.reason],
  outOfRange: range,
  unknownTimeZone: (f) => `“${f.given}” is no time zone that is known.`,
  nothingToPour: () => 'Nothing is drawn yet. Add something to pour.',
  tooMany: (f) => `${number(f.count)} is too many here; ${number(f.most)} is the most.`,
  moreLikeIt: (f) => `And ${number(f.count)} more like the ones before. Mend those first.`,
  tooManyCorners: (f) =>
    `${number(f.count)} sharp corners: all outlines together may have ${number(f.most)}. If it was drawn or scanned, smooth it first.`,
  tooFewEdges: (f) => `${number(f.count)} edges do not make an outline; three are the least.`,
  turnsDoNotClose: (f) =>
    `The turns add up to ${number(f.sumDegrees, 1)}°. Once round is 360°, all left or all right taken together.`,
  outlineGap: (f, fmt) =>
    `The edges miss the start by ${fmt.small(f.gapMm)}. Tape again, or leave two lengths blank and they are worked out. Up to ${fmt.small(f.limitMm)} is spread without asking.`,
  outlineNotSolvable: (f) =>
    f.blanks > 2
      ? `${number(f.blanks)} lengths are blank; at most two can be worked out.`
      : 'The two blank edges run parallel, so they cannot be told apart. Tape one of them.',
  edgeBackwards: (f, fmt) =>
    `This edge would have to run backwards by ${fmt.small(Math.abs(f.lengthMm))}. Check the lengths and the turns before it.`,
  outlineCrosses: (f, fmt) =>
    `The outline crosses itself, ${fmt.length(Math.abs(f.alongM))} along and ${fmt.length(Math.abs(f.inM))} in from the start. Check a turn.`,
  openingOutside: () => 'This opening is not wholly inside the slab.',
  openingsOverlap: (f) => `This opening runs into opening ${number(f.other + 1)}.`,
  tapesTooShort: (f, fmt) =>
    `Both tapes together are ${fmt.small(f.sumMm)}, and the nails are ${fmt.small(f.apartMm)} apart: they cannot meet. Tape again.`,
  tapesTooFarApart: (f, fmt) =>
    `The two tapes differ by ${fmt.small(f.differenceMm)}, more than the nails are apart (${fmt.small(f.apartMm)}): they cannot meet. Tape again.`,
  checkTapeMisfit: (f, fmt) =>
    `The check tape says ${fmt.small(f.tapedMm)}, the other two put it at ${fmt.small(f.workedOutMm)}: ${fmt.small(f.misfitMm)} apart. One of the three is wrong.`,
  presetCannotBe: (f, fmt) =>
    `${fmt.small(f.alongMm)} by ${fmt.small(f.acrossMm)} leaves no such shape: the notch or the width is too large for it.`,
  bendTooTight: (f, fmt) =>
    `A bend of ${fmt.small(f.radiusMm)} is tighter than half the width; ${fmt.small(f.leastMm)} is the least radius.`,
  tooNarrow: (f, fmt) =>
    `${fmt.small(f.widthMm)} is narrow enough to snap; ${fmt.small(f.leastMm)} is the least.`,
  curbWantsTwo: (f) => `Say two of base, top and batter; ${number(f.given)} stand here.`,
  curbLeansAway: (f, fmt) =>
    `A batter of ${number(f.batterDegrees, 1)}° over ${fmt.small(f.heightMm)} leaves no top.`,
  easeTooLarge: (f, fmt) =>
    `${fmt.small(f.easeMm)} takes the whole edge away; there are ${fmt.small(f.topMm)} to take it from.`,
  fieldTooThin: (f, fmt) =>
    `A field of ${fmt.small(f.thicknessMm)} cracks when it is carried; ${fmt.small(f.leastMm)} is the least.`,
  rebateTooDeep: (f, fmt) =>
    f.mostMm > 0
      ? `A step ${fmt.small(f.rebateMm)} deep leaves too little under it; ${fmt.small(f.mostMm)} is the most.`
      : 'Nothing is let into this: take the step out.',
  rebateOverEdge: (f, fmt) =>
    `A step ${fmt.small(f.rebateMm)} wide reaches over the edge there, or into another opening.`,
  insertTooLarge: (f, fmt) =>
    f.deepMm > f.thicknessMm
      ? `It goes ${fmt.small(f.deepMm)} into a piece of ${fmt.small(f.thicknessMm)}.`
      : `${fmt.small(f.alongMm)} by ${fmt.small(f.acrossMm)} does not lie inside the piece there, clear of what else is in it.`,
  insertNearlyThrough: (f, fmt) =>
    `Only ${fmt.small(f.leftMm)} of concrete is left behind it, and breaks out; ${fmt.small(f.leastMm)} is the least. Or let it go right through.`,
  insertRusts: () => 'Bare steel at a face rusts and stains: paint it, or take stainless or brass.',
  overhangWantsBrackets: (f, fmt) =>
    `${fmt.small(f.overhangMm)} out over the edge is more than ${fmt.small(f.thicknessMm)} of concrete carries by itself (${fmt.small(f.mostMm)}): put brackets under it.`,
  tubeStandsInPlace: () => 'A tube is filled where it stands. Take a plain cone or a cylinder for a piece.',
  twoPours: (f, fmt) =>
    `Two pours: ${fmt.small(f.baseMm)} of base, then ${fmt.small(f.toppingMm)} of topping. They are planned one after the other.`,
  noProbes: (f) =>
    f.count === 0
      ? 'Tell how deep it is at one place at the least.'
      : `${number(f.count)} depths are too many; ${number(f.most)} is the most.`,
  fallTooFlat: (f) =>
    `${number(f.gradePct, 2)} in 100 leaves puddles; ${number(f.leastPct, 1)} in 100 is the least that drains.`,
  fallFlatAtHouse: (f, fmt) =>
    `${number(f.gradePct, 2)} in 100 drains, but within ${fmt.length(f.withinM)} of a house ${number(f.leastPct, 1)} in 100 is asked.`,
  fallToWall: (f) => `Water would run to the wall at edge ${number(f.edge)}.`,
  jointOutside: () => 'This joint lies outside the slab.',
  tooManyPanels: (f, fmt) =>
    `Joints every ${fmt.small(f.spacingMm)} would make over ${number(f.most)} panels. So many are not set out: it is planned without joints. Is the thickness right?`,
  panelTooLong: (f, fmt) =>
    `Panel ${number(f.panel)} is ${fmt.length(f.lengthMm / 1000)} long; over ${fmt.length(f.mostMm / 1000)} it cracks where it likes.`,
  panelTooSlender: (f) =>
    `Panel ${number(f.panel)} is ${number(f.ratio, 2)} times as long as wide; over ${number(f.most, 1)} it cracks across.`,
  cornerWithoutJoint: (f) =>
    `Corner ${number(f.corner)} points into the slab: without a joint a crack starts there.`,
  jointDeeperThanGroover: (f, fmt) =>
    `A joint must be ${fmt.small(f.depthMm)} deep. A common hand groover cuts up to ${fmt.small(f.grooverMm)}: take a deep one, saw it later, or press a strip in while it is soft.`,
  repeatJoints: () => 'Repeat every joint of the slab below it, in the same places.',
  noWayOut: () => 'Every edge is a wall: there is no edge to finish from, and no way out.',
  beyondReach: (f, fmt) =>
    `The middle is ${fmt.length(f.deepM)} from where you can kneel; an arm reaches ${fmt.length(f.reachM)}. Have a bull float on a pole, or kneeboards, or pour in panels.`,
  fileDamaged: (f) =>
    `Line ${number(f.line)} of the file cannot be read: ${fileReasons[f.reason] ?? fileReasons.incomplete ?? ''}.`,
  fileUnitUnknown: () => 'The file does not say what its numbers measure. Choose it.',
  fileUnitUnsupported: (f) =>
    `The drawing’s unit (number ${number(f.unit)}) is none that slabs are drawn in. Save it in millimetres, metres, inches or feet.`,
  fileWithoutOutline: () => 'Nothing closed is drawn in that file.',
  fileTooManyPoints: (f) => `${number(f.count)} points are too many; ${number(f.most)} is the most.`,
  baseThinnerThanAdvised: (f, fmt) =>
    `On this ground ${fmt.small(f.advisedMm)} of base is advised; ${fmt.small(f.baseMm)} stands here.`,
  unknownBoard: (f) => `The board “${f.given}” is not in the list.`,
  boardTooLow: (f, fmt) =>
    `A board ${fmt.small(f.boardMm)} high does not hold ${fmt.small(f.pourMm)}. Take a higher one, or two on edge.`,
  digBelowBoard: (f, fmt) =>
    `The board is ${fmt.small(f.boardMm)} high: dig the base ${fmt.small(f.gapMm)} below its foot.`,
  plyTooStiff: (f, fmt) =>
    `${fmt.small(f.plyMm)} ply bends no tighter than ${fmt.small(f.leastMm)}; this edge has a radius of ${fmt.small(f.radiusMm)}.`,
  bendNeedsKerfs: (f, fmt) =>
    `A radius of ${fmt.small(f.radiusMm)} is tighter than any ply or hardboard bends: kerf the back of a board, or use a strip of sheet metal.`,
  curveOfManyEdges: (f, fmt) =>
    `An outline of ${number(f.edges)} edges is a drawn curve: bend one strip of ${fmt.length(f.lengthM)} along it.`,
  unknownBar: (f) => `The bar “${f.given}” is not in the list.`,
  steelDoesNotFit: (f, fmt) =>
    `${schools[f.school]} does not fit here: ${misfits[f.misfit]}. ${
      f.better === f.school || f.misfit === 'tooThin'
        ? `It wants ${fmt.small(f.leastMm)}; there are ${fmt.small(f.thicknessMm)}.`
        : `${schools[f.better]} would do${f.better === 'barGrid' ? `, in ${fmt.small(f.leastMm)} of concrete` : ''}.`
    }`,
  unknownBag: (f) => `The bag “${f.given}” is not in the list.`,
  mixWithoutCement: () => 'A mix without cement does not set. Give the cement at least a part.',
  waterOverBagLimit: (f, fmt) =>
    `${fmt.litres(f.waterL)} is over the bag’s limit of ${fmt.litres(f.mostL)}: about ${fmt.strength(f.f28Mpa)} instead of ${fmt.strength(f.bestF28Mpa)}.`,
  waterUnderBagLimit: (f, fmt) =>
    `${fmt.litres(f.waterL)} is under the bag’s least, ${fmt.litres(f.leastL)}: it will be too stiff to place.`,
  waterCementOutsideTable: (f, fmt) =>
    f.lean
      ? `Water to cement comes to ${ratio(f.waterCement)}: so lean a mix stays under ${fmt.strength(f.endMpa)}, and how far is not known. It can be mixed; nothing should rely on it.`
      : `Water to cement comes to ${ratio(f.waterCement)}: richer than the tables go. Count on ${fmt.strength(f.endMpa)} at the least.`,
  thicknessOutsideMix: (f, fmt) =>
    f.mostMm > 0
      ? `${fmt.small(f.thicknessMm)} is outside what this bag is for: ${fmt.small(f.leastMm)} to ${fmt.small(f.mostMm)}.`
      : `${fmt.small(f.thicknessMm)} is thinner than this bag is for: ${fmt.small(f.leastMm)} at the least.`,
  stoneTooLarge: (f, fmt) =>
    `Stone of ${fmt.small(f.stoneMm)} is too large for ${fmt.small(f.thicknessMm)}: a third of the thickness is the most.`,
  exposureWaterCement: (f) =>
    `Water to cement is ${ratio(f.waterCement)}; where it will lie, ${ratio(f.most)} is the most.`,
  wetForOutdoors: (f) =>
    `Water to cement is ${ratio(f.waterCement)}. Nothing forbids it where it never freezes; outdoors ${ratio(f.good)} wears better.`,
  exposureStrength: (f, fmt) =>
    `Where it will lie it wants ${fmt.strength(f.leastMpa)}; the mix gives about ${fmt.strength(f.f28Mpa)}.`,
  exposureAir: (f) =>
    `Where it freezes the mix wants about ${number(f.wantedPct, 1)} % of fine air; this one has ${number(f.airPct, 1)} %. Ask for parts with air stirred in, or a truck.`,
  rapidTakesItsOwn: (f) =>
    f.additive === 'retarder' || f.additive === 'plasticiser'
      ? `A rapid mix takes only its own maker’s: set control and flow aid that belong together, not another ${additiveName(f.additive)}.`
      : `A rapid mix takes only its own maker’s additives: leave the ${additiveName(f.additive)} out.`,
  tooMuchRetarder: (f) =>
    `${number(f.doses, 1)} doses of retarder; a bag takes ${number(f.most)}. More may never set right.`,
  tooMuchPigment: (f) =>
    `${number(f.givenPct, 1)} % of pigment: ${number(f.usualPct)} % is what it is meant for, and over ${number(f.mostPct)} % it costs strength.`,
  airNotForBags: () =>
    'A bag is made up without air, and stirring it in is guesswork. Mix by parts, or order a truck.',
  retardedAndAccelerated: () => 'One additive slows the set and the other hurries it. Leave one out.',
  pigmentByLabel: () => 'The bag does not tell its cement: dose it as its own label says.',
  chlorideRustsSteel: () => 'Chloride rusts the steel in it. Take an accelerator without chloride.',
  plasticisedSegregates: (f, fmt) =>
    `With a plasticiser, stone of ${fmt.small(f.stoneMm)} sinks in a form ${fmt.small(f.deepMm)} deep; up to ${fmt.small(f.mostMm)} it stays where it is.`,
  airNeverTrowelled: () =>
    'Concrete with air is never steel-trowelled: its skin comes off. Float and broom it.',
  antifreezeIsNoCover: (f, fmt) =>
    `It goes down to ${fmt.celsius(f.airC)}. Antifreeze helps it set in the cold; it does not keep it from freezing. Cover it.`,
  spansBetweenSupports: () =>
    'It lies on supports and carries between them: what is shown is usual practice, not worked out for its load. How much steel it wants is for your local code and someone licensed.',
  mixersWithoutHands: (f) => `${number(f.mixers)} mixers and ${number(f.hands)} hands: one stands still.`,
  coarselyMeasured: (f) =>
    `Measured in quarters, the water/cement is ${number(f.offPct, 1)} % off and the volume ${number(f.yieldPct, 1)} %. Take smaller containers, or whole multiples.`,
  shedHoldsNothing: (f) =>
    `You noted none of it in the shed, so all of it will be bought: ${goodById(f.good)}, ${number(f.used, 1)}.`,
  tooHeavyForCar: (f, fmt) =>
    `The car carries ${fmt.mass(f.payloadKg)}, and the largest size to buy weighs ${fmt.mass(f.mostKg)}: ${goodById(f.good).toLowerCase()}. Have it brought, or take small bags.`,
  mixOutOfReach: (f, fmt) =>
    `To have ${fmt.celsius(f.wantedC)} the water wants ${fmt.celsius(f.waterC)}; as planned the mix has ${fmt.celsius(f.mixC)}. Water does it between ${fmt.celsius(f.leastC)} and ${fmt.celsius(f.mostC)}; beyond that warm or shade the sand and stone.`,
  waterScalds: (f, fmt) =>
    `Water of ${fmt.celsius(f.waterC)} scalds: gloves, and no powder tipped into it by hand. Over ${fmt.celsius(f.limitC)} take care.`,
  mixerTooSmall: (f, fmt) =>
    `The mixer takes ${fmt.litres(f.capacityL)} at once, and the least batch is ${fmt.litres(f.unitL)}. A bigger one is wanted.`,
  batchTooHeavy: (f, fmt) =>
    f.byPlate
      ? `The least batch weighs ${fmt.mass(f.unitKg)}, and the mixer’s plate says ${fmt.mass(f.mostKg)}. Take another mixer.`
      : `The least batch weighs ${fmt.mass(f.unitKg)}; ${fmt.mass(f.mostKg)} is the most it takes at once. Take another mixer, or a smaller container.`,
  drillRests: (f) =>
    `A drill runs ${number(f.mostPct)} % of the time at the most, or it burns out: the round counts its rest.`,
  wantsMixer: (f, fmt) =>
    `${fmt.mass(f.dryKg)} of dry material is hard work this way; over ${fmt.mass(f.limitKg)} wants a drum.`,
  heavyBatch: (f, fmt) =>
    `A batch weighs ${fmt.mass(f.batchKg)} wet, and you lift ${fmt.mass(f.limitKg)} between you: shovel it out, or wheel the vessel to the form.`,
  whereTimeGoes: (f) =>
    `Mixing and placing takes ${duration(f.mixingMin)}, a batch every ${duration(f.roundMin)}: ${paceBounds[f.bound]}.`,
  wantsHelper: (f, fmt) =>
    `${fmt.bulk(f.volumeM3 * 1000)} is a lot for one; over ${fmt.bulk(f.limitM3 * 1000)} wants a helper.`,
  moreThanADay: (f, fmt) =>
    `${fmt.bulk(f.volumeM3 * 1000)} is more than a comfortable day for ${number(f.hands)} (${fmt.bulk(f.comfortM3 * 1000)}); ${fmt.bulk(f.exhaustionM3 * 1000)} would exhaust you.`,
  coldJoint: (f) =>
    `A batch is ${duration(f.ageMin)} old when the next meets it; after ${duration(f.limitMin)} they no longer join.`,
  weatherEndsEarly: () =>
    'Nobody knows the weather of this day yet. What is usual for the month and the place stands in; look again nearer the time.',
  rainBeforeSet: (f) =>
    `Rain before it sets: ${number(f.chancePct)} % chance. ${f.limitPct > 20 ? 'Not without a cover on hand.' : 'Have a cover on hand.'}`,
  dryingFast: (f, fmt) =>
    `The surface may lose ${fmt.evaporation(f.peakKgM2H)} an hour; from ${fmt.evaporation(f.limitKgM2H)} it wants shade, a windbreak or fog, or an evening start.`,
  driesBeforeItBleeds: (f, fmt) =>
    `It dries faster than it bleeds, by up to ${fmt.evaporation(f.peakKgM2H)} an hour; from ${fmt.evaporation(f.limitKgM2H)} the face cracks before it sets. Shade it, break the wind, mist it or cover it between passes; a dull face is then dry, not ready.`,
  coldWeather: (f, fmt) =>
    `Down to ${fmt.celsius(f.airC)} while it is young; below ${fmt.celsius(f.limitC)} it wants covering and warm water.`,
  mixTooCold: (f, fmt) =>
    `The mix comes out at ${fmt.celsius(f.mixC)}; in the cold ${fmt.celsius(f.limitC)} is the least. Warmer water helps.`,
  mixTooHot: (f, fmt) =>
    `The mix comes out at ${fmt.celsius(f.mixC)}; over ${fmt.celsius(f.limitC)} it sets too fast. Colder water, shaded bags, an earlier start.`,
  mixingStops: (f) =>
    `Everybody is called away after batch ${number(f.batch)}: ${passes[f.pass].toLowerCase()} on part ${number(f.zone)}${f.times > 1 ? ', and again later' : ''}. The mixer stands ${duration(f.pauseMin)} in all; leave off ${f.panel == null || f.panelBatch == null ? 'at a joint' : `at the joint behind panel ${number(f.panel)}, full with batch ${number(f.panelBatch)}`}.`,
  zonesCollide: (f) =>
    `${passes[f.pass]} on part ${number(f.zone)} is begun ${duration(f.lateMin)} too late: ${f.hands === 1 ? 'one pair of hands is' : `${number(f.hands)} pairs of hands are`} busy elsewhere.`,
  afterDark: (f) => `${passes[f.pass]} falls into the dark. Start earlier, or have lights ready.`,
  noWaterBeyondTheTicket: () =>
    'Say what it is for when you order, and add no water on site beyond what the ticket allows. Ask about access, how far the chute reaches, and where it may wash out.',
  comesUntilBeforeFrom: () => 'They stop coming before they begin.',
  truckDoesNotCome: (f) =>
    `The truck comes ${f.saturdays ? 'Monday to Saturday' : 'Monday to Friday'} from ${clock(f.hoursFrom)} until ${clock(f.hoursUntil)}.`,
  truckNotOffInTime: (f, fmt) =>
    `${fmt.bulk(f.volumeM3 * 1000)} are off the truck ${duration(f.offMin)} after their water, ${duration(f.ageMin)} of it on the way; ${duration(f.limitMin)} is the limit.`,
  truckWaits: (f) =>
    `The truck stands here for ${duration(f.siteMin)}; ${duration(f.paidMin)} are in its price, the rest is charged.`,
  outsideWorkingHours: (f) =>
    `Nobody begins at this hour: you said from ${clock(f.hoursFrom)} until ${clock(f.hoursUntil)}.`,
  passAfterHours: (f) =>
    `${passes[f.pass]} comes at ${clock(f.beginsH)}, and you said that work begins from ${clock(f.hoursFrom)} until ${clock(f.hoursUntil)}: concrete does not wait. Start earlier, or keep the evening free.`,
  numberMissing: () => 'A number is wanted here.',
  lowAboveHigh: (f, fmt) => `The low, ${fmt.celsius(f.lowC)}, is above the high, ${fmt.celsius(f.highC)}.`,
  dayTypedTwice: () => 'This day stands above already.',
  weatherFileMissing: () =>
    'The weather file of this job is not here. The forecast stands in; read the file again.',
  weatherFileDamaged: (f) =>
    `Line ${number(f.line)}: ${weatherColumns[f.column] ?? f.column} ${weatherReasons[f.reason] ?? ''}${f.given ? ` (“${f.given}”)` : ''}.`,
  weatherColumnMissing: (f) =>
    `There is no column for ${weatherColumns[f.column] ?? f.column}. Its name must begin with it: time, temp_c, humidity_%, wind_kmh.`,
  weatherUnitUnknown: (f) =>
    `The column “${f.given}” does not say its unit. End its name in one: temp_c or temp_f, wind_kmh, wind_ms or wind_mph, humidity_%.`,
  weatherGap: (f) =>
    f.hours > f.most
      ? `Line ${number(f.line)}: ${number(f.hours, 1)} hours are missing before it; more than ${number(f.most)} are not filled.`
      : `Line ${number(f.line)}: ${number(f.hours, 1)} hours after the line before; filled by a straight line.`,
  weatherValueMissing: (f) =>
    f.hours > f.most
      ? `Line ${number(f.line)}: ${weatherColumns[f.column] ?? ''} is missing for ${number(f.hours, 1)} hours; more than ${number(f.most)} are not filled.`
      : `Line ${number(f.line)}: ${weatherColumns[f.column] ?? ''} is missing; filled from its neighbours.`,
  weatherHourSkipped: (f) =>
    `Line ${number(f.line)}: the clocks skip ${f.given || 'that hour'}; it was left out. If the file keeps winter time all year, write the offset.`,
  weatherHourTwice: (f) =>
    `Line ${number(f.line)}: the clocks have ${f.given || 'that hour'} twice; the first was taken unless it stands there twice.`,
  weatherTooLong: (f) =>
    `Line ${number(f.line)}: ${number(f.count)} hours; a file may have ${number(f.most)}, a year.`,
  weatherWithout: (f) =>
    f.column === 'rainChance'
      ? 'The file says nothing of rain: it warns of none. Look at a forecast.'
      : 'The file says nothing of sun or cloud: half-clouded skies stand in.',
  weatherTypicalYear: (f) =>
    `A typical year${f.given ? ` of ${f.given}` : ''}, put together from many: good for choosing a season, no forecast.`,
  weatherLeapDay: (f) => `Line ${number(f.line)}: the file has no 29 February; the day before stands in.`,
  driesOverNight: (f) =>
    `${curing[f.method]} dries out for up to ${duration(f.dryH * 60)} while everybody sleeps.`,
  frostNight: (f, fmt) =>
    `A cold night: the concrete falls to ${fmt.celsius(f.leastC)} with ${fmt.strength(f.strengthMpa)}; frost harms it under ${fmt.strength(f.safeMpa)}. Cover it.`,
  coldCure: (f, fmt) =>
    `The air falls to ${fmt.celsius(f.airC)} while it cures; below ${fmt.celsius(f.limitC)} it hardens next to nothing without a cover.`,
  wettingMissed: (f, fmt) =>
    `It lay dry for ${duration(f.dryH * 60)} when it should have been wet; that costs about ${fmt.strength(f.lostMpa)} at 28 days. Wet it now and go on.`,
  coatTooLate: (f) =>
    `Coat ${number(f.coat)} of ${f.product} finds no dry hour in its window: scuff with 320 grit first.`,
  rapidSetsAsPlaced: () =>
    'Rapid mix: strike off and float each batch as it lands. There is no later window for edging or brooming.',
  cureStoppedEarly: (f) =>
    `${number(f.wetDays, 1)} days wet instead of ${number(f.adviceDays, 1)} leaves about ${number(f.sharePct)} % of its strength.`,
  cannotBeKeptWet: (f) =>
    `${curing[f.method]} dries out in ${duration(f.intervalH * 60)} at the worst hour. Nobody can keep that up: cover it.`,
  frozenYoung: (f, fmt) =>
    `It would freeze at ${fmt.strength(f.strengthMpa)}, before the ${fmt.strength(f.safeMpa)} that lets it survive. No dates are given. Choose a milder day or cover it well.`,
  weakerFromHeat: (f, fmt) =>
    `It is ${fmt.celsius(f.meanC)} in its first days. Over ${fmt.celsius(f.limitC)} concrete ends up weaker, by up to ${number(f.mostLossPct)} %: shade it, and keep it wet.`,
  milestoneOutOfSight: (f, fmt) =>
    `${milestones[f.milestone]} needs ${fmt.strength(f.neededMpa)}; this mix and weather do not get there within 60 days.`,
  toppingBetween: (f) =>
    `The base is ${duration(f.ageH * 60)} old when its topping goes on: too stiff to take it wet (up to ${duration(f.freshH * 60)}) and too weak to walk on (from ${duration(f.hardH * 60)}).`,
  toppingBonded: (f) =>
    `The base is ${number(f.ageDays, 1)} days old: roughen it, wash it, keep it damp overnight, and brush in a bond coat just ahead of the topping.`,
  sameId: (f) => `Something else goes by “${f.given}” already.`,
  unknownElement: (f) => `Nothing in this job goes by “${f.given}”.`,
  unknownMix: (f) => `No mix of this job goes by “${f.given}”.`,
  noSuchPanel: (f) => `There is no panel ${number(f.panel)}; it has ${number(f.most)}.`,
  noSuchCasting: (f) =>
    f.most === 1
      ? 'It is cast once.'
      : `There is no casting ${number(f.casting)}; it is cast ${number(f.most)} times.`,
  whichCasting: (f) => `It is cast ${number(f.most)} times: say which one.`,
  noSuchCourse: () => 'Say which course of it is poured then.',
  pouredTwice: (f) => `Pour ${number(f.pour)} has this already.`,
  emptyPour: () => 'Nothing is poured on this day.',
  poursWaitForEachOther: (f) =>
    `Pours ${number(f.pour)} and ${number(f.other)} wait for each other: each has something that goes on what the other has.`,
  twoMixesInOnePour: () =>
    'One mixer holds one mix: what takes another was left out of this pour. Give it a pour of its own.',
  mouldStillFull: (f) =>
    `The mould is not free for casting ${number(f.casting)}: ${number(f.gapDays)} days after the one before, and ${number(f.wantedDays, 1)} are wanted to strip and clean it.`,
  pouredBeforeItsBase: (f) => `${courses[f.course]} is poured before what it goes on.`,
  bulkheadStillStands: (f) =>
    `The board between them has stood ${number(f.gapDays)} days; it wants ${number(f.wantedDays)} before the panel beside it is poured.`,
  formStillHolds: (f) =>
    `${f.mould ? 'The mould' : 'The board between them'} is wanted again for pour ${number(f.pour)} when this concrete is ${number(f.ageH, 1)} h old, and comes off at ${number(f.wantedH, 1)} h: begin so much later.`,
  wantsHelp: (f, fmt) =>
    `One piece weighs ${fmt.mass(f.massKg)}: ${number(f.people)} people turn it out, carry and set it, and you are ${number(f.hands)}. Ask for help for that hour.`,
  dayWentBy: (f) =>
    `${calendarDay(f.date).long} has gone by, and nothing was told of this pour. Was it poured as planned? If on another day, put that one in.`,
  notAWorkingDay: () => 'This is not one of your days for pouring.',
  bagsGrowOld: (f) =>
    `Bags keep about ${number(f.keepDays)} days: buy ${number(f.bags)} of ${bagById(f.bag)} only for the pours from ${calendarDay(f.from).long} on.`,
};

/** What a finding says. */
export const findingText = (says: Notice, fmt: Formats): string => tell<Notice>(findings, says, fmt);
