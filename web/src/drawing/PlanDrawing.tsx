import type { Meets, SlabReport } from '../api/client';
import type { Formats } from '../common/format';
import { meets as meetsWords, shape as words } from '../common/words';
import { barFor, fit, type Fit } from './fit';
import classes from './PlanDrawing.module.css';
import { useSize } from './useSize';

interface PlanDrawingProps {
  slab: SlabReport;
  format: Formats;
  onEdge: (edge: number) => void;
}

const MARGIN = 62;
const NARROW_MARGIN = 54;
const NARROW = 460;
/** Under the plan, for the scale bar. */
const BAR_ROOM = 16;
const BAND = 11;
const DIMENSION_OUT = 34;
const DIMENSION_IN = 26;

type Point = { x: number; y: number };

/** One edge on the screen: its ends, the way out of the slab, and the angle its text is read at. */
function onScreen(corners: Point[], i: number, at: Fit) {
  const [a, b] = [corners[i], corners[(i + 1) % corners.length]];
  if (!a || !b) return null;
  const from = { x: at.x(a.x), y: at.y(a.y) };
  const to = { x: at.x(b.x), y: at.y(b.y) };
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const along = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
  return { from, to, long, along };
}

/** In a notch the dimensions of both edges would cross outside, so an edge that touches one is measured inside. */
function inNotch(corners: Point[], i: number): boolean {
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

// Anticlockwise on the plan has the outside on its right; the sign of the shoelace sum tells which way round it runs.
const turnsLeft = (corners: Point[]): boolean =>
  corners.reduce((sum, a, i) => {
    const b = corners[(i + 1) % corners.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0) > 0;

function Edge({
  slab,
  i,
  at,
  format,
  onEdge,
}: {
  slab: SlabReport;
  i: number;
  at: Fit;
  format: Formats;
  onEdge: (edge: number) => void;
}) {
  const edge = slab.edges[i];
  const line = onScreen(slab.corners, i, at);
  if (!edge || !line) return null;
  const { from, to, long, along } = line;
  const side = turnsLeft(slab.corners) ? 1 : -1;
  const out = { x: -along.y * side, y: along.x * side };
  const shift = (p: Point, by: number) => ({ x: p.x + out.x * by, y: p.y + out.y * by });
  const ring = [from, to, shift(to, BAND), shift(from, BAND)]
    .map((p) => `${String(p.x)},${String(p.y)}`)
    .join(' ');
  const reach = inNotch(slab.corners, i) ? -DIMENSION_IN : DIMENSION_OUT;
  const [d1, d2] = [shift(from, reach), shift(to, reach)];
  const middle = { x: (d1.x + d2.x) / 2, y: (d1.y + d2.y) / 2 };
  const turn = (Math.atan2(along.y, along.x) * 180) / Math.PI;
  const upright = turn > 90 || turn <= -90 ? turn + 180 : turn;
  const label = words.edgeButton(i + 1, format.length(edge.lengthM), meetsWords[edge.meets]);
  const press = () => {
    onEdge(i);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      className={classes.edge}
      data-inside={reach < 0}
      onClick={press}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        press();
      }}
    >
      <polygon points={ring} className={classes[edge.meets]} />
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} className={classes.outline} />
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
        points={[
          shift(from, Math.min(-4, reach - 12)),
          shift(to, Math.min(-4, reach - 12)),
          shift(to, Math.max(BAND + 4, reach + 12)),
          shift(from, Math.max(BAND + 4, reach + 12)),
        ]
          .map((p) => `${String(p.x)},${String(p.y)}`)
          .join(' ')}
        className={classes.target}
      />
      <g transform={`translate(${String(middle.x)} ${String(middle.y)}) rotate(${String(upright)})`}>
        <text className={classes.length} data-worked-out={edge.workedOut} y={-4}>
          {format.length(edge.lengthM)}
        </text>
        {' ' /* keeps the two words apart for those who hear them */}
        {long > 96 && (
          <text className={classes.meets} y={12}>
            {meetsWords[edge.meets]}
          </text>
        )}
      </g>
    </g>
  );
}

const openingText = (o: SlabReport['openings'][number], format: Formats) =>
  `${o.name} ${format.small(o.widthM * 1000)}`;

const CHARACTER = 6;

/** The middle of an opening's name: under it, but kept inside the slab's width. */
function labelX(slab: SlabReport, text: string, x: number, at: Fit): number {
  const xs = slab.corners.map((c) => at.x(c.x));
  const half = (text.length * CHARACTER) / 2 + 4;
  return Math.max(Math.min(...xs) + half, Math.min(Math.max(...xs) - half, x));
}

const PATTERNS: [Meets, string][] = [
  ['wall', 'M0 8 L8 0'],
  ['oldSlab', 'M2 2 h1 M6 6 h1'],
];

/** The plan to scale: outline, what each edge meets, openings, dimensions. An edge is a button. */
export function PlanDrawing({ slab, format, onEdge }: PlanDrawingProps) {
  const { ref, width, height, ready } = useSize();
  const at = fit(slab.corners, width, height - BAR_ROOM, width < NARROW ? NARROW_MARGIN : MARGIN);
  const bar = barFor(at.scale, format.units);
  const barText = format.units === 'us' ? format.length(bar) : `${String(bar)} m`;
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={words.plan(slab.name)}
          className={classes.plan}
          data-testid="plan"
        >
          <defs>
            <pattern id="grit" width="17" height="17" patternUnits="userSpaceOnUse">
              <path d="M3 4 h1.4 M11 9 h1 M6 14 h1.2 M14 2 h1" className={classes.grit} />
            </pattern>
            {PATTERNS.map(([name, d]) => (
              <pattern key={name} id={`hatch-${name}`} width="8" height="8" patternUnits="userSpaceOnUse">
                <path d={d} className={classes.hatch} />
              </pattern>
            ))}
            <marker id="tick" viewBox="-5 -5 10 10" markerWidth="9" markerHeight="9" orient="auto">
              <path d="M-3 3 L3 -3" className={classes.tick} />
            </marker>
          </defs>
          <polygon
            points={slab.corners.map((c) => `${String(at.x(c.x))},${String(at.y(c.y))}`).join(' ')}
            className={classes.slab}
          />
          <polygon
            points={slab.corners.map((c) => `${String(at.x(c.x))},${String(at.y(c.y))}`).join(' ')}
            fill="url(#grit)"
          />
          {slab.openings.map((o, i) => (
            <g key={i}>
              {o.round ? (
                <circle
                  cx={at.x(o.centre.x)}
                  cy={at.y(o.centre.y)}
                  r={(o.widthM / 2) * at.scale}
                  className={classes.opening}
                />
              ) : (
                <rect
                  x={at.x(o.centre.x - o.widthM / 2)}
                  y={at.y(o.centre.y + o.depthM / 2)}
                  width={o.widthM * at.scale}
                  height={o.depthM * at.scale}
                  className={classes.opening}
                />
              )}
              <text
                x={labelX(slab, openingText(o, format), at.x(o.centre.x), at)}
                y={at.y(o.centre.y) + (o.depthM / 2) * at.scale + 14}
                className={classes.openingName}
                data-middle
              >
                {openingText(o, format)}
              </text>
            </g>
          ))}
          {slab.edges.map((_, i) => (
            <Edge key={i} slab={slab} i={i} at={at} format={format} onEdge={onEdge} />
          ))}
          <g transform={`translate(14 ${String(height - 14)})`} aria-hidden>
            <path d={`M0 -5 V0 H${String(bar * at.scale)} V-5`} className={classes.bar} />
            <text x={bar * at.scale + 7} y={1} className={classes.barText}>
              {barText}
            </text>
          </g>
        </svg>
      )}
    </div>
  );
}
