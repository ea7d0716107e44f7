import { NumberInput } from '@mantine/core';
import type { OutlineDocument } from '../../api/client';
import { findingsAt, useJobContext } from '../../job/JobContext';
import { findings as findingWords, fields } from '../../common/words';
import classes from './ShapeStep.module.css';

type Points = Extract<OutlineDocument, { kind: 'points' }>;

/** More than these come from a file and are changed there. */
const MOST_ROWS = 40;

/** Corners by coordinates, as a file gave them. */
export function PointRows({ outline, at }: { outline: Points; at: string }) {
  const { report, set, format } = useJobContext();
  const input = (i: number, axis: 'x' | 'y') => {
    const field = `${at}/points/${String(i)}/${axis}`;
    const wrong = findingsAt(report, field).find((f) => f.severity === 'error');
    return (
      <NumberInput
        size="xs"
        hideControls
        decimalScale={4}
        suffix=" m"
        aria-label={axis === 'x' ? fields.pointX(i + 1) : fields.pointY(i + 1)}
        value={outline.points[i]?.[axis] ?? 0}
        onChange={(v) => {
          if (typeof v === 'number') set(field, v);
        }}
        error={wrong ? findingWords[wrong.code](wrong.facts, wrong.texts, format) : undefined}
      />
    );
  };
  return (
    <>
      <p className={classes.hint}>{fields.points(outline.points.length)}</p>
      <div className={classes.rows}>
        {outline.points.slice(0, MOST_ROWS).map((_, i) => (
          <div key={i} className={classes.point}>
            <span className={classes.no} aria-hidden>
              {i + 1}
            </span>
            {input(i, 'x')}
            {input(i, 'y')}
          </div>
        ))}
      </div>
    </>
  );
}
