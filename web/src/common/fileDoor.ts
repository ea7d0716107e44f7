/** What a file is, found by what stands in it; its name is not believed. */
export type Door = 'job' | 'archive' | 'outline' | 'weather' | 'probe';

const ZIP = 'PK';
const BUILDING_WEATHER = /^location,/i;
const DRAWING = /^0\r?\n\s*SECTION/;
const NOT_A_SIGN = /^[\uFEFF\s]+/;
/** So much of a file tells what it is; only JSON is read to its end. */
const HEAD = 4_096;

const cells = (line: string): string[] => line.split(/[;,\t]/).map((c) => c.trim().replace(/^"|"$/g, ''));
const begins = (cell: string, names: string[]): boolean =>
  names.some((n) => cell.toLowerCase().startsWith(n));
const isSize = (cell: string | undefined): boolean => cell !== undefined && /^-?[\d.]/.test(cell);

/** A table is known by its columns: corners of an outline, hours of weather, or what a probe wrote. */
function tableDoor(head: string): Door | null {
  const row = cells(head.split(/\r?\n/, 1)[0] ?? '');
  const has = (...names: string[]) => row.some((cell) => begins(cell, names));
  if (has('time', 'date'))
    return has('humid', 'rh', 'relative', 'wind')
      ? 'weather'
      : has('slab', 'probe', 'concrete', 'core', 'temp')
        ? 'probe'
        : 'weather';
  if ((has('x') && has('y')) || (isSize(row[0]) && isSize(row[1]))) return 'outline';
  return null;
}

function jsonDoor(text: string): Door | null {
  try {
    const said: unknown = JSON.parse(text);
    if (typeof said !== 'object' || said === null) return null;
    if ('elements' in said || 'units' in said) return 'job';
    return 'type' in said ? 'outline' : null;
  } catch {
    return null;
  }
}

/** Where this file belongs; null where it is nothing that Set Firm reads. */
export async function doorOf(file: Blob): Promise<Door | null> {
  const head = (await file.slice(0, HEAD).text()).replace(NOT_A_SIGN, '');
  if (head.startsWith(ZIP)) return 'archive';
  if (head.startsWith('{')) return jsonDoor((await file.text()).replace(NOT_A_SIGN, ''));
  if (BUILDING_WEATHER.test(head)) return 'weather';
  if (DRAWING.test(head)) return 'outline';
  return tableDoor(head);
}
