import { Button } from '@mantine/core';
import type { OutlineDocument } from '../../api/client';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { fields } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { OutlinePointer } from '../../job/pointer';
import classes from './ShapeStep.module.css';

type Taped = Extract<OutlineDocument, { kind: 'taped' }>;

/** Corners by two tapes from two nails, and a third that checks them. */
export function TapedCorners({ outline, at }: { outline: Taped; at: OutlinePointer }) {
  const { set } = useEditing();
  return (
    <>
      <p className={classes.hint}>{fields.nailsHint}</p>
      <Said at={`${at}/nails`} value={outline.nails} label={fields.nails} />
      <div className={classes.rows}>
        {outline.corners.map((corner, i) => (
          <div key={i} className={classes.taped}>
            <span className={classes.no} aria-hidden>
              {i + 1}
            </span>
            <Said
              at={`${at}/corners/${i}/a`}
              value={corner.a}
              label={fields.fromA(i + 1)}
              compact
              ifEmpty="A"
            />
            <Said
              at={`${at}/corners/${i}/b`}
              value={corner.b}
              label={fields.fromB(i + 1)}
              compact
              ifEmpty="B"
            />
            <Said
              at={`${at}/corners/${i}/check`}
              value={corner.check ?? ''}
              label={fields.checkTape(i + 1)}
              compact
              ifEmpty={fields.checkShort}
            />
            <RemoveRow label={fields.removeCorner(i + 1)} from={`${at}/corners`} row={i} />
          </div>
        ))}
      </div>
      <div>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            set(`${at}/corners`, [...outline.corners, { a: '', b: '' }]);
          }}
        >
          {fields.addCorner}
        </Button>
      </div>
    </>
  );
}
