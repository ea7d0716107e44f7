import '@mantine/charts/styles.css';
import { CompositeChart } from '@mantine/charts';
import { useMemo } from 'react';
import type { CureReport } from '../../api/client';
import type { Formats } from '../../common/format';
import { cure as words, milestones } from '../../common/words';
import classes from './CureStep.module.css';

/** Milestones that the curve can show without crowding it. */
const SHOWN = ['walk', 'furniture', 'cars'];

/** Strength against time with this cure and without any, the milestones as levels. */
export default function StrengthChart({ cure, format }: { cure: CureReport; format: Formats }) {
  const data = useMemo(
    () =>
      cure.curve.map((p) => ({
        at: Date.parse(p.at),
        [words.planned]: p.mpa,
        [words.band]: [p.leastMpa, p.mostMpa],
        [words.none]: p.noCureMpa,
      })),
    [cure],
  );

  const levels = cure.milestones.filter((m) => SHOWN.includes(m.milestone) && m.needsMpa < cure.f28Mpa * 1.1);
  const date = (at: number) => format.date(new Date(at).toISOString());
  return (
    <div className={classes.box} data-testid="strength">
      <h3 className={classes.title}>{words.chart}</h3>
      <div className={classes.chart} role="img" aria-label={words.chart}>
        <CompositeChart
          h="100%"
          data={data}
          dataKey="at"
          withLegend
          withDots={false}
          curveType="monotone"
          strokeWidth={2.5}
          gridAxis="y"
          valueFormatter={(v: number | number[]) =>
            Array.isArray(v) ? v.map((one) => format.strength(one)).join(' – ') : format.strength(v)
          }
          xAxisProps={{
            type: 'number',
            domain: ['dataMin', 'dataMax'],
            tickFormatter: (v: number) => date(v),
            tickCount: 6,
            scale: 'time',
          }}
          yAxisProps={{ width: 74, tickFormatter: (v: number) => format.strength(v) }}
          tooltipProps={{ labelFormatter: (v) => (typeof v === 'number' ? date(v) : '') }}
          areaProps={{ strokeWidth: 0, fillOpacity: 0.55, activeDot: false }}
          composedChartProps={{ accessibilityLayer: false }}
          referenceLines={[
            ...levels.map((m) => ({
              y: m.needsMpa,
              label: milestones[m.milestone],
              color: 'var(--warn)',
              labelPosition: 'insideBottomRight' as const,
            })),
            { x: Date.parse(cure.wetUntil), label: words.until, color: 'var(--water-deep)' },
          ]}
          series={[
            { name: words.band, color: 'var(--water)', type: 'area' },
            { name: words.planned, color: 'var(--chalk)', type: 'line' },
            { name: words.none, color: 'var(--timber-deep)', type: 'line', strokeDasharray: '6 4' },
          ]}
        />
      </div>
    </div>
  );
}
