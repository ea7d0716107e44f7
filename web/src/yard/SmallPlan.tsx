import type { JobLine } from '../api/client';
import { fit } from '../drawing/fit';
import { reaches, ringPath } from '../drawing/ring';
import classes from './YardPage.module.css';

const WIDTH = 92;
const HEIGHT = 68;

/** The first element of a job, small; decoration beside its name. */
export function SmallPlan({ outline }: { outline: JobLine['outline'] }) {
  if (!outline) return null;
  const at = fit(reaches(outline.corners, outline.edges), WIDTH, HEIGHT, 6);
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      width={WIDTH}
      aria-hidden
      className={classes.small}
    >
      <path d={ringPath(outline.corners, outline.edges, at)} />
    </svg>
  );
}
