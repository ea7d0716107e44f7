import type { SlabReport } from '../api/client';
import { fit } from '../drawing/fit';
import classes from './YardPage.module.css';

const WIDTH = 92;
const HEIGHT = 68;

/** The first slab of a job, small; decoration beside its name. */
export function SmallPlan({ slab }: { slab: SlabReport | null }) {
  const at = fit(slab?.corners ?? [{ x: 0, y: 0 }], WIDTH, HEIGHT, 6);
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      width={WIDTH}
      aria-hidden
      className={classes.small}
    >
      {slab && (
        <polygon points={slab.corners.map((c) => `${String(at.x(c.x))},${String(at.y(c.y))}`).join(' ')} />
      )}
    </svg>
  );
}
