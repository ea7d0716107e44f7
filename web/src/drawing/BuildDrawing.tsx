import type { ElementBuildReport, ElementReport } from '../api/client';
import type { Formats } from '../format/format';
import { build as words } from '../words';
import { barFor, fit } from './fit';
import { diagonalLabels } from './labels';
import { Patterns, ScaleBar } from './Patterns';
import { Openings } from './PlanDrawing';
import classes from './PlanDrawing.module.css';
import { PlanEdges } from './PlanEdges';
import { reaches, ringPath } from './ring';
import { useSize } from './useSize';

interface BuildDrawingProps {
  element: ElementReport;
  built: ElementBuildReport;
  /** Steel rather than stakes and strings. */
  steel: boolean;
  format: Formats;
}

const MARGIN = 64;
const BAR_ROOM = 16;
const MOST_EDGES = 60;
/** With more stakes than this their heights would run into each other; the list has them. */
const MOST_HEIGHTS = 44;
/** Heights that differ by less are one height. */
const LEVEL_MM = 0.5;
const OUT_X = 37;
const OUT_Y = 20;

type At = ReturnType<typeof fit>;

function Steel({ built, at }: { built: ElementBuildReport; at: At }) {
  const { sheets, bars } = built.steel;
  return (
    <>
      {sheets.map((s, i) => (
        <rect
          key={i}
          x={at.x(s.left)}
          y={at.y(s.high)}
          width={(s.right - s.left) * at.scale}
          height={(s.high - s.low) * at.scale}
          className={classes.sheet}
        />
      ))}
      {bars.map((b, i) => (
        <line
          key={i}
          x1={at.x(b.from.x)}
          y1={at.y(b.from.y)}
          x2={at.x(b.to.x)}
          y2={at.y(b.to.y)}
          className={classes.bar1}
        />
      ))}
    </>
  );
}

/** Stakes where they stand, each with how far it is down from the string; diagonals that prove it square. */
function Strings({ element, built, at, format }: Omit<BuildDrawingProps, 'steel'> & { at: At }) {
  const stakes = built.forms?.stakes ?? [];
  const downs = stakes.map((s) => s.downMm);
  const level = stakes.length > 0 && Math.max(...downs) - Math.min(...downs) < LEVEL_MM;
  const middle = {
    x: element.corners.reduce((s, c) => s + at.x(c.x), 0) / element.corners.length,
    y: element.corners.reduce((s, c) => s + at.y(c.y), 0) / element.corners.length,
  };
  const places = diagonalLabels(element, built.diagonals, at);
  return (
    <>
      {element.corners.length <= 8 &&
        built.diagonals.map((d, i) => {
          const [a, b] = [element.corners[d.from], element.corners[d.to]];
          if (!a || !b) return null;
          return (
            <g key={`${String(d.from)}-${String(d.to)}`}>
              <line
                x1={at.x(a.x)}
                y1={at.y(a.y)}
                x2={at.x(b.x)}
                y2={at.y(b.y)}
                className={classes.diagonal}
              />
              <text x={places[i]?.x} y={places[i]?.y} className={classes.cornerHeight} data-diagonal>
                {format.length(d.lengthM)}
              </text>
            </g>
          );
        })}
      {level && (
        <text x={14} y={26} className={classes.note}>
          {words.allDown(format.small(stakes[0]?.downMm ?? 0), built.forms?.nailed ?? false)}
        </text>
      )}
      {stakes.map((s, i) => {
        const [x, y] = [at.x(s.at.x), at.y(s.at.y)];
        const away = Math.hypot(x - middle.x, y - middle.y) || 1;
        const [ox, oy] = [(x - middle.x) / away, (y - middle.y) / away];
        return (
          <g key={i}>
            <rect
              x={x + ox * 6 - 4}
              y={y + oy * 6 - 4}
              width={8}
              height={8}
              className={classes.stake}
              data-why={s.why}
            />
            {!level && stakes.length <= MOST_HEIGHTS && (
              <text x={x + ox * OUT_X} y={y + oy * OUT_Y + 4} className={classes.stakeHeight}>
                {format.small(s.downMm)}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

/** The plan as it is built: boards, stakes and their heights; or the steel that goes in. */
export function BuildDrawing({ element, built, steel, format }: BuildDrawingProps) {
  const { ref, width, height, ready } = useSize();
  const at = fit(reaches(element.corners, element.edges), width, height - BAR_ROOM, MARGIN);
  const bar = barFor(at.scale, format.units);
  const ring = ringPath(element.corners, element.edges, at);
  const label = steel ? words.steelPlan(element.name) : words.plan(element.name);
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={label}
          className={classes.plan}
          data-testid="build-plan"
        >
          <Patterns />
          <path d={ring} className={classes.slab} />
          <path d={ring} fill="url(#grit)" />
          {steel && <Steel built={built} at={at} />}
          <Openings element={element} at={at} format={format} />
          {element.stretches !== null || element.edges.length > MOST_EDGES ? (
            <path d={ring} className={classes.formRing} />
          ) : (
            <PlanEdges element={element} at={at} format={format} onEdge={undefined} bare />
          )}
          {element.joints.cuts.map((c, i) => (
            <line
              key={i}
              x1={at.x(c.from.x)}
              y1={at.y(c.from.y)}
              x2={at.x(c.to.x)}
              y2={at.y(c.to.y)}
              className={classes.joint}
            />
          ))}
          {!steel && <Strings element={element} built={built} at={at} format={format} />}
          <ScaleBar metres={bar} scale={at.scale} text={format.scaleBar(bar)} y={height - 14} />
        </svg>
      )}
    </div>
  );
}
