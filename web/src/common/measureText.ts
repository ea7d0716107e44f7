import type { Measure } from '../api/client';
import { eighths, type Formats } from '../format/format';
import { additives, counted, load, mix, things } from '../words';

/** How much of a thing is measured: 2¼ buckets, 3 doses, 120 g. */
export function measureAmount(m: Measure, format: Formats): string {
  switch (m.what) {
    case 'bag':
      return eighths(m.count);
    case 'additive':
      return mix.doses(eighths(m.count));
    case 'pigment':
    case 'polymer':
    case 'fibre':
    case 'addedCement':
      return format.weighed(m.kg);
    case 'water':
      return format.litres(m.litres);
    default:
      return m.in ? counted(eighths(m.count), m.in) : format.litres(m.litres);
  }
}

/** What is measured. */
export const measureName = (m: Measure): string =>
  m.what === 'bag'
    ? load.bags(eighths(m.count))
    : m.what === 'additive'
      ? additives[m.of as keyof typeof additives].toLowerCase()
      : things[m.what];
