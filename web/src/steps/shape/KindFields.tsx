import type { ElementDocument } from '../../api/client';
import type { ElementPointer } from '../../job/pointer';
import { kinds } from './kinds';

/** The fields of an element, whatever its kind. */
export function KindFields({ element, path }: { element: ElementDocument; path: ElementPointer }) {
  // The registry gives each kind its own fields; the pair cannot be told to the compiler.
  const Fields = kinds[element.kind] as (props: {
    element: ElementDocument;
    path: ElementPointer;
  }) => React.ReactNode;
  return <Fields element={element} path={path} />;
}
