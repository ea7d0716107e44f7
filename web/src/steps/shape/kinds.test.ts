import { describe, expect, test, vi } from 'vitest';
import type { ElementReport } from '../../api/client';
import { formatsFor } from '../../format/format';

vi.stubGlobal('window', { location: { origin: 'http://127.0.0.1' } });
const { setEdge } = await import('./edges');
const { jointsOf } = await import('./jointsOf');

describe('what an edge meets', () => {
  test('the list grows as far as the edge that is changed, with form boards before it', () => {
    expect(setEdge([], 2, { meets: 'wall' })).toEqual([
      { meets: 'form' },
      { meets: 'form' },
      { meets: 'wall' },
    ]);
  });

  test('other edges and other parts of the edge stay', () => {
    const drop = { width: '200 mm', depth: '100 mm' };
    const edges = [{ meets: 'wall' as const, drop }, { meets: 'open' as const }];
    expect(setEdge(edges, 0, { meets: 'form' })).toEqual([{ meets: 'form', drop }, { meets: 'open' }]);
    expect(setEdge(edges, 0, { drop: null })[0]).toEqual({ meets: 'wall', drop: null });
    expect(edges[0]).toEqual({ meets: 'wall', drop }); // what was is not changed
  });
});

describe('joints as drawn become joints as said', () => {
  const drawn = {
    joints: {
      lines: [
        { across: true, atM: 2.8 / 3, fromM: null, toM: null, method: 'tooled' },
        { across: false, atM: 1.1, fromM: 2.8, toM: 4.8, method: 'sawn' },
      ],
    },
  } as unknown as ElementReport;

  test('to a tenth of a millimetre, from edge to edge unless it is shorter', () => {
    expect(jointsOf(drawn, formatsFor('metric', 'UTC'))).toEqual([
      { across: true, at: '933.3 mm', from: '', to: '', method: 'tooled' },
      { across: false, at: '1100.0 mm', from: '2800.0 mm', to: '4800.0 mm', method: 'sawn' },
    ]);
  });

  test('in inches where the job is in inches', () => {
    expect(jointsOf(drawn, formatsFor('us', 'UTC'))[0]?.at).toBe('36.745"');
  });
});
