import { feetInches, number } from '../format/format';
import type { Units } from '../api/client';
import { paper as words } from '../words';
import classes from './TiledOutline.module.css';
import { TILE_MM, tileName, type Tile, type Tiling } from './tiles';

/** A line that is measured after printing: 100 mm, or four inches. */
const CONTROL_MM: Record<Units, number> = { metric: 100, us: 101.6 };
const ARM_MM = 4;
const MARGIN_MM = 5;
const FOOT_MM = 12;

/** One page of an outline at full size: what of it lies here, crosses to lay it by, and a line to measure. */
export function TiledOutline({ tiling, tile, units }: { tiling: Tiling; tile: Tile; units: Units }) {
  const { wide, high } = TILE_MM;
  const [w, h] = [wide + 2 * MARGIN_MM, high + MARGIN_MM + FOOT_MM];
  const control = CONTROL_MM[units];
  const clip = `tile-${tileName(tile)}`;
  const path = tiling.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${number3(p.x)} ${number3(p.y)}`).join(' ');
  const crosses = [
    [0, 0],
    [wide, 0],
    [0, high],
    [wide, high],
  ] as const;
  return (
    <svg
      width={`${String(w)}mm`}
      height={`${String(h)}mm`}
      viewBox={`${String(-MARGIN_MM)} ${String(-MARGIN_MM)} ${String(w)} ${String(h)}`}
      role="img"
      aria-label={`${tileName(tile)}: ${number(tiling.wide)} × ${number(tiling.high)} mm`}
      data-testid="tile"
    >
      <clipPath id={clip}>
        <rect x={0} y={0} width={wide} height={high} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <path
          d={`${path} Z`}
          transform={`translate(${String(-tile.x)} ${String(-tile.y)})`}
          className={classes.cut}
        />
      </g>
      {crosses.map(([x, y]) => (
        <path
          key={`${String(x)} ${String(y)}`}
          className={classes.cross}
          d={`M${String(x - ARM_MM)} ${String(y)} h${String(2 * ARM_MM)} M${String(x)} ${String(y - ARM_MM)} v${String(2 * ARM_MM)}`}
        />
      ))}
      <text x={wide / 2} y={high / 2} className={classes.name}>
        {tileName(tile)}
      </text>
      <path
        className={classes.control}
        data-testid="control"
        d={`M0 ${String(high + 6)} h${String(control)} M0 ${String(high + 4)} v4 M${String(control)} ${String(high + 4)} v4`}
      />
      <text x={control + 3} y={high + 6.5} className={classes.note}>
        {words.control(units === 'us' ? feetInches(control) : `${String(control)} mm`).split(':')[0]}
      </text>
    </svg>
  );
}

const number3 = (v: number) => String(Math.round(v * 1000) / 1000);
