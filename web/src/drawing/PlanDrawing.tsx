import type { ElementReport } from '../api/client';
import type { Formats } from '../format/format';
import { shape as words } from '../words';
import { barFor, fit, type Fit } from './fit';
import { openingLabel, openingText } from './labels';
import { Patterns, ScaleBar } from './Patterns';
import classes from './PlanDrawing.module.css';
import { PlanEdges } from './PlanEdges';
import { PlanFall } from './PlanFall';
import { PlanJoints } from './PlanJoints';
import { reaches, ringPath } from './ring';
import { useSize } from './useSize';

interface PlanDrawingProps {
  element: ElementReport;
  format: Formats;
  onEdge?: ((edge: number) => void) | undefined;
  onJoint?: ((line: number, atM: number) => void) | undefined;
  /** A panel is picked by its number. */
  onPanel?: (panel: number) => void;
  pickedPanel?: number | null;
}

const MARGIN = 62;
const NARROW_MARGIN = 54;
const NARROW = 460;
/** Under the plan, for the scale bar. */
const BAR_ROOM = 16;
/** From the middle of a line of text down to where its letters stand. */
const BASELINE = 4;
/** With more edges than this they are too small to take hold of. */
const MOST_EDGES = 60;

function OpeningName({ element, i, text, at }: { element: ElementReport; i: number; text: string; at: Fit }) {
  const place = openingLabel(element, i, text, at);
  return (
    <text x={place.x} y={place.y + BASELINE} className={classes.openingName} data-middle>
      {text}
    </text>
  );
}

/** Posts, drains and cut-outs. */
export function Openings({ element, at, format }: { element: ElementReport; at: Fit; format: Formats }) {
  return element.openings.map((o, i) => (
    <g key={i}>
      {o.rebateM > 0 && (
        <rect
          x={at.x(o.centre.x) - (o.widthM / 2 + o.rebateM) * at.scale}
          y={at.y(o.centre.y) - (o.depthM / 2 + o.rebateM) * at.scale}
          width={(o.widthM + 2 * o.rebateM) * at.scale}
          height={(o.depthM + 2 * o.rebateM) * at.scale}
          rx={(o.round ? o.widthM / 2 + o.rebateM : o.cornerM > 0 ? o.cornerM + o.rebateM : 0) * at.scale}
          className={classes.rebate}
        />
      )}
      {o.round ? (
        <circle
          cx={at.x(o.centre.x)}
          cy={at.y(o.centre.y)}
          r={(o.widthM / 2) * at.scale}
          className={classes.opening}
        />
      ) : (
        <rect
          x={at.x(o.centre.x) - (o.widthM / 2) * at.scale}
          y={at.y(o.centre.y) - (o.depthM / 2) * at.scale}
          width={o.widthM * at.scale}
          height={o.depthM * at.scale}
          rx={o.cornerM * at.scale}
          className={classes.opening}
        />
      )}
      <OpeningName element={element} i={i} text={openingText(o, format)} at={at} />
    </g>
  ));
}

/** What is cast into the face, each by its name. */
export function Inserts({ element, at }: { element: ElementReport; at: Fit }) {
  return element.inserts.map((i, n) => (
    <g key={n}>
      <rect
        x={at.x(i.centre.x) - (i.widthM / 2) * at.scale}
        y={at.y(i.centre.y) - (i.depthM / 2) * at.scale}
        width={i.widthM * at.scale}
        height={i.depthM * at.scale}
        className={classes.insert}
      />
      <text
        x={at.x(i.centre.x)}
        y={at.y(i.centre.y) + (i.depthM / 2) * at.scale + 12}
        className={classes.note}
        data-middle
      >
        {i.name}
      </text>
    </g>
  ));
}

/** What is said of a path: each stretch by its length, or its radius. */
function Stretches({ element, at, format }: { element: ElementReport; at: Fit; format: Formats }) {
  const n = element.corners.length;
  const middle = {
    x: element.corners.reduce((sum, c) => sum + at.x(c.x), 0) / n,
    y: element.corners.reduce((sum, c) => sum + at.y(c.y), 0) / n,
  };
  return element.stretches?.map((s, i) => {
    const [x, y] = [at.x(s.middle.x), at.y(s.middle.y)];
    const right = x > middle.x + 8;
    return (
      <text
        key={i}
        x={s.radiusM > 0 ? x + (right ? 22 : -22) : x}
        y={s.radiusM > 0 ? y + 22 : y - 16}
        className={classes.length}
        data-side={s.radiusM > 0 ? (right ? 'right' : 'left') : undefined}
      >
        {format.length(s.lengthM)}
        {s.radiusM > 0 && `, ${words.radius(format.length(s.radiusM))}`}
      </text>
    );
  });
}

/** The plan to scale: outline, what each edge meets, openings, joints, fall. An edge is a button, a joint can be dragged. */
export function PlanDrawing({ element, format, onEdge, onJoint, onPanel, pickedPanel }: PlanDrawingProps) {
  const { ref, width, height, ready } = useSize();
  const margin = width < NARROW ? NARROW_MARGIN : MARGIN;
  const at = fit(reaches(element.corners, element.edges), width, height - BAR_ROOM, margin);
  const bar = barFor(at.scale, format.units);
  const ring = ringPath(element.corners, element.edges, at);
  const detailed = element.edges.length <= MOST_EDGES;
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={words.plan(element.name)}
          className={classes.plan}
          data-testid="plan"
        >
          <Patterns />
          <path d={ring} className={classes.slab} />
          <path d={ring} fill="url(#grit)" />
          {element.joints.wayOut && (
            <text
              x={at.x(element.joints.wayOut.x)}
              y={at.y(element.joints.wayOut.y) - 8}
              className={classes.wayOut}
            >
              {words.wayOut}
            </text>
          )}
          <PlanFall element={element} at={at} format={format} />
          <Openings element={element} at={at} format={format} />
          <Inserts element={element} at={at} />
          {element.stretches !== null || !detailed ? (
            <path d={ring} className={classes.outline} fill="none" />
          ) : (
            <PlanEdges element={element} at={at} format={format} onEdge={onEdge} />
          )}
          <Stretches element={element} at={at} format={format} />
          <PlanJoints
            element={element}
            at={at}
            format={format}
            onJoint={onJoint}
            onPanel={onPanel}
            pickedPanel={pickedPanel}
          />
          <ScaleBar metres={bar} scale={at.scale} text={format.scaleBar(bar)} y={height - 14} />
        </svg>
      )}
    </div>
  );
}
