/** Words on the screens. Plain, short, as a friend on site would say it. */
import { both } from './english';
import type { Enum } from '../api/client';

export const app = both({
  name: 'Set Firm',
  windowTitle: (page: string) => (page === 'Set Firm' ? page : `${page} – Set Firm`),
  home: 'Set Firm, to the yard',
  jobName: 'Name of the job',
  steps: 'Steps of the job',
  skip: 'Skip to the plan',
  loading: 'Reading…',
  notFound: 'Nothing is here.',
  backToYard: 'Back to the yard',
  simulated: 'Simulated weather, made up for trying things out. Look at a real forecast before you pour.',
  simulatedShort: 'Simulated weather: look at a real forecast before you pour.',
  keys: 'Keys',
  keysTitle: 'Keys',
  light: 'Light',
  dark: 'Dark',
  scheme: (dark: boolean) => (dark ? 'Switch to light' : 'Switch to dark'),
  close: 'Close',
  broken: 'This page broke.',
  brokenLong:
    'That is our fault, not yours. What you typed is kept on this device; take it away as a file to be sure, and try again.',
  saveTyped: 'Save what I typed',
  tryAgain: 'Try again',
  failed: 'That did not work.',
  noServer:
    'The program does not answer. What you typed is kept on this device and will be sent when it is back.',
  lastSeen: (when: string) =>
    `The program does not answer, and this device cannot plan by itself yet: this is as it was seen ${when}. What you type is kept here and sent when it is back.`,
  looksShort: 'Only to look.',
  plannedHere: 'Planned on this device',
  plannedHereLong:
    'The program does not answer, so this device plans by itself, with 20 ways the day may go. What you tell is kept here and sent when it is back.',
  onlyPlan: 'This is settled on a device that plans.',
  mayOnly: {
    look: 'This device was let in to look: nothing is changed from here.',
    crew: 'This device tells what is done. The job itself is changed on a device that plans.',
  },
  keptSince: (when: string) => `The program does not answer: as this device read it ${when}`,
  newer: 'A newer Set Firm is here.',
  takeNewer: 'Use it',
});

/** Threads through all steps, by which the rail leads to them. */
export const threads = both({
  tasks: { title: 'Order of work', link: 'Order of work' },
  shop: { title: 'In the shop', link: 'In the shop' },
  paper: { title: 'On paper', link: 'On paper' },
  compare: { title: 'Compare', link: 'Compare' },
});

export const keyList: [string, string][] = [
  ['1 – 9', 'go to a step'],
  ['y', 'back to the yard'],
  ['u', 'metric or US customary'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['?', 'this list'],
];

export const save = both({
  saved: 'Saved',
  saving: 'Saving…',
  waiting: 'Kept on this device; waiting for the program',
  notKept: 'Not kept yet',
  notKeptLong:
    'This browser’s storage is full or shut: what you typed is on this page only. Leave it open until the program has it, or save a copy.',
  lineRefused: (why: string) => `A line of the diary was refused, and waits on this device. ${why}`,
  lineNotKept:
    'A line of the diary is kept on this page only: this browser’s storage is full or shut. Leave the page open until the program has it.',
  waits: (what: string) => `Waiting on this device: ${what}.`,
  aDraft: 'changes to a job',
  someLines: (n: string) => `${n} lines of a diary`,
  saveLeft: 'Save it as a file',
  letGo: 'Let it go',
  letGoSure: 'It is kept nowhere else. Press once more to let it go.',
  waitsConflict: 'The job was changed elsewhere: open it and choose.',
  conflict: 'Changed elsewhere',
  conflictLong: 'This job was changed elsewhere while you worked on it here.',
  keepMine: 'Keep mine',
  takeTheirs: 'Take theirs',
  refused: 'Not saved: this change was refused.',
  undo: 'Undo',
  redo: 'Redo',
  units: (us: boolean) => (us ? 'US units' : 'Metric'),
  unitsSwap: (us: boolean) => (us ? 'US units: show in metric' : 'Metric: show in US units'),
  download: 'Save a copy',
  versions: 'As it was before',
  versionsHint: 'Take one back: what stands now is kept too, and undo brings it back.',
  noVersions: 'It was not changed yet.',
  asItWas: (when: string) => `As it was on ${when}`,
  takeBack: 'Take it back',
  versionGone: 'It is not kept any more.',
});

/** A file that is let go on the window. */
export const drop = both({
  letGo: 'Let go: it finds its place',
  unknown: (file: string) =>
    `${file} is nothing that Set Firm reads. It reads job files, archives, outlines (DXF, GeoJSON, tables of corners), weather (EPW, tables of hours) and tables of a probe.`,
  oneOnly: 'One file at a time.',
  needsJob: (what: string) => `That is ${what}: open the job it is for, and let it go there.`,
  waits: (file: string, what: string) => `${file} is ${what}. Choose what it is for, and it is read.`,
  leaveIt: 'Leave it',
  doors: {
    job: 'a job',
    archive: 'an archive of a yard',
    outline: 'an outline',
    weather: 'weather',
    probe: 'what a probe in the slab wrote',
  },
});

export const yard = both({
  title: 'The yard',
  newJob: 'New job',
  name: 'What you call it',
  whatIsPoured: 'What is poured?',
  start: 'Start',
  openFile: 'Open a job file or an archive',
  archive: 'Save everything as an archive',
  backup: 'Save a backup',
  empty: 'Nothing planned yet. Start a job: the first figures stand before you have finished typing.',
  play: 'Play with a terrace that is all there',
  toPlayWith: (name: string) => `${name}, to play with`,
  today: 'To do now',
  todayOf: (task: string, element: string, time: string) =>
    [element === '' ? task : `${task}: ${element}`, time].filter(Boolean).join(', '),
  wetNow: 'Wet now',
  coming: 'Coming up',
  done: 'Hardening and done',
  week: 'The next fortnight',
  practise: 'Rehearse a pour',
  remove: 'Remove',
  copy: 'Copy',
  putAway: 'Put away',
  takeOut: 'Take out',
  putAwayJobs: (n: string) => `Put away (${n})`,
  copyOf: (name: string) => `${name}, again`,
  search: 'Search the jobs',
  notFound: (sought: string) => `No job is called ${sought}.`,
  removed: (name: string) => `${name} was removed.`,
  changedMeanwhile: (name: string) =>
    `${name} was changed elsewhere meanwhile, so it was not removed. Look at it first.`,
  removedJobs: (n: string) => `Removed jobs (${n})`,
  removedOn: (date: string) => `removed ${date}`,
  emptyRemoved: 'Empty: gone for good',
  emptySure: 'Really? They cannot be brought back.',
  nameless: 'A job whose name cannot be read',
  pending: 'being planned…',
  unplannable: 'could not be planned: open it to see why',
  bringBack: 'Bring it back',
  bags: (n: string) => `${n} bags`,
  keptWet: (until: string | null, next: string | null, walk: string | null) =>
    [until && `until ${until}`, next && `wet it next ${next}`, walk && `walk on it from ${walk}`]
      .filter(Boolean)
      .join('; '),
  doneBy: (time: string) => `done by ${time}`,
  poured: (date: string) => `poured ${date}`,
  wasIt: (date: string) => `${date}: was it poured?`,
  rain: (chance: string) => `${chance} rain`,
  range: (low: string, high: string) => `${low} to ${high}`,
  dry: 'dry',
  decisions: (n: number) => (n === 1 ? '1 thing to decide' : `${String(n)} things to decide`),
  unreadable: 'That file is not a job.',
  nextPour: (when: string, which: string) => `Then ${which}: ${when}.`,
  phase: {
    unfinished: 'Not worked out yet',
    planned: 'Planned',
    pouring: 'Pour day',
    wentBy: 'Its day went by',
    keepWet: 'Keep it wet',
    hardening: 'Hardening',
    done: 'Done',
  } satisfies Record<Enum<'JobPhase'>, string>,
});

export const shape = both({
  sentence: (area: string, thickness: string, net: string, order: string, waste: string) =>
    `${area} at ${thickness} is ${net} as drawn. Have ${order} ready: ${waste} more for what the ground swallows.`,
  many: (n: number, area: string, net: string, order: string) =>
    `${String(n)} elements, ${area} in all: ${net} as drawn, ${order} to have ready.`,
  path: (length: string, what: string, net: string, order: string, waste: string) =>
    `${length} of ${what} is ${net} as drawn. Have ${order} ready: ${waste} more for what is spilt.`,
  pieces: (n: string, what: string, net: string, order: string, mass: string) =>
    `${n} of ${what} are ${net} as drawn, ${order} to have ready. One weighs ${mass}.`,
  one: (what: string, net: string, order: string, mass: string) =>
    `${what}: ${net} as drawn, ${order} to have ready. It will weigh ${mass}.`,
  blocked: 'The outline does not stand yet. What is wrong is said at its field.',
  length: 'Length',
  weight: 'One weighs',
  fallFigure: 'Lowest corner',
  below: (mm: string) => `${mm} down`,
  partsNote: (parts: string) => parts,
  radius: (r: string) => `r ${r}`,
  wayOut: 'way out',
  plan: (name: string) => `Plan of ${name}, to scale`,
  area: 'Area',
  net: 'As drawn',
  order: 'To have ready',
  perimeter: 'Round the edge',
  misfit: 'Tapes missed by',
  edgeButton: (n: number, length: string, what: string) =>
    `Edge ${String(n)}: ${length} ${what}, press to change`,
  manyEdges: (n: number) => `An outline of ${String(n)} edges.`,
  legend: 'Press an edge to change what it meets.',
  scaleBar: 'scale',
});

export const why = both({
  button: (what: string) => `Why? ${what}`,
  short: 'Why?',
  source: 'Source',
  holds: 'holds for',
});

export const pours = both({
  strip: 'Pours of this job',
  noDay: 'no day yet',
  states: { coming: 'to come', now: 'under way', poured: 'poured', wentBy: 'its day went by' },
  casting: (name: string, n: string) => `${name}, casting ${n}`,
  panels: (name: string, list: string) => `${name}, ${list.includes(',') ? 'panels' : 'panel'} ${list}`,
  course: (name: string, course: string) => `${name}, ${course}`,
  title: 'What is poured when',
  part: { panel: (n: string) => `Panel ${n}`, casting: (n: string) => `Casting ${n}` },
  ownDay: 'A day of its own',
  on: (n: string, day: string) => `Pour ${n}: ${day}`,
  workDays: 'You pour on',
  workDayNames: {
    any: 'any day',
    weekdays: 'weekdays',
    evenings: 'weekday evenings',
    weekends: 'weekends',
  } satisfies Record<Enum<'WorkDays'>, string>,
  split: 'Shared out',
  splits: { asNeeded: 'as few pours as will do', everyOther: 'every other panel first' } satisfies Record<
    Enum<'PourSplit'>,
    string
  >,
  pickPanel: (n: number) => `Panel ${String(n)}: choose its day`,
  ofMany: (n: string, all: string) => `pour ${n} of ${all}`,
  mixOf: 'Mix',
  toppingMix: 'Mix of the topping',
  slurryMix: 'Mix of the slurry',
  cementAndWater: 'Cement and water',
  hands: 'Hands for this pour',
  one: (n: string) => `Pour ${n}`,
  titled: (title: string, n: string) => `${title} (pour ${n})`,
});
