import { expect, test } from 'vitest';
import type { ElementBuildReport } from '../../api/client';
import { formatsFor } from '../../format/format';
import { steelText } from './steelText';

type Steel = ElementBuildReport['steel'];

const steel = (of: Partial<Steel>) =>
  ({ school: 'none', sheets: [], bar: '', barM: 0, kg: 0, scrimM2: 0, ...of }) as Steel;

test.each([
  [steel({}), 'no steel', 'no steel'],
  [steel({ school: 'mesh', sheets: [{}, {}] as Steel['sheets'] }), '2 sheets of mesh', '2 sheets of mesh'],
  [steel({ school: 'mesh', sheets: [{}] as Steel['sheets'] }), '1 sheet of mesh', '1 sheet of mesh'],
  [steel({ school: 'barGrid', bar: '10mm', barM: 6 }), '6.00 m of 10mm bar', '19′ 8″ of 10mm bar'],
  [steel({ school: 'twoRows', bar: '#4', barM: 3 }), '3.00 m of #4 bar', '9′ 10″ of #4 bar'],
  [steel({ school: 'fibre', kg: 1.2 }), '1.2 kg of fibre', '2.6 lb of fibre'],
  [steel({ school: 'scrim', scrimM2: 2 }), '2 m² of glass scrim', '21.5 ft² of glass scrim'],
])('what is put in against cracks is told in a few words: %#', (of, metric, us) => {
  const plain = (text: string) => text.replace(/(\d) \d+⁄\d+|[½¼¾⅛⅜⅝⅞]/g, '$1').replace(/\s+/g, ' ');
  expect(plain(steelText(of, formatsFor('metric', 'Europe/Berlin')))).toBe(metric);
  expect(plain(steelText(of, formatsFor('us', 'America/Chicago')))).toMatch(
    new RegExp(`^${us.replace(/[.#²]/g, '.')}`.replace('″', '.*″')),
  );
});
