/** Words of Day and Cure. */
import { both } from './english';
import type { Enum } from '../api/client';

export const day = both({
  sentence: (date: string, start: string, ends: string, doneBy: string) =>
    `${date}: first water at ${start}, the last batch lies at ${ends}, and you wash the tools after ${doneBy}.`,
  byTruck: (date: string, arrives: string, ends: string, doneBy: string) =>
    `${date}: the truck comes at ${arrives}, the last of it lies at ${ends}, and you wash the tools after ${doneBy}.`,
  last: (pass: string, opens: string, closes: string) => ` ${pass} between ${opens} and ${closes}.`,
  blocked: 'The day cannot be told yet. What is missing is said at its field, here or in an earlier step.',
  views: { hours: 'The day', map: 'Zone by zone', starts: 'When to start' },
  sides: { when: 'When', forecast: 'Forecast', site: 'Site', passes: 'Passes' },
  sidesLabel: 'What to change or look up',
  chance: 'All goes well',
  tooFar: 'too far to say',
  tooFarAhead: ' How likely it goes well is too far ahead to say.',
  wrong: (chance: string, fault: string | null) =>
    ` All goes well in ${chance} of 100 cases${fault === null ? '.' : `; when not, mostly because ${fault}.`}`,
  people: 'People',
  peopleCount: (n: number) => (n === 1 ? '1 pair of hands' : `${String(n)} pairs of hands`),
  dark: 'dark',
  dusk: (time: string) => `dark from ${time}`,
  dragStart: 'Start of the pour',
  dragStartValue: (time: string) => `first water at ${time}`,
  dragHint: 'Drag the start, or type it.',
  begins: (zone: number, pass: string, time: string) => `Part ${String(zone)}: ${pass} from ${time}`,
  doneBetween: (early: string, late: string) => `done between ${early} and ${late}`,
  startsTable: 'Hours in which to start, by day',
  startCell: (day: string, hour: string, what: string) => `${day}, ${hour}: ${what}`,
  startsLegend:
    'A number: all goes well in so many of a hundred cases. A letter: what is in the way most often. The best are underlined.',
  startsOne: (when: string, chance: string, done: string, early: string, late: string) =>
    `${when}: all goes well in ${chance} of 100; done at ${done}, in four cases of five between ${early} and ${late}.`,
  startsMembers: (n: string) => `Each hour was followed through ${n} ways the weather and the mix may go.`,
  startsNone: 'The job cannot be planned yet, so no hour can be judged.',
  timeline: 'The day, hour by hour',
  evaporationTitle: 'Drying in an hour, and the chance of rain from above',
  air: 'Air',
  span: (from: string, to: string) => `${from} – ${to}`,
  care: 'take care',
  act: 'protect it',
  mixing: 'Mixing',
  zones: (n: number) =>
    n === 1
      ? 'All of it is of one age.'
      : `${String(n)} bars: the parts poured first, next and last are each ready in their turn.`,
  sign: 'Go and look when the window opens. The slab decides, not the clock.',
  band: 'Pale ends: in four cases of five it opens and closes within them.',
  crewMark: 'Under them: when somebody gets to each.',
  sheenGone: 'Sheen gone',
  noSheen: 'none shows',
  mixC: 'Mix',
  initialSet: 'First set',
  finalSet: 'Final set',
  rainChance: 'Rain till set',
  peak: 'Most drying',
  doneBy: 'Last pass',
  heardRain: 'rain',
  heardWind: (wind: string) => `wind to ${wind}`,
  opens: 'opens',
  closes: 'closes',
  pass: 'Pass',
});

/** What goes wrong when a day does, and its mark. */
export const dayFaults: Record<Enum<'DayFault'>, string> = both({
  rain: 'rain before it sets',
  drying: 'dries too fast',
  cold: 'too cold',
  hot: 'mix too hot',
  dark: 'a pass in the dark',
  joint: 'cold joints',
  hands: 'too few hands for a pass',
});

/** The same, after "because". */
export const dayFaultReasons: Record<Enum<'DayFault'>, string> = both({
  rain: 'rain comes before it sets',
  drying: 'it dries too fast',
  cold: 'it gets too cold',
  hot: 'the mix is too hot',
  dark: 'a pass falls into the dark',
  joint: 'batches no longer join',
  hands: 'hands are too few',
});

export const dayFaultMarks: Record<Enum<'DayFault'>, string> = both({
  rain: 'R',
  drying: 'D',
  cold: 'C',
  hot: 'H',
  dark: 'N',
  joint: 'J',
  hands: 'B',
});

export const cure = both({
  sentence: (
    days: string,
    until: string,
    dates: { strip: string | null; turn: string | null; walk: string | null },
  ) =>
    `Keep it wet ${days}, until ${until}.` +
    (dates.strip === null ? '' : ` Strip the boards from ${dates.strip}.`) +
    (dates.turn === null ? '' : ` Out of the mould from ${dates.turn}.`) +
    (dates.walk === null ? '' : ` Walk on it from ${dates.walk}.`),
  noWater: (method: string, until: string) =>
    `${method}: it keeps its own water; leave it be until ${until}.`,
  days: (n: string) => `for ${n} days`,
  hours: (n: string) => `for ${n} hours`,
  blocked: 'The cure cannot be told yet: the day before it is not worked out.',
  views: { strength: 'Strength', calendar: 'Calendar' },
  viewsLabel: 'How to look at the cure',
  sides: { wet: 'Keep wet', dates: 'From when', coats: 'Coats', diary: 'Diary' },
  sidesLabel: 'What to change or look up',
  chart: 'Strength against time',
  planned: 'With this cure',
  band: 'Four cases in five',
  none: 'Never kept wet',
  rewet: 'Wet it again every',
  next: 'Wet it next',
  overdue: (since: string) => `due since ${since}`,
  nothingDue: 'nothing more',
  until: 'Keep wet until',
  at28: 'Strength at 28 days',
  drying: 'Drying in an hour',
  dates: 'From when',
  outOfSight: 'not within 60 days',
  needs: (mpa: string) => `needs ${mpa}`,
  dryIsNotHard: 'Dry is not hard: these dates go by strength.',
  calendarTitle: 'The weeks after',
  pour: 'pour',
  wettings: (n: number) => (n === 1 ? 'wet it' : `wet it ${String(n)} times`),
  coverTonight: (least: string) => `cover for the night: down to ${least}`,
  wetEnds: 'last wet day',
  told: (what: string) => `✓ ${what}`,
  coat: (name: string, n: number) => `${name}, coat ${String(n)}`,
  coatScuff: 'scuff it first',
  coatDone: 'laid',
  coatsHint: 'As the label has it. Coats are laid into dry hours in which you work.',
  addCoat: 'Add a product',
  removeCoat: (name: string) => `Remove ${name}`,
  coatName: 'Product',
  coatCount: 'Coats',
  coatFrom: 'From day',
  coatLeast: 'Recoat from, h',
  coatMost: 'Recoat until, h',
  coatWet: 'Keep wet, h',
  coatCure: 'In use after, h',
  coatDilution: 'Water to 1',
  coatOnDry: 'Wants a dry face',
  coatsNone: 'Nothing goes on it.',
  coatsClear: 'Take all away',
  wettedNow: 'I wetted it now',
  formsOffNow: 'Boards are off',
  coveredNow: 'Covered for the night',
  uncoveredNow: 'Cover is off',
  coatedNow: (name: string) => `Laid a coat: ${name}`,
  diaryNone: 'Nothing told yet. What you tell re-times the rest.',
  diaryLater: 'The diary begins when it is poured.',
  strike: (what: string, when: string) => `Strike out: ${what}, ${when}`,
  waiting: 'kept here, not yet with the program',
  dryFor: (hours: string) => `It lay dry for ${hours}.`,
  wakeFrom: 'Up from',
  wakeUntil: 'Up until',
  frost: 'At night, over it',
  calendarFile: 'Put it in a calendar',
  calendarHint: 'A file with alarms, for the calendar of your phone.',
  alarm: (what: string, job: string) => `${job}: ${what}`,
});

/** Usual products, by the id that the program has them under. */
export const coatNames: Record<string, string> = both({
  penetratingSealer: 'Penetrating sealer',
  reactiveSealer: 'Reactive sealer, kept wet',
  filmSealer: 'Film sealer',
  counterSealer: 'Two-part counter sealer',
  paint: 'Concrete paint',
  stain: 'Water stain',
});

/** A product by its usual name, or as the user calls it. */
export const coatName = (name: string): string => coatNames[name] ?? name;

/** The weather a job takes, and what stands over it. */
export const skies: Record<Enum<'Sky'>, string> = both({
  clear: 'Clear',
  broken: 'Broken cloud',
  grey: 'Grey',
});

/** Where the weather of a day comes from. */
export const weatherSources: Record<Enum<'WeatherSource'>, string> = both({
  simulated: 'made up',
  typed: 'typed',
  file: 'from the file',
});

/** A forecast typed off a phone. */
export const typed = both({
  hint: 'Type what your phone says: three days take a minute. Days without a line keep the forecast below.',
  kept: (on: string) => `Typed on ${on}. It is kept with the job; look again before you pour.`,
  start: 'Type the first day',
  addDay: 'Add the next day',
  dropDay: 'Take this day out',
  dayOf: (weekday: string, day: string) => `${weekday} ${day}`,
  date: 'Day',
  low: 'Low, °C',
  high: 'High, °C',
  sky: 'Sky',
  wind: 'Wind, km/h',
  humidity: 'Humidity, %',
  notTold: 'not told',
  rain: 'Chance of rain, %',
  rainMorningPct: '6–12',
  rainAfternoonPct: '12–18',
  rainEveningPct: '18–24',
  rainNightPct: 'night',
});

export const site = both({
  place: 'Where it lies',
  latitude: 'Latitude, °N',
  longitude: 'Longitude, °E',
  asZone: 'as the time zone',
  placeHint: 'For the sun’s course and the usual weather; taken over into the next job.',
  shelter: 'Over it',
  shade: 'Sun',
  windbreak: 'Something breaks the wind',
  fog: 'Mist is sprayed over it',
  rainCover: 'A cover lies ready for rain',
  workFrom: 'Begin from',
  workUntil: 'Begin until',
  weather: 'Weather',
  forecast: 'The forecast',
  readFile: 'Read weather from a file',
  fileHint: 'A table of hours (CSV) or a weather year for buildings (EPW).',
  fileTooLarge: 'That file is too large to be hourly weather.',
  keptFiles: (n: string) => `Files kept (${n})`,
  keptFile: (name: string, from: string) => `${name}, from ${from}`,
  takeFile: 'Take it',
  remove: 'Remove',
  removeFile: (name: string) => `Remove ${name}`,
  backToForecast: 'Back to the forecast',
  fromFile: (name: string, from: string, until: string, hours: string) =>
    `${name}: ${hours} hours, ${from} to ${until}`,
  typicalYear: 'a typical year, not a forecast',
  notRead: 'Nothing was taken from it:',
});

/** Columns of a weather file. */
export const weatherColumns: Record<string, string> = both({
  time: 'the time',
  airC: 'the air temperature',
  humidity: 'the humidity',
  windKmh: 'the wind',
  sunWm2: 'sun or cloud',
  cloud: 'the cloud',
  rainChance: 'rain',
  rainMm: 'the rain',
});

export const weatherReasons: Record<string, string> = both({
  notANumber: 'is no number',
  impossible: 'cannot be on this planet; look at its unit',
  incomplete: 'is missing',
  timeUnread: 'cannot be read; write it as 2027-05-07 08:00, or with an offset',
  beyondYears: 'is not between 1990 and 2199',
  repeated: 'stands twice',
  outOfOrder: 'goes backwards; hours must follow each other',
  tooFewRows: 'has too few rows',
  zoneUnread: 'names no zone',
});
