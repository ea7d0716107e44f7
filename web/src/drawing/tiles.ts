/** A point of an outline that is drawn full size, millimetres, y down the page. */
export interface MmPoint {
  x: number;
  y: number;
}

/** What fits on one page of either paper, inside its margins, mm: a grid that tiles meet in. */
export const TILE_MM = { wide: 170, high: 215 } as const;

/** More pages than this nobody tapes together. */
export const MOST_TILES = 12;

export interface Tile {
  /** From the left and from the top, from 0. */
  column: number;
  row: number;
  /** Its upper left corner in the outline's own millimetres. */
  x: number;
  y: number;
}

export interface Tiling {
  /** Points moved so that the outline begins at 0, 0. */
  points: MmPoint[];
  wide: number;
  high: number;
  tiles: Tile[];
}

/**
 * An outline cut into pages at full size.
 * @param metres Its points, y up the page.
 * @param mirrored Left becomes right.
 */
export function tilingOf(metres: { x: number; y: number }[], mirrored = false): Tiling {
  const mm = metres.map((p) => ({ x: (mirrored ? -p.x : p.x) * 1000, y: -p.y * 1000 }));
  const left = Math.min(...mm.map((p) => p.x));
  const top = Math.min(...mm.map((p) => p.y));
  const points = mm.map((p) => ({ x: p.x - left, y: p.y - top }));
  const wide = Math.max(...points.map((p) => p.x));
  const high = Math.max(...points.map((p) => p.y));
  const across = Math.max(1, Math.ceil(wide / TILE_MM.wide - 1e-9));
  const down = Math.max(1, Math.ceil(high / TILE_MM.high - 1e-9));
  return {
    points,
    wide,
    high,
    tiles: Array.from({ length: across * down }, (_, i) => {
      const [column, row] = [i % across, Math.floor(i / across)];
      return { column, row, x: column * TILE_MM.wide, y: row * TILE_MM.high };
    }),
  };
}

/** B2: the column as a letter, the row as a number. */
export const tileName = ({ column, row }: Tile): string =>
  `${String.fromCharCode(65 + column)}${String(row + 1)}`;
