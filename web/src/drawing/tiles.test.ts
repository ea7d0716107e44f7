import { describe, expect, it } from 'vitest';
import { TILE_MM, tileName, tilingOf } from './tiles';

const box = (wide: number, high: number) => [
  { x: 0.1, y: 0.2 },
  { x: 0.1 + wide, y: 0.2 },
  { x: 0.1 + wide, y: 0.2 + high },
  { x: 0.1, y: 0.2 + high },
];

describe('an outline at full size', () => {
  it('begins at nothing, and keeps its size to the micron', () => {
    const { points, wide, high, tiles } = tilingOf(box(0.18, 0.14));
    expect(wide).toBeCloseTo(180, 6);
    expect(high).toBeCloseTo(140, 6);
    expect(Math.min(...points.map((p) => p.x))).toBe(0);
    expect(Math.min(...points.map((p) => p.y))).toBe(0);
    expect(tiles.length).toBe(2);
  });

  it('is covered by its tiles, edge to edge, and by no more than it takes', () => {
    for (const [wide, high] of [
      [0.05, 0.05],
      [0.17, 0.215],
      [0.1701, 0.215],
      [0.9, 0.6],
      [0.34, 0.43],
    ] as const) {
      const { tiles } = tilingOf(box(wide, high));
      const across = Math.ceil((wide * 1000) / TILE_MM.wide - 1e-9);
      const down = Math.ceil((high * 1000) / TILE_MM.high - 1e-9);
      expect(tiles.length).toBe(across * down);
      expect(new Set(tiles.map(tileName)).size).toBe(tiles.length);
      for (const t of tiles) {
        expect(t.x).toBe(t.column * TILE_MM.wide);
        expect(t.y).toBe(t.row * TILE_MM.high);
        expect(t.x).toBeLessThan(wide * 1000);
        expect(t.y).toBeLessThan(high * 1000);
      }
    }
  });

  it('mirrored, left becomes right and nothing else', () => {
    const kidney = [
      { x: 0, y: 0 },
      { x: 0.1, y: 0 },
      { x: 0.02, y: 0.05 },
    ];
    const plain = tilingOf(kidney);
    const mirror = tilingOf(kidney, true);
    expect(mirror.points.map((p) => plain.wide - p.x)).toEqual(plain.points.map((p) => p.x));
    expect(mirror.points.map((p) => p.y)).toEqual(plain.points.map((p) => p.y));
  });

  it('a name for each tile: the column as a letter, the row as a number', () => {
    expect(tileName({ column: 1, row: 2, x: 0, y: 0 })).toBe('B3');
  });
});
