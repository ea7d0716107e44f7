import { describe, expect, it } from 'vitest';
import type { JobDocument, Pour, PourDocument } from '../api/client';
import { changePour, freshId, movePart, withoutElement } from './pours';

const job = (pours: PourDocument[] = [], ids = ['slab']) =>
  ({
    elements: ids.map((id) => ({ id, name: id })),
    day: { date: '2027-05-04', start: '08:00' },
    mixing: { hands: 2 },
    pours,
  }) as unknown as JobDocument;

const pour = (
  number: number,
  panels: number[],
  said: number | null = null,
  id = `p${String(number)}`,
): Pour =>
  ({
    id,
    number,
    said,
    parts: [{ element: 0, panels, casting: null, course: null }],
    date: `2027-05-0${String(3 + number)}`,
    start: '08:00',
  }) as unknown as Pour;

const panel = (n: number) => ({ element: 0, panels: [n], casting: null, course: null });
const casting = (n: number) => ({ element: 0, panels: [], casting: n, course: null });

describe('changing a pour', () => {
  it('changes the day of the job where nothing was said, and says a later one that was only proposed', () => {
    expect(changePour(job(), pour(1, []), { date: '2027-06-01' }).day.date).toBe('2027-06-01');
    expect(changePour(job(), pour(1, []), { hands: 3 }).mixing.hands).toBe(3);
    const said = changePour(job(), pour(2, [3]), { date: '2027-06-01' });
    expect(said.day.date).toBe('2027-05-04');
    expect(said.pours).toEqual([
      { id: 'p2', parts: [{ element: 'slab', panels: [3] }], date: '2027-06-01', start: '08:00' },
    ]);
  });

  it('changes a pour that was said in its place', () => {
    const before = job([{ id: 'p1', parts: [{ element: 'slab' }], date: '2027-05-04', start: '' }]);
    expect(changePour(before, pour(1, [], 0), { start: '10:00' }).pours[0]?.start).toBe('10:00');
    // Typed twice before the plan knows that it was said.
    const twice = changePour(changePour(job(), pour(2, [3]), { date: '2027-06-01' }), pour(2, [3]), {
      date: '2027-06-02',
    });
    expect(twice.pours.map((p) => p.date)).toEqual(['2027-06-02']);
  });

  it('gives a name to an element that has none', () => {
    const said = changePour(job([], ['']), pour(2, [3]), { date: '2027-06-01' });
    expect(said.elements[0]?.id).toBe('element-2');
    expect(said.pours[0]?.parts[0]?.element).toBe('element-2');
  });
});

describe('moving a part', () => {
  it('gives a panel a day of its own, the day after the last', () => {
    const moved = movePart(job(), [pour(1, [1, 2, 3], null, 'main')], panel(2), null);
    expect(moved.pours).toEqual([
      { id: 'pour-2', parts: [{ element: 'slab', panels: [2] }], date: '2027-05-05', start: '' },
    ]);
  });

  it('takes it out of the pour that had all of the element and puts it beside its like', () => {
    const before = job([
      { id: 'p1', parts: [{ element: 'slab' }], date: '2027-05-04', start: '' },
      { id: 'p2', parts: [{ element: 'shed' }], date: '2027-05-06', start: '' },
    ]);
    const moved = movePart(before, [pour(1, [1, 2, 3], 0), pour(2, [], 1)], panel(3), 'p2');
    expect(moved.pours[0]?.parts).toEqual([{ element: 'slab', panels: [1, 2] }]);
    expect(moved.pours[1]?.parts).toEqual([{ element: 'shed' }, { element: 'slab', panels: [3] }]);
    const back = movePart(moved, [pour(1, [1, 2], 0), pour(2, [3], 1)], panel(3), 'p1');
    expect(back.pours[0]?.parts).toEqual([{ element: 'slab', panels: [1, 2, 3] }]);
  });

  it('drops a pour that has nothing left, and says one that was only proposed when something joins it', () => {
    const before = job([
      { id: 'p2', parts: [{ element: 'slab', casting: 2 }], date: '2027-05-06', start: '' },
    ]);
    const target = { ...pour(3, []), parts: [casting(3)] } as unknown as Pour;
    const moved = movePart(before, [{ ...pour(2, [], 0), parts: [casting(2)] }, target], casting(2), 'p3');
    expect(moved.pours).toEqual([
      {
        id: 'p3',
        parts: [
          { element: 'slab', casting: 3 },
          { element: 'slab', casting: 2 },
        ],
        date: '2027-05-06',
        start: '08:00',
      },
    ]);
  });
});

describe('taking out an element', () => {
  it('takes its parts out of the pours with it', () => {
    const before = job(
      [
        { id: 'a', parts: [{ element: 'slab' }, { element: 'step' }], date: '', start: '' },
        { id: 'b', parts: [{ element: 'slab' }], date: '', start: '' },
      ],
      ['slab', 'step'],
    );
    const after = withoutElement(before, 0);
    expect(after.elements.map((e) => e.id)).toEqual(['step']);
    expect(after.pours).toEqual([{ id: 'a', parts: [{ element: 'step' }], date: '', start: '' }]);
  });

  it('finds a name that is free', () => {
    expect(freshId('element', ['element-1', 'element-3'])).toBe('element-4');
  });
});
