import type { ElementBuildReport, ElementReport } from '../api/client';
import type { Formats } from '../format/format';
import { build as words } from '../words';
import { barFor, fit } from './fit';
import { Patterns, ScaleBar } from './Patterns';
import { Inserts, Openings } from './PlanDrawing';
import classes from './PlanDrawing.module.css';
import { PlanEdges } from './PlanEdges';
import { reaches } from './ring';
import { useSize } from './useSize';

interface MouldDrawingProps {
  element: ElementReport;
  mould: NonNullable<ElementBuildReport['mould']>;
  format: Formats;
}

const MARGIN = 60;
const BAR_ROOM = 16;

/** The mould as it is cut: its inside is the piece; a face-down cast is drawn as its mirror. */
export function MouldDrawing({ element, mould, format }: MouldDrawingProps) {
  const { ref, width, height, ready } = useSize();
  const around = mould.mirrored ? mould.outline : reaches(element.corners, element.edges);
  const at = fit(around, width, height - BAR_ROOM, MARGIN);
  const bar = barFor(at.scale, format.units);
  const ring = mould.outline.map((p) => `${String(at.x(p.x))},${String(at.y(p.y))}`).join(' ');
  const turned = { ...at, x: (m: number) => at.x(mould.mirrored ? -m : m) };
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={words.mouldPlan(element.name)}
          className={classes.plan}
          data-testid="mould"
        >
          <Patterns />
          <polygon points={ring} className={classes.slab} />
          <polygon points={ring} className={classes.mouldSide} />
          <polygon points={ring} className={classes.outline} fill="none" />
          <Openings element={element} at={turned} format={format} />
          <Inserts element={element} at={turned} />
          {!mould.mirrored && element.stretches === null && (
            <PlanEdges element={element} at={at} format={format} onEdge={undefined} inMould />
          )}
          {mould.mirrored && (
            <text x={width / 2} y={20} className={classes.note} data-middle>
              {words.mirrored}
            </text>
          )}
          <ScaleBar metres={bar} scale={at.scale} text={format.scaleBar(bar)} y={height - 14} />
        </svg>
      )}
    </div>
  );
}
