import type { OutlineDocument } from '../../api/client';
import { NumberField } from '../../common/NumberField';
import { fields } from '../../words';
import { useEditing } from '../../job/JobContext';
import { useWrong } from '../../fields/useWrong';
import type { OutlinePointer, Pointer } from '../../job/pointer';
import classes from './ShapeStep.module.css';

type Points = Extract<OutlineDocument, { kind: 'points' }>;

/** More than these come from a file and are changed there. */
const MOST_ROWS = 40;

function Coordinate({ at, value, label }: { at: Pointer; value: number; label: string }) {
  const { set } = useEditing();
  const wrong = useWrong(at);
  return (
    <NumberField
      size="xs"
      plain
      places={4}
      suffix="m"
      aria-label={label}
      value={value}
      onSay={(v) => {
        if (v !== null) set(at, v);
      }}
      error={wrong}
    />
  );
}

/** Corners by coordinates, as a file gave them. */
export function PointRows({ outline, at }: { outline: Points; at: OutlinePointer }) {
  return (
    <>
      <p className={classes.hint}>{fields.points(outline.points.length)}</p>
      <div className={classes.rows}>
        {outline.points.slice(0, MOST_ROWS).map((point, i) => (
          <div key={i} className={classes.point}>
            <span className={classes.no} aria-hidden>
              {i + 1}
            </span>
            <Coordinate at={`${at}/points/${i}/x`} value={point.x} label={fields.pointX(i + 1)} />
            <Coordinate at={`${at}/points/${i}/y`} value={point.y} label={fields.pointY(i + 1)} />
          </div>
        ))}
      </div>
    </>
  );
}
