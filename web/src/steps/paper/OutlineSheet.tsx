import { TiledOutline } from '../../drawing/TiledOutline';
import { MOST_TILES, tileName } from '../../drawing/tiles';
import { useEditing } from '../../job/JobContext';
import { paper as words } from '../../words';
import { Sheet } from './Sheet';
import { useOutlines } from './useOutlines';

/** Outlines at full size, a tile to a page. */
export function OutlineSheet() {
  const { format } = useEditing();
  return useOutlines().map(({ key, title, name, mirrored, tiling }) =>
    tiling.tiles.length > MOST_TILES ? (
      <Sheet key={key} sheet="outlines">
        <p>{words.tooLarge(name, format.small(tiling.wide), format.small(tiling.high))}</p>
      </Sheet>
    ) : (
      tiling.tiles.map((tile) => (
        <Sheet key={`${key}${tileName(tile)}`} sheet="outlines">
          <p>
            {title}
            {tiling.tiles.length > 1 &&
              ` · ${words.tile(tileName(tile), String(tiling.tiles.length))}. ${words.join}`}
            {mirrored && ` ${words.mirrored}`}
          </p>
          <TiledOutline tiling={tiling} tile={tile} units={format.units} />
        </Sheet>
      ))
    ),
  );
}
