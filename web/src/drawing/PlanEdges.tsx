import type { ElementReport, PlanPoint } from '../api/client';
import type { Formats } from '../format/format';
import { meets as meetsWords, shape as words } from '../words';
import type { Fit } from './fit';
import classes from './PlanDrawing.module.css';
import { edgeTo, turnsLeft } from './ring';

const BAND = 11;
const DIMENSION_OUT = 34;
const DIMENSION_IN = 26;

/** In a notch the dimensions of both edges would cross outside, so an edge that touches one is measured inside. */
function inNotch(corners: PlanPoint[], i: number): boolean {
  const n = corners.length;
  const left = turnsLeft(corners);
  const notch = (at: number) => {
    const [a, b, c] = [corners[(at - 1 + n) % n], corners[at % n], corners[(at + 1) % n]];
    if (!a || !b || !c) return false;
    const cross = (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);
    return left ? cross < 0 : cross > 0;
  };
  return notch(i) || notch(i + 1);
}

interface EdgeProps {
  element: ElementReport;
  i: number;
  at: Fit;
  format: Formats;
  onEdge: ((edge: number) => void) | undefined;
  /** Without dimensions, where other figures stand round the plan. */
  bare?: boolean;
  /** Where it would meet a form board: a mould has sides of its own. */
  inMould?: boolean;
}

function ringPoints(points: { x: number; y: number }[]) {
  return points.map((p) => `${String(p.x)},${String(p.y)}`).join(' ');
}

function Edge({ element, i, at, format, onEdge, bare = false, inMould = false }: EdgeProps) {
  const edge = element.edges[i];
  const [a, b] = [element.corners[i], element.corners[(i + 1) % element.corners.length]];
  if (!edge || !a || !b) return null;
  const [from, to] = [
    { x: at.x(a.x), y: at.y(a.y) },
    { x: at.x(b.x), y: at.y(b.y) },
  ];
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const along = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
  const left = turnsLeft(element.corners);
  const side = left ? 1 : -1;
  const out = { x: -along.y * side, y: along.x * side };
  const shift = (p: { x: number; y: number }, by: number) => ({ x: p.x + out.x * by, y: p.y + out.y * by });
  const bow = Math.max(0, edge.riseM * at.scale);
  const reach = inNotch(element.corners, i) ? -DIMENSION_IN : DIMENSION_OUT + bow;
  const [d1, d2] = [shift(from, reach), shift(to, reach)];
  const middle = { x: (d1.x + d2.x) / 2, y: (d1.y + d2.y) / 2 };
  const turn = (Math.atan2(along.y, along.x) * 180) / Math.PI;
  const upright = turn > 90 || turn <= -90 ? turn + 180 : turn;
  const length = format.length(edge.lengthM);
  const press = () => onEdge?.(i);
  const arc = `M${String(from.x)} ${String(from.y)}${edgeTo(b, edge, Math.hypot(b.x - a.x, b.y - a.y), left, at)}`;
  const below = edge.radiusM > 0 ? words.radius(format.length(edge.radiusM)) : meetsWords[edge.meets];
  return (
    <g
      {...(onEdge
        ? {
            role: 'button',
            tabIndex: 0,
            'aria-label': words.edgeButton(
              i + 1,
              length,
              edge.radiusM > 0 ? `${below}, ${meetsWords[edge.meets]}` : below,
            ),
            onClick: press,
            onKeyDown: (e: React.KeyboardEvent) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              press();
            },
          }
        : {})}
      className={classes.edge}
      data-inside={reach < 0}
    >
      {inMould && edge.meets === 'form' ? null : edge.radiusM > 0 ? (
        <path d={arc} className={classes.bent} data-meets={edge.meets} />
      ) : (
        <polygon
          points={ringPoints([from, to, shift(to, BAND), shift(from, BAND)])}
          className={classes[edge.meets]}
        />
      )}
      <path d={arc} className={classes.outline} />
      {!bare && (
        <>
          <line
            x1={d1.x}
            y1={d1.y}
            x2={d2.x}
            y2={d2.y}
            className={classes.dimension}
            markerStart="url(#tick)"
            markerEnd="url(#tick)"
          />
          <polygon
            points={ringPoints([
              shift(from, Math.min(-4, reach - 12)),
              shift(to, Math.min(-4, reach - 12)),
              shift(to, Math.max(BAND + 4, reach + 12)),
              shift(from, Math.max(BAND + 4, reach + 12)),
            ])}
            className={classes.target}
          />
          <g transform={`translate(${String(middle.x)} ${String(middle.y)}) rotate(${String(upright)})`}>
            <text className={classes.length} data-worked-out={edge.workedOut} y={-4}>
              {length}
            </text>
            {' ' /* keeps the two words apart for those who hear them */}
            {long > 96 && !(inMould && edge.meets === 'form' && edge.radiusM === 0) && (
              <text className={classes.meets} y={12}>
                {below}
              </text>
            )}
          </g>
        </>
      )}
    </g>
  );
}

/** Every edge with its dimension and what it meets. Where it can be changed, an edge is a button. */
export function PlanEdges(props: Omit<EdgeProps, 'i'>) {
  return props.element.edges.map((_, i) => <Edge key={i} {...props} i={i} />);
}
