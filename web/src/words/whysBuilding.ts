/** The formulas of shape and build in words. */
import { both } from './english';
import type { Why } from '../api/client';
import { number } from '../format/format';
import { litresResult, type WhysOf } from './whyWords';

export const whysBuilding = both({
  area: {
    title: 'Area',
    formula: 'area inside the outline − openings, for each piece',
    result: (v, fmt) => fmt.area(v),
    inputs: { grossM2: 'inside the outline', openingsM2: 'openings', pieces: 'pieces' },
  },
  perimeter: {
    title: 'Round the edge',
    formula: 'all edges together, those worked out too',
    result: (v, fmt) => fmt.length(v),
    inputs: { edges: 'edges' },
  },
  pathLength: {
    title: 'Length',
    formula: 'along the middle: straights, and radius × angle round the bends',
    result: (v, fmt) => fmt.length(v),
    inputs: { stretches: 'stretches' },
  },
  netVolume: {
    title: 'Volume as drawn',
    formula: 'area × depth; a path: length × section; parts added up',
    result: litresResult,
    inputs: {
      areaM2: 'area',
      meanDepthMm: 'mean depth',
      slabL: 'slab',
      thickEdgesL: 'thick edges',
      fieldL: 'field',
      apronsL: 'aprons',
      footingL: 'foot',
      tubeL: 'tube',
      baseCourseL: 'base course',
      toppingL: 'topping',
      pebbleBedL: 'bed',
    },
  },
  orderVolume: {
    title: 'Concrete to have ready',
    formula: 'as drawn × (1 + waste)',
    result: litresResult,
    inputs: { netL: 'as drawn', wastePct: 'waste' },
  },
  fall: {
    title: 'Lowest corner',
    formula: 'way along the fall × grade, below the highest corner',
    result: (v, fmt) => fmt.small(v),
    inputs: { gradePct: 'grade', leastPct: 'least that drains', atHousePct: 'asked beside a house' },
  },
  panels: {
    title: 'Panels',
    formula:
      'fewest with no side over the spacing (thickness × 30, at most 4.5 m; less for walks, borders, kerbs), and no side over 1.5 times the other',
    result: (v) => number(v),
    inputs: {
      thicknessMm: 'thickness',
      spacingOverThickness: 'spacing over thickness',
      spacingM: 'no side over',
      mostRatio: 'long over short, at most',
      depthMm: 'joint depth: a quarter, 25 mm at least',
    },
  },
  pieceMass: {
    title: 'Weight',
    formula: 'volume × weight of hardened concrete',
    result: (v, fmt) => fmt.mass(v),
    inputs: { pieceL: 'volume', hardKg: 'a cubic metre' },
  },
  excavation: {
    title: 'To dig',
    formula: '(area + formed sides × room) × (pour + base − top over ground) + what hangs down',
    result: (v, fmt) => fmt.bulk(v * 1000),
    inputs: { depthMm: 'depth', baseMm: 'of it base', aboveMm: 'top over ground', roomMm: 'room' },
  },
  spoil: {
    title: 'Loose spoil',
    formula: 'dug × swell',
    result: (v, fmt) => fmt.bulk(v * 1000),
    inputs: { bankM3: 'dug', swell: 'swell' },
  },
  baseStone: {
    title: 'Stone to buy',
    formula: 'compacted × 1.2 is loose; × weight of a loose cubic metre',
    result: (v, fmt) => fmt.mass(v),
    inputs: {
      compactedM3: 'compacted',
      loosening: 'loosening',
      looseM3: 'loose',
      lifts: 'lifts',
      liftMm: 'a lift at most',
    },
  },
  boards: {
    title: 'Boards',
    formula: 'fewest lengths that hold every cut and its kerf; then the least length',
    result: (v) => number(v),
    inputs: { cutM: 'all cuts', stockM: 'bought', lowerBound: 'the total asks', kerfMm: 'kerf' },
  },
  stakes: {
    title: 'Stakes',
    formula: 'every corner, splice and bulkhead; between them no further apart than the board allows',
    result: (v) => number(v),
    inputs: { spacingM: 'straight boards', bentM: 'bent strips' },
  },
  bends: {
    title: 'Bent strip',
    formula: 'angle × (radius ± half the strip)',
    result: (v, fmt) => fmt.length(v),
    inputs: {
      tightestM: 'tightest radius',
      leastM: 'it bends to',
      stripMm: 'strip',
      insideM: 'along the pour',
    },
  },
  steelBars: {
    title: 'Steel',
    formula: 'all bars, laps included × weight of a metre',
    result: (v, fmt) => fmt.mass(v),
    inputs: { barM: 'bars', massPerM: 'kg in a metre', spacingMm: 'apart', lapMm: 'lap', coverMm: 'cover' },
  },
  meshSheets: {
    title: 'Mesh sheets',
    formula: 'sheets over all inside the cover, lapped one square + 50 mm',
    result: (v) => number(v),
    inputs: {
      sheetAlongM: 'a sheet, long',
      sheetAcrossM: 'a sheet, wide',
      lapMm: 'lap',
      coverMm: 'edge cover',
    },
  },
  fibreDose: {
    title: 'Fibre',
    formula: 'concrete × dose in a cubic metre',
    result: (v, fmt) => fmt.mass(v),
    inputs: { orderL: 'concrete', doseKg: 'dose' },
  },
  scrim: {
    title: 'Scrim',
    formula: 'area × laps',
    result: (v, fmt) => fmt.area(v),
    inputs: { areaM2: 'area', overlap: 'laps' },
  },
  mouldSheets: {
    title: 'Sheets',
    formula: 'parts laid in rows across the sheet',
    result: (v) => number(v),
    inputs: { moulds: 'moulds', sheetAlongM: 'a sheet, long', sheetAcrossM: 'a sheet, wide', parts: 'parts' },
  },
  castings: {
    title: 'Castings',
    formula: 'pieces ÷ moulds, rounded up',
    result: (v) => number(v),
    inputs: { pieces: 'pieces', moulds: 'moulds', stripDays: 'in the mould', cleanDays: 'between' },
  },
} satisfies Partial<WhysOf<Why['code']>>);
