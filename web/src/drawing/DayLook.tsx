import type { Enum, LookBackReport } from '../api/client';
import { number, type Formats } from '../format/format';
import { lookBack as words, passes as passWords } from '../words';
import { DayAir, type AirOfDay } from './DayAir';
import { AIR, HOUR_MS, RIGHT, TOP, frameBetween, ms, type Frame } from './dayFrame';
import classes from './DayLook.module.css';
import { HourLines } from './HourLines';
import { useSize } from './useSize';

const GAP = 40;
const LEGEND = 22;
/** On a phone it takes two lines. */
const LEGEND_NARROW = 36;
const LEAST_MS = 90_000;

const moments = (...of: (string | null | undefined)[]) => of.flatMap((m) => (m == null ? [] : [ms(m)]));

/** From the first water, planned or real, until the last thing is done. */
function frameOfLook(look: LookBackReport, width: number): Frame {
  const real = [
    ...look.batches.flatMap((b) => moments(b.begun, b.placed)),
    ...look.passes.flatMap((p) => moments(p.begun, p.done)),
  ];
  return frameBetween(
    Math.min(ms(look.planned.start), ...real) - HOUR_MS / 2,
    Math.max(ms(look.planned.doneBy), ...real, ...look.passes.map((p) => ms(p.plannedCloses))) + HOUR_MS / 2,
    width,
  );
}

interface BarProps {
  frame: Frame;
  from: string;
  until: string;
  y: number;
  height: number;
  is: 'planned' | 'could' | 'was';
  off?: boolean;
  title?: string;
}

function Bar({ frame, from, until, y, height, is, off = false, title }: BarProps) {
  const x = (at: number) => Math.min(Math.max(frame.x(at), frame.left), frame.x(frame.until));
  const width = Math.max(x(ms(until)) - x(ms(from)), x(ms(from) + LEAST_MS) - x(ms(from)), 2);
  return (
    <rect
      x={x(ms(from))}
      width={width}
      y={y}
      height={height}
      className={classes.bar}
      data-is={is}
      data-off={off}
    >
      {title !== undefined && <title>{title}</title>}
    </rect>
  );
}

interface DayLookProps {
  look: LookBackReport;
  /** The weather as it came. */
  air: AirOfDay;
  format: Formats;
}

/** A day as planned and as it was, row under row on one clock: hollow what was planned, pale what the concrete let one do, solid what was done. */
export function DayLook({ look, air, format }: DayLookProps) {
  const { ref, width, height, ready } = useSize();
  const frame = frameOfLook(look, width);
  const kinds = [...new Set(look.passes.map((p) => p.pass))];
  const legend = frame.narrow ? LEGEND_NARROW : LEGEND;
  const rowsTop = TOP + AIR + GAP;
  const row = Math.min(78, (height - rowsTop - 20 - legend) / (kinds.length + 1));
  const nameY = frame.narrow ? 10 : row / 2 - 3;
  const barsTop = frame.narrow ? 17 : 0;
  const real = look.batches.filter((b) => b.begun !== null);
  const [first, last] = [real[0], real.findLast((b) => b.placed !== null)];
  const half = (row - 14 - barsTop) / 2;
  const named = (pass: Enum<'Pass'>) => passWords[pass];
  return (
    <div ref={ref} className={classes.box} data-taller>
      {ready && (
        <svg width={width} height={height} role="group" aria-label={words.drawing} data-testid="day-look">
          <HourLines frame={frame} height={height - legend} format={format} />
          <DayAir day={air} frame={frame} format={format} />
          <g transform={`translate(0 ${String(rowsTop)})`} data-row="mixing">
            <text x={12} y={nameY} className={classes.rowName}>
              {words.mixing}
            </text>
            <Bar
              frame={frame}
              from={look.planned.start}
              until={look.planned.mixingEnds}
              y={barsTop}
              height={half}
              is="planned"
            />
            {look.batches.map(
              (b) =>
                b.begun !== null &&
                b.placed !== null && (
                  <Bar
                    key={b.number}
                    frame={frame}
                    from={b.begun}
                    until={b.placed}
                    y={barsTop + half + 3}
                    height={half}
                    is="was"
                  />
                ),
            )}
            {first?.begun != null && last?.placed != null && (
              <text
                x={Math.min(frame.x(ms(last.placed)) + 8, width - RIGHT - 90)}
                y={nameY + half / 2}
                className={classes.times}
              >
                {`${format.time(first.begun)}–${format.time(last.placed)}`}
              </text>
            )}
          </g>
          {kinds.map((kind, k) => {
            const top = rowsTop + (k + 1) * row;
            const zones = look.passes.filter((p) => p.pass === kind);
            const each = (row - 12 - barsTop) / zones.length;
            return (
              <g key={kind} data-row={kind}>
                <line x1={8} x2={width - RIGHT} y1={top - 4} y2={top - 4} className={classes.rule} />
                <text x={12} y={top + nameY} className={classes.rowName}>
                  {named(kind)}
                </text>
                {zones.map((p, z) => {
                  const y = top + barsTop + z * each;
                  return (
                    <g key={p.zone} data-zone={p.zone}>
                      {p.opens !== null && p.closes !== null && (
                        <Bar
                          frame={frame}
                          from={p.opens}
                          until={p.closes}
                          y={y}
                          height={each - 2}
                          is="could"
                        />
                      )}
                      <Bar
                        frame={frame}
                        from={p.plannedOpens}
                        until={p.plannedCloses}
                        y={y + 1}
                        height={each - 4}
                        is="planned"
                      />
                      {p.begun !== null && (
                        <Bar
                          frame={frame}
                          from={p.begun}
                          until={p.done ?? p.begun}
                          y={y + each * 0.22}
                          height={Math.max(3, each * 0.5)}
                          is="was"
                          off={p.off}
                          title={words.wasLine(
                            named(p.pass),
                            number(p.zone),
                            format.time(p.begun),
                            format.time(p.done ?? p.begun),
                          )}
                        />
                      )}
                    </g>
                  );
                })}
                {look.sheens
                  .filter(() => k === 0)
                  .map((s) => {
                    const z = zones.findIndex((p) => p.zone === s.zone);
                    return s.gone === null || z < 0 ? null : (
                      <circle
                        key={s.zone}
                        cx={frame.x(ms(s.gone))}
                        cy={top + barsTop + z * each + each / 2 - 1}
                        r={4}
                        className={classes.sheen}
                      >
                        <title>{`${words.sheen}, ${words.zone(number(s.zone))}: ${format.time(s.gone)}`}</title>
                      </circle>
                    );
                  })}
              </g>
            );
          })}
          <g transform={`translate(12 ${String(height - 10)})`} aria-hidden>
            {(
              [
                ['planned', words.planned, false],
                ['could', words.could, false],
                ['was', words.was, false],
                ['was', words.off, true],
              ] as const
            ).map(([is, text, off], i) => (
              <g
                key={text}
                transform={
                  frame.narrow
                    ? `translate(${String((i % 2) * 160)} ${String(i < 2 ? -14 : 0)})`
                    : `translate(${String(i * 152)} 0)`
                }
              >
                <rect
                  y={-8}
                  width={frame.narrow ? 12 : 20}
                  height={9}
                  className={classes.bar}
                  data-is={is}
                  data-off={off}
                />
                <text x={frame.narrow ? 15 : 26} className={classes.legend}>
                  {text}
                </text>
              </g>
            ))}
          </g>
        </svg>
      )}
    </div>
  );
}
