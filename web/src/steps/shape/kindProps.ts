import type { ElementKind, ElementOf } from '../../api/client';
import type { ElementPointer } from '../../job/pointer';

/** What a kind's own fields get to work with. */
export interface KindProps<K extends ElementKind> {
  element: ElementOf<K>;
  path: ElementPointer;
}
