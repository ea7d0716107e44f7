import type { CureReport } from '../api/client';
import { ticks, type Formats } from '../format/format';
import { cure as words, milestones } from '../words';
import { useSize } from './useSize';
import classes from './StrengthChart.module.css';

/** Milestones that the curve can show without crowding it. */
const SHOWN = ['walk', 'furniture', 'cars'];

const TOP = 14;
const BOTTOM = 26;
const LEFT = 74;
const RIGHT = 14;
/** Room for a date under the axis. */
const DATE = 76;

const ms = (at: string) => Date.parse(at);

/** Strength against time with this cure and without any, the milestones as levels. */
export function StrengthChart({ cure, format }: { cure: CureReport; format: Formats }) {
  const { ref, width, height, ready } = useSize();
  return (
    <div className={classes.box} data-testid="strength">
      <h3 className={classes.title}>{words.chart}</h3>
      <div ref={ref} className={classes.chart}>
        {ready && <Curves cure={cure} format={format} width={width} height={height} />}
      </div>
      <p className={classes.legend}>
        <span data-line="planned">{words.planned}</span>
        <span data-line="band">{words.band}</span>
        <span data-line="none">{words.none}</span>
      </p>
    </div>
  );
}

interface CurvesProps {
  cure: CureReport;
  format: Formats;
  width: number;
  height: number;
}

function Curves({ cure, format, width, height }: CurvesProps) {
  const { curve } = cure;
  const [first, last] = [curve[0], curve.at(-1)];
  if (!first || !last) return null;
  const most = Math.max(...curve.map((p) => p.mostMpa)) * 1.06;
  const [from, until] = [ms(first.at), ms(last.at)];
  const x = (at: number) => LEFT + ((at - from) / (until - from)) * (width - LEFT - RIGHT);
  const y = (mpa: number) => TOP + (1 - mpa / most) * (height - TOP - BOTTOM);
  const place = (at: string, mpa: number) => `${x(ms(at)).toFixed(1)} ${y(mpa).toFixed(1)}`;
  const line = (of: (p: CureReport['curve'][number]) => number) =>
    `M${curve.map((p) => place(p.at, of(p))).join(' L')}`;
  const band = `${line((p) => p.mostMpa)} L${[...curve]
    .reverse()
    .map((p) => place(p.at, p.leastMpa))
    .join(' L')} Z`;
  const dates = Math.max(2, Math.floor((width - LEFT - RIGHT) / DATE));
  const levels = cure.milestones.filter((m) => SHOWN.includes(m.milestone) && m.needsMpa < most);
  const wetUntil = x(ms(cure.wetUntil));
  return (
    <svg width={width} height={height} role="img" aria-label={words.chart}>
      {ticks(0, most, Math.max(2, Math.floor(height / 60))).map((mpa) => (
        <g key={mpa} transform={`translate(0 ${String(y(mpa))})`}>
          <line x1={LEFT} x2={width - RIGHT} className={classes.grid} />
          <text x={LEFT - 8} y={4} className={classes.axis} data-end>
            {format.strength(mpa)}
          </text>
        </g>
      ))}
      {Array.from({ length: dates }, (_, i) => from + ((i + 0.5) / dates) * (until - from)).map((at) => (
        <text key={at} x={x(at)} y={height - 8} className={classes.axis} data-middle>
          {format.date(new Date(at).toISOString())}
        </text>
      ))}
      <path d={band} className={classes.band} />
      {wetUntil <= width - RIGHT && (
        <g>
          <line x1={wetUntil} x2={wetUntil} y1={TOP} y2={height - BOTTOM} className={classes.until} />
          <text x={wetUntil + 6} y={TOP + 10} className={classes.untilText}>
            {words.until}
          </text>
        </g>
      )}
      {levels.map((m) => (
        <g key={m.milestone} transform={`translate(0 ${String(y(m.needsMpa))})`}>
          <line x1={LEFT} x2={width - RIGHT} className={classes.level} />
          <text x={width - RIGHT - 4} y={-4} className={classes.levelText}>
            {milestones[m.milestone]}
          </text>
        </g>
      ))}
      <path d={line((p) => p.noCureMpa)} className={classes.none} />
      <path d={line((p) => p.mpa)} className={classes.planned} />
    </svg>
  );
}
