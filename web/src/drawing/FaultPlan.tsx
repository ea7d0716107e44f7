import type { KeyboardEvent, PointerEvent } from 'react';
import type { ElementReport } from '../api/client';
import type { Formats } from '../format/format';
import { faultTelling as words } from '../words';
import classes from './FaultPlan.module.css';
import { barFor, fit } from './fit';
import { reaches, ringPath } from './ring';
import { ScaleBar } from './Patterns';
import { useSize } from './useSize';

export interface FaultMark {
  alongM: number;
  inM: number;
  label: string;
}

interface FaultPlanProps {
  element: ElementReport;
  /** Faults that were told of. */
  marks: FaultMark[];
  /** Where the one that is being told of is; null while no place is told. */
  placed: { alongM: number; inM: number } | null;
  /** Left out, it is only looked at. */
  onPlace?: (alongM: number, inM: number) => void;
  format: Formats;
}

const MARGIN = 18;
const BAR_ROOM = 24;
/** One press of an arrow key. */
const STEP_M = 0.1;

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The plan of an element with crosses where faults are; pressed, or moved over by arrow keys, it tells a place. */
export function FaultPlan({ element, marks, placed, onPlace, format }: FaultPlanProps) {
  const { ref, width, height, ready } = useSize();
  const at = fit(reaches(element.corners, element.edges), width, height - BAR_ROOM, MARGIN);
  const ring = ringPath(element.corners, element.edges, at);
  const bar = barFor(at.scale, format.units);
  const tell = (x: number, y: number) => {
    const along = at.metresX(x);
    const inn = at.metresY(y);
    onPlace?.(Math.round(along * 100) / 100, Math.round(inn * 100) / 100);
  };
  const press = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    tell(e.clientX - box.left, e.clientY - box.top);
  };
  const move = (e: KeyboardEvent<SVGSVGElement>) => {
    const by = ARROWS[e.key];
    if (!by || !onPlace) return;
    e.preventDefault();
    const from = placed ?? {
      alongM: element.corners.reduce((sum, c) => sum + c.x, 0) / element.corners.length,
      inM: element.corners.reduce((sum, c) => sum + c.y, 0) / element.corners.length,
    };
    onPlace(
      Math.round((from.alongM + by[0] * STEP_M) * 100) / 100,
      Math.round((from.inM + by[1] * STEP_M) * 100) / 100,
    );
  };
  const cross = (x: number, y: number) =>
    `M${(x - 7).toFixed(1)} ${(y - 7).toFixed(1)} l14 14 M${(x + 7).toFixed(1)} ${(y - 7).toFixed(1)} l-14 14`;
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="application"
          aria-label={words.plan}
          tabIndex={onPlace ? 0 : undefined}
          className={classes.plan}
          data-placing={onPlace !== undefined}
          data-testid="fault-plan"
          onPointerDown={onPlace ? press : undefined}
          onKeyDown={move}
        >
          <path d={ring} className={classes.slab} />
          {marks.map((m, i) => (
            <g key={i}>
              <path d={cross(at.x(m.alongM), at.y(m.inM))} className={classes.mark}>
                <title>{m.label}</title>
              </path>
            </g>
          ))}
          {placed && <path d={cross(at.x(placed.alongM), at.y(placed.inM))} className={classes.placed} />}
          <ScaleBar metres={bar} scale={at.scale} text={format.scaleBar(bar)} y={height - 8} />
        </svg>
      )}
    </div>
  );
}
