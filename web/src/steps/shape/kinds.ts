import type { ElementKind } from '../../api/client';
import type { KindProps } from './kindProps';
import { BorderFields, CurbFields, RibbonFields } from './PathKinds';
import { ProfileFields } from './ProfileFields';
import { CounterFields, FootingFields, PieceFields } from './CastKinds';
import { OverlayFields, PebbleFields, SlabFields, TwoCourseFields } from './SlabKinds';

/** The own fields of every kind of element. One line for each; a kind without one does not compile. */
export const kinds: { [K in ElementKind]: (props: KindProps<K>) => React.ReactNode } = {
  slab: SlabFields,
  twoCourse: TwoCourseFields,
  overlay: OverlayFields,
  pebbleBed: PebbleFields,
  border: BorderFields,
  curb: CurbFields,
  piece: PieceFields,
  profile: ProfileFields,
  ribbon: RibbonFields,
  counter: CounterFields,
  footing: FootingFields,
};
