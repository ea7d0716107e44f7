import type { CutListReport, ElementBuildReport } from '../api/client';
import type { Formats } from '../format/format';
import { build as words, mouldParts } from '../words';

/** Each board or bar from stock with its cuts. */
export const cutRows = (list: CutListReport, f: Formats): [string, string][] =>
  list.boards.map((b, i) => [
    `${String(i + 1)}: ${f.length(b.lengthM)}`,
    b.cuts.map((c) => `${f.length(c.lengthM)} (${c.for})`).join(', '),
  ]);

/** How far down from the string every corner and stake lies. */
export function heights(element: ElementBuildReport, f: Formats): [string, string][] {
  return [
    ...element.corners.map((mm, i): [string, string] => [words.corner(i + 1), f.small(mm)]),
    ...(element.forms?.stakes ?? []).map((s, i): [string, string] => [
      `${words.stakeNo(i + 1, element.forms?.nailed ?? false)}, ${words.stakeWhy[s.why]}`,
      f.small(s.downMm),
    ]),
  ];
}

/** The parts of one mould with their sizes. */
export const partRows = (mould: NonNullable<ElementBuildReport['mould']>, f: Formats): [string, string][] =>
  mould.parts.map((p) => [
    `${mouldParts[p.part]}${p.count > 1 ? ` × ${String(p.count)}` : ''}`,
    `${f.smallM(p.alongM)} × ${f.smallM(p.acrossM)}`,
  ]);
