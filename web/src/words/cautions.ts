/** What can hurt someone, one sentence each. */
import { both } from './english';
import type { Notice, Says } from '../api/client';
import type { Formats } from '../format/format';

type Caution =
  | 'causticCement'
  | 'dustWhenTipping'
  | 'heavyLift'
  | 'mixerGuard'
  | 'solventInTheAir'
  | 'heatOnPeople'
  | 'silicaWhenGround'
  | 'markServices'
  | 'washOut'
  | 'structuralWork'
  | 'heavyPiece'
  | 'deepDig'
  | 'formPush'
  | 'barEnds'
  | 'restsOn'
  | 'footingBelowFrost';

export const cautions: { [Code in Caution]: (facts: Says<Notice, Code>, fmt: Formats) => string } = both({
  causticCement: () =>
    'Wet cement burns skin and eyes: waterproof gloves, boots, glasses. Rinse at once with plenty of water, eyes for 20 minutes, and see a doctor.',
  dustWhenTipping: () => 'Cement dust harms lungs: wear a mask when tipping bags, with the wind behind you.',
  heavyLift: (f, fmt) =>
    `A bag weighs ${fmt.mass(f.massKg)}; over ${fmt.mass(f.limitKg)} lift with help or split it. Turn it over dry before you halve it.`,
  mixerGuard: () => 'Guard on, hands and sleeves out of what turns, and an RCD or GFCI on the lead.',
  solventInTheAir: () =>
    'What a film gives off is bad to breathe and burns: doors open, no flame, a mask for vapours, gloves for resin.',
  heatOnPeople: () =>
    'Hot work for people too: shade, water every half hour, and stop when somebody feels dizzy.',
  silicaWhenGround: () =>
    'Dust of hard concrete harms lungs for good: grind and cut wet or under suction, with a P3 or N100 mask.',
  markServices: () => 'Before you dig, have buried cables and pipes marked.',
  deepDig: (f, fmt) =>
    `${fmt.small(f.depthMm)} deep: over ${fmt.small(f.limitMm)} the sides fall in on who stands there. Slope or shore them, and never dig alone.`,
  formPush: (f, fmt) =>
    `Fresh concrete pushes every ${fmt.units === 'us' ? 'foot' : 'metre'} of this form outward with ${fmt.perRun(f.pushKgPerM)}: brace it, and do not fill it in one go.`,
  barEnds: () => 'Ends of bars go through boots and eyes: cap them, or bend them over.',
  restsOn: (f, fmt) =>
    `It weighs ${fmt.mass(f.massKg)}, ${fmt.perFace(f.kgPerM2)}: whoever made what it stands on, or a licensed person, has to agree.`,
  washOut: () => 'Wash out where it can settle: never into drains or ponds.',
  structuralWork: () =>
    'Set Firm plans slabs on the ground for the garden. Foundations, retaining walls, hung slabs and anything over 1 m up follow local codes and licensed people.',
  heavyPiece: (f, fmt) =>
    `One piece weighs ${fmt.mass(f.massKg)}: ${
      f.massKg > f.machineKg ? 'move it with a machine, a trolley or several people' : 'lift it with help'
    }.`,
  footingBelowFrost: (f, fmt) =>
    `Footings stand below the depth that frost reaches where you live; this one stands ${fmt.small(f.deepMm)} deep. What they must carry is not worked out here: ask who is licensed for it.`,
});
