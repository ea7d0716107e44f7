import type { components } from '../api/schema';
import { ticks, type Formats } from '../format/format';
import { mix as words } from '../words';
import { useSize } from './useSize';
import classes from './WaterLadder.module.css';

interface WaterLadderProps {
  rungs: components['schemas']['WaterStrength'][];
  planned: { waterL: number; mpa: number };
  /** Shaded: what the bag allows. */
  range: { leastL: number; mostL: number } | null;
  /** To a bag, or to a bucket of cement. */
  to: string;
  format: Formats;
}

const NARROW = 460;
const LEFT = 62;
const RIGHT = 28;
const TOP = 42;
const BOTTOM = 40;

/** What each litre costs: strength against water, with the plan on it. */
export function WaterLadder({ rungs, planned, range, to, format }: WaterLadderProps) {
  const { ref, width, height, ready } = useSize();
  const waters = [...rungs.map((r) => r.waterL), planned.waterL];
  const [least, most] = [Math.min(...waters), Math.max(...waters)];
  const top = Math.max(...rungs.map((r) => r.mpa), planned.mpa) * 1.12;
  const x = (l: number) => LEFT + ((l - least) / (most - least || 1)) * (width - LEFT - RIGHT);
  const y = (mpa: number) => TOP + (1 - mpa / top) * (height - TOP - BOTTOM);
  const marks = ticks(least, most, 5);
  const steps = [0, 10, 20, 30, 40, 50].filter((m) => m < top);
  const flat = range && rungs.filter((r, i) => r.mpa === rungs[0]?.mpa && r.mpa === rungs[i + 1]?.mpa).at(-1);
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg width={width} height={height} role="img" aria-label={words.ladderLong(to)} data-testid="ladder">
          <text x={16} y={22} className={classes.title}>
            {width < NARROW ? words.ladder(to) : words.ladderLong(to)}
          </text>
          {range && (
            <g>
              <rect
                x={x(range.leastL)}
                width={x(range.mostL) - x(range.leastL)}
                y={TOP}
                height={height - TOP - BOTTOM}
                className={classes.range}
              />
              <text
                x={(x(range.leastL) + x(range.mostL)) / 2}
                y={height - BOTTOM - 8}
                className={classes.rangeText}
              >
                {words.bagRange}
              </text>
            </g>
          )}
          {steps.map((m) => (
            <g key={m} transform={`translate(0 ${String(y(m))})`}>
              <line x1={LEFT} x2={width - RIGHT} className={classes.grid} />
              <text x={LEFT - 8} y={4} className={classes.yText}>
                {format.strength(m)}
              </text>
            </g>
          ))}
          {marks.map((l) => (
            <text key={l} x={x(l)} y={height - BOTTOM + 20} className={classes.xText}>
              {format.litres(l)}
            </text>
          ))}
          <polyline
            points={rungs.map((r) => `${String(x(r.waterL))},${String(y(r.mpa))}`).join(' ')}
            className={classes.curve}
          />
          {flat && (
            <text x={x(least) + 8} y={y(flat.mpa) + 18} className={classes.note}>
              {words.mostClaimed}
            </text>
          )}
          <g transform={`translate(${String(x(planned.waterL))} ${String(y(planned.mpa))})`}>
            <line y1={0} y2={height - BOTTOM - y(planned.mpa)} className={classes.drop} />
            <circle r={7} className={classes.dot} />
            <text x={12} y={-12} className={classes.planned}>
              {words.plannedAt(format.litres(planned.waterL), format.strength(planned.mpa))}
            </text>
          </g>
        </svg>
      )}
    </div>
  );
}
