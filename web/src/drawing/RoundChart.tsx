import type { PlanReport } from '../api/client';
import { duration, number } from '../format/format';
import { paceBounds, paceTasks, round as words } from '../words';
import classes from './RoundChart.module.css';
import { useSize } from './useSize';

interface RoundChartProps {
  round: NonNullable<PlanReport['load']>['round'];
}

const LABEL = 76;
const LANE = 46;
const TALLEST = 64;
const PADDING = 14;
const HEAD = 30;
const AXIS = 24;
/** A part narrower than this has no room for its name. */
const NAMED = 54;
const LARGE_TICKS = 8;

/** Whole minutes to mark so that no more than a few stand on the axis. */
const tickOf = (minutes: number) =>
  [0.5, 1, 2, 5, 10, 20, 30, 60].find((t) => minutes / t <= LARGE_TICKS) ?? 60;

/** Who does what when from one batch to the next: the mixer, then every hand; what is free is left open. */
export function RoundChart({ round }: RoundChartProps) {
  const { ref, width, height } = useSize();
  const lane = Math.max(
    LANE / 2,
    Math.min(TALLEST, (height - HEAD - AXIS - 2 * PADDING) / Math.max(1, round.lanes.length)),
  );
  const across = Math.max(1, width - LABEL - 2 * PADDING);
  const x = (minutes: number) => PADDING + LABEL + (minutes / Math.max(round.minutes, 0.01)) * across;
  const bottom = HEAD + PADDING + lane * round.lanes.length;
  const tick = tickOf(round.minutes);
  const ticks = Array.from({ length: Math.floor(round.minutes / tick) + 1 }, (_, i) => i * tick);
  return (
    <div ref={ref} className={classes.chart} data-testid="round-chart">
      <p className={classes.title}>{words.title(duration(round.minutes), paceBounds[round.bound])}</p>
      <svg width={width} height={height} role="img" aria-label={words.label}>
        {ticks.map((t) => (
          <g key={t}>
            <line className={classes.tick} x1={x(t)} x2={x(t)} y1={HEAD + PADDING - 4} y2={bottom} />
            <text className={classes.minutes} x={x(t)} y={bottom + 16} textAnchor="middle">
              {number(t, 1)}
            </text>
          </g>
        ))}
        {round.lanes.map((l, i) => (
          <g key={l.hand} transform={`translate(0 ${String(HEAD + PADDING + i * lane)})`}>
            <text className={classes.lane} x={PADDING} y={lane / 2} dominantBaseline="middle">
              {l.hand === 0 ? words.mixer : words.hand(l.hand)}
            </text>
            <rect
              className={classes.free}
              x={x(0)}
              y={lane * 0.12}
              width={across}
              height={lane * 0.76}
              rx={2}
            />
            {l.parts.map((p) => {
              const wide = x(p.toMin) - x(p.fromMin);
              return (
                <g key={p.task} data-task={p.task}>
                  <rect
                    className={classes.part}
                    data-task={p.task}
                    x={x(p.fromMin)}
                    y={lane * 0.12}
                    width={Math.max(1, wide)}
                    height={lane * 0.76}
                    rx={2}
                  />
                  {wide >= NAMED && (
                    <text
                      className={classes.task}
                      data-task={p.task}
                      x={x(p.fromMin) + wide / 2}
                      y={lane / 2}
                      textAnchor="middle"
                      dominantBaseline="middle"
                    >
                      {paceTasks[p.task]}
                    </text>
                  )}
                  <title>{words.part(paceTasks[p.task], duration(p.toMin - p.fromMin))}</title>
                </g>
              );
            })}
          </g>
        ))}
      </svg>
      <ul className="visually-hidden">
        {round.lanes.map((l) => (
          <li key={l.hand}>
            {l.hand === 0 ? words.mixer : words.hand(l.hand)}:{' '}
            {l.parts.map((p) => words.part(paceTasks[p.task], duration(p.toMin - p.fromMin))).join('; ')}
          </li>
        ))}
      </ul>
    </div>
  );
}
