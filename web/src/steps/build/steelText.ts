import type { ElementBuildReport } from '../../api/client';
import type { Formats } from '../../format/format';
import { build as words } from '../../words';

/** What is put in against cracks, in a few words. */
export function steelText(steel: ElementBuildReport['steel'], f: Formats): string {
  switch (steel.school) {
    case 'mesh':
      return words.meshSheets(steel.sheets.length);
    case 'barGrid':
    case 'twoRows':
      return words.bars(f.length(steel.barM), steel.bar);
    case 'fibre':
      return words.fibre(f.mass(steel.kg));
    case 'scrim':
      return words.scrim(f.area(steel.scrimM2));
    case 'none':
      return words.nothing;
    default:
      return steel.school satisfies never;
  }
}
