import type { ElementBuildReport, ElementReport } from '../api/client';
import { grade, type Formats } from '../format/format';
import { castParts, section as words } from '../words';
import { Patterns } from './Patterns';
import classes from './PlanDrawing.module.css';
import { useSize } from './useSize';

interface SectionDrawingProps {
  element: ElementReport;
  built: ElementBuildReport | undefined;
  format: Formats;
}

const LEFT = 74;
const RIGHT = 96;
const TOP = 18;
const BOTTOM = 22;
const SPOT = 3;
/** A drain is shown this wide, here along the section. */
const DRAIN_M = 0.1;
const DRAIN_AT = 0.66;
/** Its top lies this much under the surface beside it. */
const DRAIN_SUNK_M = 0.025;

/** A cut through the element, to scale: concrete, base, steel at its height, board and fall. */
export function SectionDrawing({ element, built, format }: SectionDrawingProps) {
  const { ref, width, height, ready } = useSize();
  const drain = element.fall?.drainMm ?? null;
  const points = element.section.pieces.flatMap((p) => p.points);
  const wide = Math.max(...points.map((p) => p.x));
  const deep = -Math.min(...points.map((p) => p.y));
  const base = (built?.dig?.baseMm ?? 0) / 1000;
  const forms = built?.forms ?? null;
  const board = forms === null ? 0 : forms.boardThickMm / 1000;
  const scale = Math.max(
    1,
    Math.min((width - LEFT - RIGHT) / (wide + board), (height - TOP - BOTTOM) / (deep + base || 1)),
  );
  const x = (m: number) => LEFT + (m + board) * scale;
  const y = (m: number) => TOP - m * scale;
  const polygon = (ps: { x: number; y: number }[]) =>
    ps.map((p) => `${String(x(p.x))},${String(y(p.y))}`).join(' ');
  const steel = built?.steel;
  const bars = steel && steel.school !== 'mesh' && steel.school !== 'scrim' ? steel.heightsMm : [];
  // Two rows lie over one another, or side by side.
  const across =
    steel?.school !== 'twoRows' ? [0.12, 0.34, 0.56, 0.78] : bars.length > 1 ? [0.46] : [0.26, 0.74];
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={words.title(element.name)}
          data-testid="section"
        >
          <Patterns />
          {base > 0 && (
            <>
              <rect
                x={x(0)}
                y={y(-deep)}
                width={wide * scale}
                height={base * scale}
                className={classes.base}
              />
              <rect x={x(0)} y={y(-deep)} width={wide * scale} height={base * scale} fill="url(#stone)" />
              <text x={x(wide) + 8} y={y(-deep - base / 2) + 4} className={classes.note}>
                {words.base(format.small(base * 1000))}
              </text>
            </>
          )}
          {element.section.pieces.map((p) => (
            <g key={p.part}>
              <polygon points={polygon(p.points)} className={classes.cut} data-part={p.part} />
              <polygon points={polygon(p.points)} fill="url(#grit)" />
            </g>
          ))}
          {forms && board > 0 && (
            <rect
              x={x(-board)}
              y={y(0)}
              width={board * scale}
              height={(forms.boardMm / 1000) * scale}
              className={classes.form}
            />
          )}
          {(steel?.school === 'mesh' || steel?.school === 'scrim') &&
            steel.heightsMm.map((h) => (
              <line
                key={h}
                x1={x(0.04)}
                x2={x(element.section.goesOn ? wide : wide - 0.04)}
                y1={y(-h / 1000)}
                y2={y(-h / 1000)}
                className={classes.mesh}
              />
            ))}
          {bars.map((h) =>
            across.map((share) => (
              <circle
                key={`${String(h)}-${String(share)}`}
                cx={x(wide * share)}
                cy={y(-h / 1000)}
                r={Math.max(SPOT, (steel?.barMm ?? 0) * scale * 0.0005)}
                className={classes.barEnd}
              />
            )),
          )}
          {drain !== null && (
            <>
              <rect
                x={x(wide * DRAIN_AT - DRAIN_M / 2)}
                y={y(-DRAIN_SUNK_M)}
                width={DRAIN_M * scale}
                height={Math.max(2, (deep - DRAIN_SUNK_M) * scale)}
                className={classes.opening}
              />
              <text x={x(wide * DRAIN_AT)} y={y(0) - 2} className={classes.note} data-middle>
                {words.drain(format.small(drain))}
              </text>
            </>
          )}
          {element.section.goesOn && (
            <path
              d={`M${String(x(wide))} ${String(y(0.004) - 4)} l4 ${String((deep * scale) / 3)} l-8 ${String((deep * scale) / 4)} l4 ${String((deep * scale) / 2.2)}`}
              className={classes.broken}
            />
          )}
          <line
            x1={LEFT - 16}
            x2={LEFT - 16}
            y1={y(0)}
            y2={y(-deep)}
            className={classes.dimension}
            markerStart="url(#tick)"
            markerEnd="url(#tick)"
          />
          <text x={LEFT - 24} y={y(-deep / 2) + 4} className={classes.note} data-end>
            {format.small(deep * 1000)}
          </text>
          {!element.section.goesOn && (
            <text x={x(wide / 2)} y={y(-deep - base) + 16} className={classes.note} data-middle>
              {format.small(wide * 1000)}
            </text>
          )}
          {element.section.pieces.length > 1 &&
            element.section.pieces.map((p) => (
              <text
                key={p.part}
                x={x(Math.max(...p.points.map((q) => q.x))) + 8}
                y={y((Math.max(...p.points.map((q) => q.y)) + Math.min(...p.points.map((q) => q.y))) / 2) + 4}
                className={classes.note}
              >
                {castParts[p.part]}
              </text>
            ))}
          {element.fall && element.fall.percent > 0 && element.section.pieces.length === 1 && (
            <text x={x(wide) + 8} y={y(0) + 8} className={classes.note}>
              {words.fall(grade(element.fall.percent))}
            </text>
          )}
        </svg>
      )}
    </div>
  );
}
