import type { PlanReport } from '../../api/client';
import { number, ticks, type Formats } from '../../format/format';
import { buy as words, supplies } from '../../words';
import { Why } from '../../fields/Why';
import { useSize } from '../../drawing/useSize';
import table from '../../common/Table.module.css';
import classes from './Compare.module.css';

type Supply = NonNullable<PlanReport['buy']>['supply'];

const LEFT = 64;
const RIGHT = 122;
const TOP = 36;
const BOTTOM = 38;
/** Names at the ends of lines keep this much apart. */
const NAME_ROOM = 17;

/** Names at the right end of each line, pushed apart where lines end close together. */
function ends(ys: number[]): number[] {
  const order = ys.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  const placed = [...ys];
  order.reduce((last, { y, i }) => {
    const at = Math.max(y, last + NAME_ROOM);
    placed[i] = at;
    return at;
  }, -Infinity);
  return placed;
}

function Curve({ supply, format }: { supply: Supply; format: Formats }) {
  const { ref, width, height, ready } = useSize();
  const points = supply.curve;
  const most = points.at(-1)?.m3 ?? 1;
  const top = Math.max(...points.flatMap((p) => p.costs)) * 1.06;
  const x = (m3: number) => LEFT + (m3 / most) * (width - LEFT - RIGHT);
  const y = (cost: number) => TOP + (1 - cost / top) * (height - TOP - BOTTOM);
  const names = ends(supply.ways.map((_, i) => y(points.at(-1)?.costs[i] ?? 0)));
  return (
    <div ref={ref} className={classes.chart}>
      {ready && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={words.compareChart}
          data-testid="supply-chart"
        >
          <text x={16} y={22} className={classes.title}>
            {words.compareTitle}
          </text>
          {ticks(0, top, 5).map((c) => (
            <g key={c}>
              <line x1={LEFT} x2={width - RIGHT} y1={y(c)} y2={y(c)} className={classes.grid} />
              <text x={LEFT - 8} y={y(c) + 4} className={classes.yText}>
                {format.money(c)}
              </text>
            </g>
          ))}
          {ticks(0, most, 6).map((v) => (
            <text key={v} x={x(v)} y={height - BOTTOM + 20} className={classes.xText}>
              {v === 0 ? '0' : format.bulk(v * 1000)}
            </text>
          ))}
          <line x1={x(supply.m3)} x2={x(supply.m3)} y1={TOP} y2={height - BOTTOM} className={classes.here} />
          <text x={x(supply.m3) + 6} y={TOP + 12} className={classes.hereText}>
            {words.here(format.bulk(supply.m3 * 1000))}
          </text>
          {supply.ways.map((way, i) => (
            <g key={way.kind}>
              <polyline
                points={points.map((p) => `${x(p.m3).toFixed(1)},${y(p.costs[i] ?? 0).toFixed(1)}`).join(' ')}
                className={classes.line}
                data-kind={way.kind}
              />
              <text x={width - RIGHT + 6} y={(names[i] ?? 0) + 4} className={classes.name}>
                {supplies[way.kind]}
              </text>
            </g>
          ))}
          {supply.crossings.map((c) => (
            <line
              key={c.from + c.to}
              x1={x(c.m3)}
              x2={x(c.m3)}
              y1={height - BOTTOM - 12}
              y2={height - BOTTOM}
              className={classes.cross}
            />
          ))}
        </svg>
      )}
    </div>
  );
}

/** Bags against loose against truck: for this job in a table, over the volume as curves, and where one overtakes another in words. */
export function Compare({ supply, format }: { supply: Supply; format: Formats }) {
  return (
    <div className={classes.compare}>
      <Curve supply={supply} format={format} />
      <div className={classes.ways}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">{words.way}</th>
              <th scope="col">{words.money}</th>
              <th scope="col">{words.spoken(format.units === 'us')}</th>
              <th scope="col">{words.work}</th>
              <th scope="col">{words.mass}</th>
            </tr>
          </thead>
          <tbody>
            {supply.ways.map((w) => (
              <tr key={w.kind}>
                <th scope="row">
                  {supplies[w.kind]} {w.kind === 'truck' && <Why code="truckCost" about={supplies.truck} />}
                </th>
                <td>{format.money(w.cost)}</td>
                <td>{format.moneyEach(w.perLitre)}</td>
                <td>{words.hours(number(w.hours, 1))}</td>
                <td>{w.kg === 0 ? '–' : format.mass(w.kg)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className={classes.says}>
        {supply.crossings.length === 0
          ? words.noCrossing
          : supply.crossings
              .map((c) =>
                words.crossing(supplies[c.to], supplies[c.from].toLowerCase(), format.bulk(c.m3 * 1000)),
              )
              .join(' ')}{' '}
        {words.counted(format.money(supply.hourWorth))}
      </p>
    </div>
  );
}
