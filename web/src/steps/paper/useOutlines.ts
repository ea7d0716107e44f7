import { tilingOf, type Tiling } from '../../drawing/tiles';
import { usePlanned } from '../../job/JobContext';
import { paper as words } from '../../words';

interface Outlined {
  key: string;
  title: string;
  name: string;
  mirrored: boolean;
  tiling: Tiling;
}

/** What is worth drawing at full size: outlines of moulds as they are cut, and profiles whose faces lean. */
export function useOutlines(): Outlined[] {
  const { shape, build } = usePlanned().sections;
  return (build?.elements ?? []).flatMap((built) => {
    const element = shape?.elements.find((e) => e.index === built.index);
    if (!element) return [];
    const { name } = element;
    const profile = element.section.goesOn
      ? undefined
      : element.section.pieces.find(
          (p) => p.part === 'curb' || (p.part === 'pieces' && built.mould === null),
        );
    return [
      ...(built.mould
        ? [
            {
              key: `mould${String(built.index)}`,
              title: words.outlineOf(name),
              name,
              mirrored: built.mould.mirrored,
              tiling: tilingOf(built.mould.outline),
            },
          ]
        : []),
      ...(profile
        ? [
            {
              key: `profile${String(built.index)}`,
              title: words.profileOf(name),
              name,
              mirrored: false,
              tiling: tilingOf(profile.points),
            },
          ]
        : []),
    ];
  });
}
