/** Words of what is poured and what holds it. */
import { both } from './english';
import type { ElementKind, Enum, OutlineDocument } from '../api/client';

export const elementKinds: Record<ElementKind, string> = both({
  slab: 'Slab',
  twoCourse: 'Slab in two courses',
  overlay: 'Skim or overlay',
  pebbleBed: 'Pebbles in a bed',
  border: 'Border',
  curb: 'Kerb',
  piece: 'Stones, blocks, treads',
  profile: 'Coping, by its section',
  ribbon: 'Ribbon paver',
  counter: 'Counter or bench top',
  footing: 'Footing or pier',
});

/** What is poured, as a new job asks it first. */
export const startKinds: Record<Enum<'StartKind'>, string> = both({
  slab: 'Slab, patio, pad',
  drive: 'Drive',
  twoCourse: 'Slab in two courses',
  overlay: 'Skim or overlay',
  pebbleBed: 'Pebbles in a bed',
  border: 'Border',
  curb: 'Kerb',
  stones: 'Stepping stones',
  treads: 'Treads, blocks',
  coping: 'Coping, caps',
  ribbon: 'Ribbon pavers',
  counter: 'Counter, in place',
  counterFaceDown: 'Top, face down',
  footing: 'Footings, piers',
});

export const slabUses: Record<Enum<'SlabUse'>, string> = both({
  patio: 'Feet and chairs',
  walk: 'A walk',
  drive: 'A car',
});

export const ways: Record<OutlineDocument['kind'], string> = both({
  preset: 'By its dimensions',
  walked: 'Walking round it',
  taped: 'Two tapes to each corner',
  points: 'By points',
});

export const presets: Record<Enum<'PresetShape'>, string> = both({
  rectangle: 'Rectangle',
  lShape: 'L-shape',
  uShape: 'U-shape',
  circle: 'Circle',
  halfCircle: 'Half circle',
  quarterCircle: 'Quarter circle',
  kidney: 'Kidney',
  hexagon: 'Hexagon',
  octagon: 'Octagon',
});

/** What the first size of a preset is called. */
export const presetAlong: Record<Enum<'PresetShape'>, string> = both({
  rectangle: 'Along',
  lShape: 'Along, over all',
  uShape: 'Along, over all',
  circle: 'Diameter',
  halfCircle: 'Diameter',
  quarterCircle: 'Radius',
  kidney: 'Along, over all',
  hexagon: 'From flat to flat',
  octagon: 'From flat to flat',
});

export const pieceUses: Record<Enum<'PieceUse'>, string> = both({
  tread: 'Step tread',
  block: 'Block',
  stone: 'Stepping stone',
  paver: 'Paver',
});

export const eases: Record<Enum<'EdgeEase'>, string> = both({
  sharp: 'Left sharp',
  round: 'Rounded',
  chamfer: 'Chamfered',
});

export const counterCastings: Record<Enum<'CounterCasting'>, string> = both({
  inPlace: 'Poured in place',
  faceDown: 'Cast face down',
});

export const counterDecks: Record<Enum<'CounterDeck'>, string> = both({
  stays: 'Cement board that stays',
  comesOff: 'A deck that it comes off',
});

export const openingUses: Record<Enum<'OpeningUse'>, string> = both({
  hole: 'Hole',
  post: 'Post',
  drain: 'Drain',
  cutOut: 'Basin or hob',
});

export const footingForms = both({
  box: 'Box',
  cylinder: 'Cylinder',
  frustum: 'Spread foot',
  frustumWithTube: 'Spread foot and tube',
});

export const castParts: Record<Enum<'CastPart'>, string> = both({
  slab: 'slab',
  thickEdges: 'thick edges',
  border: 'border',
  curb: 'kerb',
  pieces: 'pieces',
  field: 'field',
  aprons: 'aprons',
  footing: 'foot',
  tube: 'tube',
  skim: 'skim',
  baseCourse: 'base course',
  topping: 'topping',
  pebbleBed: 'bed',
  slurry: 'slurry',
});

export const fileUnits: Record<NonNullable<Enum<'OutlineFileUnit'>>, string> = both({
  millimetres: 'millimetres',
  centimetres: 'centimetres',
  metres: 'metres',
  inches: 'inches',
  feet: 'feet',
});

/** Why a line of a file cannot be read. */
export const fileReasons: Record<string, string> = both({
  notANumber: 'no number stands where one is wanted',
  endsEarly: 'the file ends too early',
  incomplete: 'something is missing there',
  notGeoJson: 'it is no map outline',
});

export const soils: Record<Enum<'Soil'>, string> = both({
  sound: 'Firm and drained',
  soft: 'Soft',
  wet: 'Wet',
});

export const frosts: Record<Enum<'Frost'>, string> = both({
  none: 'No frost',
  light: 'Light frost',
  hard: 'Freezes hard',
});

export const schools: Record<Enum<'SteelSchool'>, string> = both({
  none: 'Nothing',
  fibre: 'Fibre',
  mesh: 'Mesh',
  barGrid: 'Grid of bars',
  twoRows: 'Two rows of bars',
  scrim: 'Glass scrim',
});

export const meshHelds: Record<Enum<'MeshHeld'>, string> = both({
  onChairs: 'On chairs',
  hookedUp: 'Pulled up with a hook',
});

export const misfits: Record<Enum<'SteelMisfit'>, string> = both({
  none: '',
  tooThin: 'there is no room for it and its cover',
  tooLight: 'it does not hold a car',
  panelsTooLarge: 'it is too large to go without',
  otherSection: 'it is made for another kind of section',
  tooLong: 'a long piece snaps without bars',
  spans: 'what lies on supports and carries between them wants bars, low in it',
  bareEarth: 'bare earth would rust it: put stone or plastic under it',
});

export const mouldSides: Record<Enum<'MouldSides'>, string> = both({
  onBottom: 'Stand on the bottom',
  lapBottom: 'Lap the bottom',
});

export const cornerSchemes: Record<Enum<'CornerScheme'>, string> = both({
  buttedPair: 'One pair runs past',
  pinwheel: 'Each past one',
  mitred: 'Mitred',
});

export const strips: Record<Enum<'StripKind'>, string> = both({
  plyAlong: 'ply, grain along',
  plyAcross: 'ply, grain across',
  hardboard: 'hardboard',
  kerfedOrSheet: 'kerfed board or sheet metal',
});

export const mouldParts: Record<Enum<'MouldPart'>, string> = both({
  bottom: 'Bottom',
  side: 'Side',
  box: 'Side of the cut-out',
  bentSide: 'Bent strip',
  apronInside: 'Inside of the apron',
  rebateBlock: 'Block for the flange',
  leaningSide: 'Leaning side, ripped',
  end: 'End, cut to the section',
  halfShell: 'Half shell, a layer',
  flange: 'Flange',
});

export const verdicts: Record<Enum<'LayoutVerdict'>, string> = both({
  reachesBound: 'as few as the total length allows',
  piecesDoNotShare: 'no fewer: the cuts do not share boards better',
  searchStopped: 'perhaps one too many: not every way was tried',
});

export const jointMethods: Record<Enum<'JointMethod'>, string> = both({
  tooled: 'tooled',
  sawn: 'sawn',
  formed: 'formed, poured after',
});

export const inspections: Record<Enum<'Inspection'>, string> = both({
  square: 'Square: the diagonals agree',
  level: 'Level all round',
  fall: 'Fall: strings checked at every stake',
  baseCompacted: 'Base compacted, to height, nothing organic under it',
  steelCover: 'Steel on its chairs or ready to be pulled up, cover all round, ends capped',
  stakesCut: 'Stakes cut flush with the boards',
  topsClear: 'Board tops clear for the strike board',
  backfilled: 'Outside of the boards backfilled or braced',
  isolation: 'Isolation strip at walls, posts, drains and old slabs',
  bondBreaker: 'Plastic against the panel poured before',
  drain: 'Drain set, capped, and lower than its corners',
  release:
    'Release on boards and moulds: plant oil or a made one, wax on melamine. Used engine oil stains and soils the ground',
  seamsCured: 'Seams sealed 24 hours ago; screw heads covered',
  mouldLevel: 'Moulds level both ways',
  scrimReady: 'Scrim cut to size, ready to press in half-way up',
  rampStop: 'Barrow run firm, with a stop on the ramp',
  dampBase: 'Base damp, no puddles',
  dampForms: 'Boards damp',
  surfaceClean: 'Old surface clean, free of grease, damp',
  waterAndTools: 'Water, tools, gloves, boots and glasses at hand',
  holdBackBucket: 'A bucket for the hold-back',
});

export const build = both({
  blocked: 'What it takes to build cannot be told yet. What is missing is said at its field.',
  digs: (depth: string, spoil: string) => `Dig ${depth} deep; ${spoil} of loose spoil to move.`,
  base: (depth: string, mass: string) => ` ${depth} of compacted stone: ${mass} to buy.`,
  boards: (n: number, what: string, stakes: number) =>
    ` ${String(n)} ${n === 1 ? 'board' : 'boards'} of ${what}${stakes > 0 ? ` on ${String(stakes)} stakes` : ''}.`,
  strips: (length: string) => ` ${length} of bent strip.`,
  moulds: (moulds: number, sheets: number) =>
    `${String(moulds)} ${moulds === 1 ? 'mould' : 'moulds'} from ${String(sheets)} ${sheets === 1 ? 'sheet' : 'sheets'}.`,
  castings: (n: number, days: string) => ` ${String(n)} castings, the last out of the mould on day ${days}.`,
  steel: (text: string) => ` In it: ${text}.`,
  meshSheets: (n: number) => `${String(n)} ${n === 1 ? 'sheet' : 'sheets'} of mesh`,
  bars: (length: string, bar: string) => `${length} of ${bar} bar`,
  fibre: (mass: string) => `${mass} of fibre`,
  scrim: (area: string) => `${area} of glass scrim`,
  nothing: 'no steel',
  nothingToDig: 'Nothing to dig.',
  dig: 'To dig',
  spoil: 'Loose spoil',
  goesBack: (bulk: string) => `${bulk} goes back`,
  stone: 'Stone to buy',
  boardsFigure: (what: string) => `Boards ${what}`,
  stakes: 'Stakes',
  bends: 'Bent strip',
  steelFigure: 'Steel',
  mesh: 'Mesh sheets',
  fibreFigure: 'Fibre',
  scrimFigure: 'Scrim',
  sheets: 'Sheets',
  castingsFigure: 'Castings',
  pieceMass: 'One piece weighs',
  moreBoards: (count: string) => `And ${count} more.`,
  notDrawn: (count: string) => `${count} more are not drawn; they are cut and counted.`,
  views: { setOut: 'Set out', steel: 'Steel', cuts: 'Cut list', mould: 'Mould', heights: 'Heights' },
  viewLabel: 'What to draw',
  plan: (name: string) => `Form and stakes of ${name}, to scale`,
  steelPlan: (name: string) => `Steel of ${name}, to scale`,
  mouldPlan: (name: string) => `Mould of ${name}, to scale`,
  mirrored: 'Cut as its mirror: it is cast face down.',
  string: 'String over the top',
  stringHint:
    'Stretch one level string this far over the highest finished top. Each figure is how far down from it.',
  soil: 'It is',
  frost: 'Winters',
  above: 'Top over the ground',
  baseDepth: 'Base, compacted',
  baseAdvised: 'as advised',
  plastic: 'Plastic sheet under it',
  stock: 'Boards are sold in',
  stockHint: 'With commas between; empty takes the usual lengths.',
  board: 'Board',
  boardAdvised: (board: string) => `advised: ${board}`,
  corners: 'Corners',
  ply: 'Curves from',
  plyAdvised: 'stiffest that bends',
  plySize: (mm: string) => `${mm} ply`,
  sheet: 'Mould sheet, mm',
  sides: 'Its sides',
  school: 'Against cracks',
  noSteelReason: (longest: string) =>
    `Usually left without: no side or bay over ${longest}, feet and chairs only. Keep to its joints, a sound base and a wet cure.`,
  schoolAdvised: (what: string) => `advised: ${what.toLowerCase()}`,
  bar: 'Bar',
  barUsual: 'the usual',
  spacing: 'Bars apart',
  meshHeld: 'The mesh goes in',
  chairs: (n: number) => `${String(n)} chairs`,
  ties: (n: number) => `${String(n)} ties`,
  crossPieces: (n: number) => `${String(n)} cross pieces`,
  lap: (length: string) => `lap ${length}`,
  cover: (length: string) => `${length} cover below`,
  diagonals: 'Diagonals that prove it square',
  diagonal: (from: number, to: number) => `corner ${String(from)} to ${String(to)}`,
  down: 'Down from the string',
  allDown: (mm: string, nailed: boolean) =>
    `Every ${nailed ? 'nail' : 'stake'} and corner: ${mm} down from the string`,
  corner: (n: number) => `Corner ${String(n)}`,
  stakeNo: (n: number, nailed: boolean) => `${nailed ? 'Nail' : 'Stake'} ${String(n)}`,
  stakeWhy: {
    corner: 'corner',
    splice: 'splice',
    bulkhead: 'bulkhead',
    between: 'between',
  } satisfies Record<Enum<'StakeAt'>, string>,
  cutList: (what: string) => `Cut list, ${what}`,
  cutVerdict: (n: number, bound: number, why: string) =>
    `${String(n)} lengths (the total alone asks for ${String(bound)}): ${why}.`,
  drawnOnStock: (what: string) => `Cuts of ${what} laid on stock`,
  narrow: (pieces: string) => `narrow: ${pieces}`,
  pieceFor: (mark: string) => `for ${mark}`,
  joint: 'joint',
  isolation: 'Isolation strip',
  bondBreaker: 'Bond breaker',
  nails: 'Nailed to the slab',
  nailed: (n: number) => `at ${String(n)} drilled holes`,
  rip: 'Battered board',
  ripped: (face: string, degrees: string, faces: number) =>
    `${face} high, both long edges ripped ${degrees}° off square, ${faces === 2 ? 'both sides' : 'the other stands plumb'}`,
  caps: 'End caps',
  cap: (base: string, top: string, height: string) =>
    `${base} at the foot, ${top} at the top, ${height} high`,
  splices: 'Splice plates',
  tiesAcross: 'Ties across the top',
  screws: 'Screws',
  seams: 'Seams to seal',
  cartridges: (n: number) => `${String(n)} ${n === 1 ? 'cartridge' : 'cartridges'}`,
  strip: 'Bent strip for one mould',
  sheetsTogether: 'For all moulds together',
  sheetsOf: (n: number, thick: string) => `${String(n)} ${n === 1 ? 'sheet' : 'sheets'} of ${thick}`,
  meshTogether: 'Mesh sheets, all together',
  inserts: 'Cast into the face',
  insertAt: (along: string, across: string) => `middle ${along} along edge 1, ${across} in`,
  slot: (wide: string, deep: string, out: string) => `slot ${wide} × ${deep}, ${out} deep`,
  overAll: (size: string) => `${size} over all`,
  parts: 'Parts of one mould',
  calendar: 'Casting days',
  casting: (n: number, pieces: number) =>
    `Casting ${String(n)}: ${String(pieces)} ${pieces === 1 ? 'piece' : 'pieces'}`,
  castDay: (cast: string, strip: string) => `day ${cast}, out on day ${strip}`,
  lifts: (n: number) => `in ${String(n)} ${n === 1 ? 'lift' : 'lifts'}`,
  check: 'Before the pour',
  checked: (done: number, all: number) => `${String(done)} of ${String(all)} looked over`,
  bend: (edge: number, radius: string, cut: string, strip: string) =>
    `edge ${String(edge)}: radius ${radius}, ${cut} of ${strip}`,
  bendsTitle: 'Curves',
  pressure: (kpa: string) => `the boards hold ${kpa} kPa at their foot`,
  groundGroup: 'Ground',
  formGroup: 'Forms',
  steelGroup: 'Steel',
});

export const section = both({
  title: (name: string) => `Section through ${name}, to scale`,
  base: (text: string) => `stone ${text}`,
  goesOn: 'goes on',
  fall: (percent: string) => `falls ${percent}`,
  board: 'board',
  drain: (mm: string) => `drain ${mm} down`,
});

export const fall = both({
  title: 'Fall',
  kinds: { advised: 'As advised', level: 'Level', offEdge: 'Off an edge', toDrain: 'To a drain' },
  edge: 'Off edge',
  drain: 'To',
  percent: 'Down in 100',
  copied: 'as what it lies on',
});

export const joints = both({
  title: 'Joints',
  proposed: 'Proposed. Drag one in the drawing, or type.',
  own: 'Your own.',
  none: 'None are needed.',
  propose: 'Propose them again',
  own_: 'Change them',
  add: 'Add a joint',
  across: 'across, at',
  along: 'along, at',
  direction: (n: number) => `Joint ${String(n)} runs`,
  at: (n: number) => `Place of joint ${String(n)}`,
  method: (n: number) => `Joint ${String(n)} is`,
  remove: (n: number) => `Remove joint ${String(n)}`,
  handle: (n: number, at: string) => `Joint ${String(n)} at ${at}; arrow keys move it`,
  panel: (n: number) => `Panel ${String(n)}`,
  wayOut: 'The barrow leaves over',
  edge: (n: number) => `edge ${String(n)}`,
  panels: 'Panels',
  panelsNote: (spacing: string) => `sides up to ${spacing}`,
});
