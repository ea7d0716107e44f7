import type { Enum } from '../api/client';
import { duration, number, type Formats } from '../format/format';
import { taskFigures } from '../words';

const shown: Partial<Record<Enum<'TaskFigure'>, (value: number, f: Formats) => string>> = {
  stringAboveMm: (v, f) => f.small(v),
  lowestCornerMm: (v, f) => f.small(v),
  digDepthMm: (v, f) => f.small(v),
  digL: (v, f) => f.bulk(v),
  baseMm: (v, f) => f.small(v),
  baseKg: (v, f) => f.mass(v),
  boardsM: (v, f) => f.length(v),
  capMm: (v, f) => f.small(v),
  diagonalM: (v, f) => f.length(v),
  isolationM: (v, f) => f.length(v),
  seamM: (v, f) => f.length(v),
  barsM: (v, f) => f.length(v),
  scrimM2: (v, f) => f.area(v),
  volumeL: (v, f) => f.bulk(v),
  mixingMin: (v) => duration(v),
  holdBackL: (v, f) => f.litres(v),
  pieceKg: (v, f) => f.mass(v),
  wetDays: (v) => number(v, 1),
  rewetMin: (v) => duration(v),
  backfillL: (v, f) => f.bulk(v),
  areaM2: (v, f) => f.area(v),
  passesMin: (v) => duration(v),
  grindMin: (v) => duration(v),
  coatM2: (v, f) => f.area(v),
  topKg: (v, f) => f.mass(v),
  openMin: (v) => duration(v),
  grooveMm: (v, f) => f.small(v),
  cracksM: (v, f) => f.length(v),
  oldJointsM: (v, f) => f.length(v),
};

/** What a number of a task says, in the units of the job; what has no unit is counted. */
export const figureText = (figure: Enum<'TaskFigure'>, value: number, format: Formats): string =>
  taskFigures[figure]((shown[figure] ?? ((v) => number(v)))(value, format), value === 1);
