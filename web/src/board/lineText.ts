import type { JobEvent } from '../api/client';
import { number, type Formats } from '../format/format';
import { board as words, eventKinds, passes, thumbMarks, toldTemperatures } from '../words';

/** What a line says, short. */
export function lineText(line: JobEvent, format: Formats): string {
  const zone = 'zone' in line && line.zone != null ? `${words.zone(number(line.zone))}: ` : '';
  switch (line.kind) {
    case 'batchMixing':
    case 'batchPlaced':
      return `${eventKinds[line.kind]}: ${number(line.batch)}`;
    case 'waterAdded':
      return `${words.water}: ${format.litres(line.litres)}, ${words.ofBatch(number(line.batch))}`;
    case 'temperature':
      return `${toldTemperatures[line.of]}: ${format.celsius(line.celsius)}`;
    case 'thumbTest':
      return `${zone}${thumbMarks[line.mark]}`;
    case 'passBegun':
    case 'passDone':
      return `${zone}${passes[line.pass]}, ${(line.kind === 'passBegun' ? words.beginPass : words.donePass).toLowerCase()}`;
    case 'handsChanged':
      return `${words.hands}: ${number(line.hands)}`;
    case 'noted':
    case 'trouble':
      return `${eventKinds[line.kind]}: ${line.note}`;
    default:
      return `${zone}${eventKinds[line.kind]}`;
  }
}

/**
 * Lines of a pour that stand: each once, those struck out left out, the last first.
 * @param first It is the first of the job: what names no pour is its.
 */
export function standing(lines: JobEvent[], pour: string, first: boolean): JobEvent[] {
  const out = new Set(lines.flatMap((l) => (l.kind === 'withdrawn' ? [l.line] : [])));
  // Of one moment what was told last comes first.
  return lines
    .toReversed()
    .filter((l) => l.kind !== 'withdrawn' && !out.has(l.id) && (l.pour === pour || (first && l.pour === '')))
    .sort((a, b) => b.at.localeCompare(a.at));
}
