/** One sentence for each remedy. */
import type { Mend } from '../api/client';
import { calendarDay, clock, duration, number, type Formats } from '../format/format';
import { bagById } from './bagById';
import { schools } from './building';
import { frostGuards } from './names';
import { tell, type Sentences } from './sentences';

/** What a remedy does, said with the effect it would have. */
const remedies: Sentences<Mend> = {
  pourLater: (e) => (e.daysLater === 1 ? 'A day later' : `${number(e.daysLater)} days later`),
  pouredAsPlanned: () => 'Poured as planned',
  pourOn: (e) => `Not yet: ${calendarDay(e.date).long}`,
  everyOtherPanel: () => 'Pour every other panel first',
  addHand: (e) =>
    e.ageMin != null
      ? `With ${number(e.hands)} hands: ${duration(e.ageMin)} old`
      : e.mixingMin != null
        ? `With ${number(e.hands)} hands: done in ${duration(e.mixingMin)}`
        : e.lateMin != null
          ? `With ${number(e.hands)} hands: ${e.lateMin < 1 ? 'all in time' : `${duration(e.lateMin)} late`}`
          : `Have ${number(e.hands)} hands`,
  jointHere: (e) => `Make a joint where batch ${number(e.batch)} ends`,
  coverNow: () => 'Put the cover on now',
  addMixer: (e) => `Run ${number(e.mixers)} mixers: ${duration(e.ageMin)} old`,
  retard: (e) => `One dose of retarder: may be ${duration(e.limitMin)} old`,
  coolerHour: (e, fmt) =>
    `Begin in the cool: mix at ${fmt.celsius(e.mixC)}, may be ${duration(e.limitMin)} old`,
  otherBag: (e, fmt) => `Take ${bagById(e.bag)}: about ${fmt.strength(e.f28Mpa)}, ${fmt.money(e.costMoney)}`,
  noStone: () => 'Leave the stone out',
  plasticiseInstead: (e, fmt) =>
    `Plasticiser and ${fmt.litres(e.waterL)}: moves as well, about ${fmt.strength(e.f28Mpa)}`,
  stirInAir: () => 'Stir in an air entrainer',
  oneDose: () => 'One dose',
  usualPigment: (e) => `${number(e.pigmentPct)} %`,
  withoutAdditive: () => 'Leave it out',
  withoutChloride: () => 'Without chloride',
  broomInstead: () => 'Broom it',
  warmWater: (e, fmt) => `Water at ${fmt.celsius(e.waterC)}: mix at ${fmt.celsius(e.mixC)}`,
  coolWater: (e, fmt) => `Water at ${fmt.celsius(e.waterC)}: mix at ${fmt.celsius(e.mixC)}`,
  enoughInShed: (e, fmt) => `There is enough: ${number(e.used, 1)}, saves ${fmt.money(e.savesMoney)}`,
  biggerMixer: (e, fmt) =>
    `Take a drum of ${fmt.litres(e.sizeL)}${e.mixingMin != null ? `: done in ${duration(e.mixingMin)}` : ''}`,
  plasticUnder: () => 'Lay plastic under it',
  stoneUnder: (e, fmt) => `Put ${fmt.small(e.baseMm)} of stone under it`,
  secondMixer: (e) => `Run ${number(e.mixers)} mixers: done in ${duration(e.mixingMin)}`,
  mixNearer: (e, fmt) => `Mix ${fmt.length(e.runM)} from the pour: done in ${duration(e.mixingMin)}`,
  laterDay: (e) =>
    `Pour ${number(e.daysLater)} ${e.daysLater === 1 ? 'day' : 'days'} later: ${number(e.chancePct)} % chance of rain`,
  bagMiddleWater: (e, fmt) => `Back to ${fmt.litres(e.waterL)}: about ${fmt.strength(e.f28Mpa)}`,
  lessWater: (e, fmt) => `${fmt.litres(e.waterL)} to a bag: about ${fmt.strength(e.f28Mpa)}`,
  blankLastEdge: () => 'Hold what was taped: work out the last two edges',
  spreadGap: (e, fmt) => `Spread ${fmt.small(e.gapMm)} over all ${number(e.sides)} edges`,
  steeperFall: (e) => `Fall ${number(e.gradePct, 1)} in 100`,
  fallOffWall: (e) => `Fall off the wall, edge ${number(e.edge)}`,
  proposeJoints: () => 'Take the joints proposed',
  takeSchool: (e) => `Take what is advised: ${schools[e.school].toLowerCase()}`,
  thickerSlab: (e, fmt) => `Make it ${fmt.small(e.thicknessMm)} thick`,
  anyPly: (e, fmt) => `Bend it from ${fmt.small(e.plyMm)}`,
  anyBoard: () => 'Take the lowest board that holds it',
  advisedBase: (e, fmt) => `Lay ${fmt.small(e.baseMm)} of base`,
  longerCure: (e) => `Keep it wet ${number(e.adviceDays, 1)} days`,
  coverUnderPlastic: (e) => `Burlap under plastic: every ${number(e.intervalH)} h`,
  pondIt: (e) => `Let water stand on it: every ${number(e.intervalH)} h`,
  coverAtNight: (e, fmt) => `${frostGuards[e.guard]}: not under ${fmt.celsius(e.leastC)}`,
  whenTruckComes: (e) => `${calendarDay(e.date).long} at ${clock(e.startH)}`,
  earlierStart: (e) => `Start at ${clock(e.startH)}: done at ${clock(e.doneH)}`,
  rainCoverReady: () => 'I have a cover ready',
  shadeIt: (e, fmt) => `Shade it: ${fmt.evaporation(e.peakKgM2H)}`,
  breakWind: (e, fmt) => `Break the wind: ${fmt.evaporation(e.peakKgM2H)}`,
  mistIt: (e, fmt) => `Mist it: ${fmt.evaporation(e.peakKgM2H)}`,
};

/** What a remedy does. */
export const remedyText = (does: Mend, fmt: Formats): string => tell<Mend>(remedies, does, fmt);
