import { both } from './english';
import type { Enum } from '../api/client';
import { duration, fixed, number, type Formats } from '../format/format';

/** What one may see on it afterwards, and why. */
export const faults = both({
  title: 'Something looks wrong',
  intro: 'What do you see? The likeliest cause by the record of this pour comes first.',
  pick: 'What is seen',
  none: 'Pick what you see.',
  verdicts: {
    likely: 'likely',
    notTold: 'the record does not tell',
    against: 'the record speaks against it',
  },
  now: 'Now',
  from: (when: string) => `from ${when}`,
  next: 'Next time',
  waits: 'The plan has to be settled first.',
} as const);

export const faultSigns: Record<Enum<'FaultSign'>, string> = both({
  dustyFace: 'Dusty face: chalk comes off on the hand',
  flaking: 'The skin flakes off',
  blisters: 'Blisters in the face',
  tornLines: 'Broom lines are torn',
  noLines: 'The broom left no lines',
  bulge: 'A bulge in the side',
  holesInEdge: 'Hollows between stones, at the edge',
  bugHoles: 'Small round holes in a face',
  stuckForm: 'The form sticks',
  chippedEdge: 'The edge is chipped',
  fineCracks: 'Many fine cracks, side by side',
  cornerCrack: 'A crack from a corner',
  crackAcross: 'A crack across it',
  snapped: 'A long piece snapped',
  seamLine: 'A line where two batches met',
  blotches: 'Blotches, light and dark',
  puddle: 'A puddle that stays',
  blowOut: 'The form gave way',
  peelingCoat: 'The coat peels',
  curledEdge: 'Edges and corners curl up',
});

export const faultCauses: Record<Enum<'FaultCause'>, { why: string; next: string }> = both({
  finishedInBleedWater: {
    why: 'Floated or trowelled while bled water stood on it: it was worked back in.',
    next: 'Wait until the sheen is gone, zone by zone; drag water off, never float it in.',
  },
  tooMuchWater: {
    why: 'More water than the mix bears: weak at the top, and it shrinks more.',
    next: 'Measure the water; for a softer mix use a plasticizer, not the hose.',
  },
  tooStiff: {
    why: 'Too stiff to close round the stones.',
    next: 'Start with the middle of the water that the bag allows.',
  },
  frozenYoung: {
    why: 'Frost came while it was still weak.',
    next: 'Cover it in cold nights until it is past 3.5 MPa (500 psi), or pour on another day.',
  },
  cureTooShort: {
    why: 'Kept wet for too few days.',
    next: 'Keep it wet for the days that are advised; a cover saves most visits.',
  },
  driedOut: { why: 'It dried out between wettings.', next: 'Cover it flat, or come more often on dry days.' },
  closedTooEarly: {
    why: 'Closed with a trowel while water and air were still coming up.',
    next: 'Leave the face open with wood or magnesium until a thumb hardly marks it.',
  },
  broomedTooEarly: {
    why: 'Broomed while it was too soft.',
    next: 'Try the broom in a corner: if it tears, wait.',
  },
  broomedTooLate: {
    why: 'Broomed when it was already too hard.',
    next: 'Broom the first zone before the last one is floated: ask for another pair of hands.',
  },
  strippedTooEarly: {
    why: 'Boards or mould came off before it was strong enough.',
    next: 'Wait for the date in Cure; it moves with the weather.',
  },
  pulledOutward: {
    why: 'Boards pulled outward, or a bar put against the piece.',
    next: 'Screws first; slide boards along or lift them; wedges between mould parts.',
  },
  notTapped: {
    why: 'Sides were not tapped or rodded as it filled.',
    next: 'Tap until hardly a bubble rises.',
  },
  dryForms: {
    why: 'Dry boards or ground drank its water.',
    next: 'Damp them, without puddles, before the first batch.',
  },
  leakingSeam: {
    why: 'Paste ran out through a seam.',
    next: 'Seal seams a whole day before, and hold a light behind them.',
  },
  noRelease: { why: 'No oil or wax on the form, or too much.', next: 'A thin, even film, everywhere.' },
  sharpEdge: { why: 'A sharp edge: it breaks by itself.', next: 'Edge it, or put a fillet in the mould.' },
  driedFasterThanBled: {
    why: 'It dried faster than it bled.',
    next: 'Pour in the evening or under shade, keep wind off, mist it, cover it at once.',
  },
  noJointAtCorner: {
    why: 'No joint starts at an inner corner.',
    next: 'Put a joint at each inner corner and at posts.',
  },
  jointsTooFarApart: {
    why: 'Joints too far apart, or panels too long for their width.',
    next: 'Joints at no more than 30 times the thickness, panels nearly square.',
  },
  noIsolation: {
    why: 'It is held fast by a wall, a post or a drain.',
    next: 'A strip of foam, full depth, wherever it meets them.',
  },
  noSteel: {
    why: 'No steel, or not where it is pulled.',
    next: 'Bars near the side that is pulled, with their cover.',
  },
  waitedBetweenBatches: {
    why: 'A batch waited too long for the next.',
    next: 'Fewer, larger batches, another pair of hands, or a joint planned there.',
  },
  unevenWetting: {
    why: 'Wetted or covered unevenly: wrinkles and dry spots show.',
    next: 'Lay plastic flat and touching, or wet all of it each time.',
  },
  noFall: {
    why: 'It has no fall, or too little.',
    next: 'At least 1 in 100, and strike off along the fall.',
  },
  formNotHeld: {
    why: 'The form was not braced or backfilled.',
    next: 'Stakes close enough, earth trodden against it, filled in two goes.',
  },
  sealedTooSoon: {
    why: 'Coated while water was still in it.',
    next: 'Wait as the label has it, and until it is dry.',
  },
  recoatMissed: {
    why: 'The next coat came after its window.',
    next: 'Scuff it with 320 grit first when it is late.',
  },
});

/** What of the record speaks for or against a cause. */
export const faultMeasures: Record<Enum<'FaultMeasure'>, (v: number, f: Formats) => string> = both({
  beforeSheenMin: (v) => (v > 0 ? `${duration(v)} before the sheen was gone` : 'after the sheen was gone'),
  waterOverPct: (v) => (v > 0 ? `${number(v)} % over the most of the bag` : 'within what the bag allows'),
  waterUnderPct: (v) => (v > 0 ? `${number(v)} % under the least of the bag` : 'within what the bag allows'),
  coldC: (v, f) => (v > 0 ? `down to ${f.celsius(-v)} while it was young` : 'no frost while it was young'),
  wetDaysShort: (v) => (v > 0 ? `${number(v, 1)} days short of what is advised` : 'as long as is advised'),
  dryH: (v) => (v > 0 ? `lay dry for ${number(v)} h, as far as was told` : 'was told to be wet all along'),
  beforeWindowMin: (v) => (v > 0 ? `${duration(v)} before its window` : 'not before its window'),
  afterWindowMin: (v) => (v > 0 ? `${duration(v)} after its window` : 'not after its window'),
  beforeStrongH: (v) =>
    v > 0 ? `${number(v, 1)} h before it was strong enough` : 'when it was strong enough',
  notTicked: (v) => (v > 0 ? 'not ticked in the order of work' : 'ticked in the order of work'),
  sealantShortH: (v) => (v > 0 ? `sealed ${number(v, 1)} h too late for the pour` : 'sealed a day before'),
  deficitKgM2H: (v, f) =>
    v > 0 ? `${f.evaporation(v)} an hour over what a fresh face bears` : 'within what a fresh face bears',
  openCorners: (v) =>
    v > 0 ? `${number(v)} inner corners without a joint` : 'every inner corner has a joint',
  longPanels: (v) => (v > 0 ? `${number(v)} panels over their length` : 'no panel is too long'),
  steelMissing: (v) => (v > 0 ? 'what is in it does not fit what it carries' : 'it has the steel that fits'),
  jointOverMin: (v) =>
    v > 0 ? `${duration(v)} over the age at which it still knits` : 'every batch met the next in time',
  fallShortPct: (v) => (v > 0 ? `${fixed(v, 1)} % short of the least fall` : 'it falls enough by the plan'),
  sealedEarlyDays: (v) => (v > 0 ? `${number(v, 1)} days before the label allows` : 'when the label allows'),
  recoatLateH: (v) => (v > 0 ? `${number(v)} h after its window` : 'within its window'),
});

export const mendings: Record<Enum<'MendWith'>, string> = both({
  harden: 'Brush and vacuum it, keep it wet for some more days, then a silicate hardener on the dry face.',
  grindOrTop: 'Grind it down with a mask and water, or lay a thin topping on a bond coat.',
  fillYoung: 'Press the kept mix into the holes while all of it is young; keep it damp for days.',
  patchHard: 'Cut it square, wet it, bond coat, patch with the same sand and cement; keep it damp.',
  rub: 'Rub it down with a stone while it is young.',
  fillCrack: 'A crack that does not move is sealed; one that does gets a sawn joint beside it.',
  castAgain: 'Cast it again, with steel; the broken one makes good fill.',
  wait: 'Wash it, wet all of it evenly, and wait: most of it fades in some months.',
  recoat: 'Take the coat off, let it dry out, and begin anew as the label has it.',
  braceNow: 'Stop placing. Scrape back, brace and backfill, refill, and look at it again in ten minutes.',
  dampOrGrind: 'Wet it from above for some days; a lip that stays is ground off.',
});
