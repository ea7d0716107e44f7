import { describe, expect, it } from 'vitest';
import { keyOf, thingsToDo, type BoardReport } from './thing';

const at = (clock: string) => `2027-05-04T${clock}:00Z`;
const ms = (clock: string) => Date.parse(at(clock));

const task = (zone: number, opens: string, closes: string, begun: string | null = null) => ({
  zone,
  pass: 'edgeAndFloat' as const,
  batch: 1,
  opens: at(opens),
  closes: at(closes),
  begins: at(opens),
  ends: at(closes),
  hands: 1,
  begun: begun === null ? null : at(begun),
});

const board = (over: Partial<BoardReport> = {}): BoardReport => ({
  plan: { start: at('08:00'), mixingEnds: at('10:00'), doneBy: at('16:00'), batches: [], zones: [] },
  begun: true,
  closed: null,
  now: at('11:00'),
  hands: 2,
  mostHands: 8,
  mixing: {
    batches: [{ begun: at('08:00'), placed: at('08:12') }],
    of: 2,
    next: at('11:05'),
    lies: null,
    by: at('12:40'),
    endsAt: at('11:30'),
    plannedEnd: at('10:00'),
    paceFactor: 1,
    jointAgeMin: 20,
    jointLimitMin: 90,
  },
  zones: [],
  todo: [task(1, '10:50', '11:40'), task(2, '11:30', '12:30')],
  change: null,
  ahead: [],
  ...over,
});

describe('what there is to do', () => {
  it('begins with the beginning', () => {
    const [first, ...rest] = thingsToDo(board({ begun: false }), 'all', ms('07:00'));
    expect(first?.kind).toBe('begin');
    expect(first?.state).toBe('calm');
    expect(rest).toEqual([]);
    expect(thingsToDo(board({ begun: false }), 'all', ms('08:10'))[0]?.state).toBe('open');
  });

  it('puts what is late before what closes, and that before what is open', () => {
    const late = task(3, '09:00', '10:30');
    const closing = task(4, '10:00', '11:05');
    const things = thingsToDo(
      board({ todo: [task(1, '10:50', '11:40'), closing, late] }),
      'all',
      ms('11:00'),
    );
    expect(things.map((t) => t.state)).toEqual(['missed', 'closing', 'open', 'calm']);
    expect(things.map(keyOf)).toEqual([
      'pass 3 edgeAndFloat',
      'pass 4 edgeAndFloat',
      'pass 1 edgeAndFloat',
      'mix 2',
    ]);
  });

  it('shows each role its own', () => {
    const kinds = (role: Parameters<typeof thingsToDo>[1]) =>
      thingsToDo(board(), role, ms('11:00')).map((t) => t.kind);
    expect(kinds('mixing')).toEqual(['mix']);
    expect(kinds('finishing')).toEqual(['pass', 'pass']);
    expect(kinds('placing')).toEqual([]);
  });

  it('has those who mixed finish once all lies', () => {
    const done = board({ mixing: { ...board().mixing, next: null, by: null } });
    expect(thingsToDo(done, 'mixing', ms('11:00')).map((t) => t.kind)).toEqual(['pass', 'pass']);
  });

  it('asks for a batch in the mixer to be placed before the next goes in', () => {
    const mixing = {
      ...board().mixing,
      batches: [{ begun: at('10:55'), placed: null }],
      lies: at('11:03'),
      of: 2,
    };
    const things = thingsToDo(board({ mixing, todo: [] }), 'all', ms('11:00'));
    expect(things.map(keyOf)).toEqual(['place 1']);
    expect(things[0]?.at).toBe(ms('11:03'));
  });

  it('has nobody finish what does not lie, and everybody mix until something does', () => {
    const none = { ...board().mixing, batches: [], next: at('08:00'), by: null };
    const first = board({ mixing: none, todo: [{ ...task(1, '07:00', '07:30'), batch: 2 }] });
    const roles = ['all', 'mixing', 'finishing'] as const;
    for (const role of roles) expect(thingsToDo(first, role, ms('08:01')).map(keyOf)[0]).toBe('mix 1');
    const [, pass] = thingsToDo(first, 'finishing', ms('08:01'));
    expect(pass).toMatchObject({ kind: 'pass', waitsFor: 2, state: 'calm' });
    const lies = { ...none, batches: [1, 2].map(() => ({ begun: at('07:00'), placed: at('07:10') })) };
    expect(
      thingsToDo({ ...first, mixing: { ...lies, next: null } }, 'finishing', ms('08:01'))[0],
    ).toMatchObject({
      waitsFor: null,
      state: 'missed',
    });
    const begun = board({ mixing: none, todo: [{ ...task(1, '07:00', '09:00', '07:30'), batch: 2 }] });
    expect(thingsToDo(begun, 'finishing', ms('08:01'))[0]).toMatchObject({ waitsFor: null, state: 'begun' });
  });

  it('presses a batch whose joint runs out before a pass that is open', () => {
    const soon = board({ mixing: { ...board().mixing, by: at('11:08') } });
    expect(thingsToDo(soon, 'all', ms('11:00')).map((t) => `${t.kind} ${t.state}`)).toEqual([
      'mix closing',
      'pass open',
      'pass calm',
    ]);
    expect(thingsToDo(soon, 'all', ms('11:09'))[0]?.state).toBe('missed');
  });

  it('ends with closing the day, and then with nothing', () => {
    const over = board({ todo: [], mixing: { ...board().mixing, next: null } });
    expect(thingsToDo(over, 'all', ms('16:00')).map((t) => t.kind)).toEqual(['close']);
    const closed = board({
      closed: {
        id: 'x',
        at: at('16:00'),
        pour: '',
        device: '',
        note: '',
        washed: true,
        holdBackUsed: true,
        bagsLeft: 0,
      },
    });
    expect(thingsToDo(closed, 'all', ms('16:01'))).toEqual([]);
  });
});
