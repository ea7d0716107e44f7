import type { OutlinedDocument } from '../../api/client';
import type { ElementPointer } from '../../job/pointer';
import { DropFields } from './DropFields';
import { FallFields } from './FallFields';
import { JointFields } from './JointFields';
import { Openings } from './Openings';
import { OutlineFields } from './OutlineFields';

interface OutlinedFieldsProps {
  element: OutlinedDocument;
  path: ElementPointer;
  /** It may be deeper along an edge. */
  drops?: boolean;
  falls?: boolean;
  joints?: boolean;
}

/** What all kinds that are drawn by an outline have in common. */
export function OutlinedFields({
  element,
  path,
  drops = false,
  falls = false,
  joints = false,
}: OutlinedFieldsProps) {
  return (
    <>
      <OutlineFields element={element} path={path} />
      <Openings element={element} path={path} />
      {falls && <FallFields element={element} path={path} />}
      {joints && <JointFields element={element} path={path} />}
      {drops && <DropFields element={element} path={path} />}
    </>
  );
}
