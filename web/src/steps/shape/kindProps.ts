import type { ElementKind, ElementOf } from '../../api/client';

/** What a kind's own fields get to work with. */
export interface KindProps<K extends ElementKind> {
  element: ElementOf<K>;
  path: string;
}
