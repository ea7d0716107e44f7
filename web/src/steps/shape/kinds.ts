import type { ElementDocument, ElementKind, ElementOf, OutlineDocument, Units } from '../../api/client';
import type { KindProps } from './kindProps';
import { BorderFields, CurbFields, RibbonFields } from './PathKinds';
import { CounterFields, FootingFields, PieceFields } from './CastKinds';
import { OverlayFields, PebbleFields, SlabFields, TwoCourseFields } from './SlabKinds';

interface Kind<K extends ElementKind> {
  /** A first one, in the sizes people would say. */
  fresh: (units: Units) => Omit<ElementOf<K>, 'name' | 'kind'>;
  Fields: (props: KindProps<K>) => React.ReactNode;
}

const say = (units: Units, metric: string, us: string) => (units === 'us' ? us : metric);

const box = (units: Units, metric: [string, string], us: [string, string]): OutlineDocument => ({
  kind: 'preset',
  shape: 'rectangle',
  along: say(units, metric[0], us[0]),
  across: say(units, metric[1], us[1]),
});

const plain = { edges: [], openings: [] };
const onStone = { bed: 'levelled', finish: 'broom' } as const;
const inMould = { bed: 'rigid', finish: 'mag' } as const;

/** Every kind of element: how a first one looks, and its own fields. One line for each; a kind without one does not compile. */
export const kinds: { [K in ElementKind]: Kind<K> } = {
  slab: {
    fresh: (u) => ({
      ...plain,
      ...onStone,
      outline: box(u, ['1.8 m', '1.2 m'], ['6 ft', '4 ft']),
      thickness: say(u, '100 mm', '4"'),
    }),
    Fields: SlabFields,
  },
  twoCourse: {
    fresh: (u) => ({
      ...plain,
      ...onStone,
      outline: box(u, ['1.8 m', '1.2 m'], ['6 ft', '4 ft']),
      baseThickness: say(u, '70 mm', '2 3/4"'),
      topping: say(u, '50 mm', '2"'),
    }),
    Fields: TwoCourseFields,
  },
  overlay: {
    fresh: (u) => ({
      ...plain,
      ...onStone,
      outline: box(u, ['2.4 m', '1.5 m'], ['8 ft', '5 ft']),
      probes: [{ depth: say(u, '12 mm', '1/2"') }],
    }),
    Fields: OverlayFields,
  },
  pebbleBed: {
    fresh: (u) => ({
      ...plain,
      ...onStone,
      outline: box(u, ['1.2 m', '900 mm'], ['4 ft', '3 ft']),
      depth: say(u, '80 mm', '3"'),
      pebbles: say(u, '30 mm', '1 1/4"'),
    }),
    Fields: PebbleFields,
  },
  border: {
    fresh: (u) => ({
      bed: 'handDug',
      finish: 'mag',
      path: [{ kind: 'straight', length: say(u, '3 m', '10 ft') }],
      width: say(u, '110 mm', '4 1/2"'),
      depth: say(u, '95 mm', '4"'),
    }),
    Fields: BorderFields,
  },
  curb: {
    fresh: (u) => ({
      ...inMould,
      path: [{ kind: 'straight', length: say(u, '3 m', '10 ft') }],
      height: say(u, '140 mm', '5 1/2"'),
      base: say(u, '180 mm', '7"'),
      top: '',
      batter: 10,
      faces: 1,
      ease: 'round',
      easeSize: say(u, '19 mm', '3/4"'),
    }),
    Fields: CurbFields,
  },
  piece: {
    fresh: (u) => ({
      ...plain,
      ...inMould,
      use: 'stone',
      outline: box(u, ['500 mm', '350 mm'], ['20"', '14"']),
      thickness: say(u, '60 mm', '2 1/2"'),
      casting: { pieces: 4, moulds: 2 },
    }),
    Fields: PieceFields,
  },
  ribbon: {
    fresh: (u) => ({
      ...inMould,
      path: [{ kind: 'arc', radius: say(u, '250 mm', '10"'), sweep: 180 }],
      width: say(u, '80 mm', '3"'),
      height: say(u, '50 mm', '2"'),
      casting: { pieces: 4, moulds: 1 },
    }),
    Fields: RibbonFields,
  },
  counter: {
    fresh: (u) => ({
      ...plain,
      bed: 'rigid',
      finish: 'steel',
      casting: 'inPlace',
      outline: box(u, ['1.6 m', '620 mm'], ['5 ft', '25"']),
      thickness: say(u, '38 mm', '1 1/2"'),
      overhang: say(u, '20 mm', '3/4"'),
    }),
    Fields: CounterFields,
  },
  footing: {
    fresh: (u) => ({
      bed: 'handDug',
      finish: 'mag',
      form: {
        kind: 'cylinder',
        diameter: say(u, '250 mm', '10"'),
        depth: say(u, '800 mm', '36"'),
      },
      count: 2,
    }),
    Fields: FootingFields,
  },
};

/** A first element of a kind. */
export const freshElement = (kind: ElementKind, units: Units, name: string): ElementDocument =>
  ({ kind, name, ...kinds[kind].fresh(units) }) as ElementDocument;
