import type { BuildReport, ElementBuildReport, ElementReport } from '../../api/client';
import { boardName } from '../../common/boardName';
import { cutRows, heights, partRows } from '../../common/buildRows';
import { number, type Formats } from '../../format/format';
import { build as words, joints, strips, verdicts } from '../../words';
import { useEditing } from '../../job/JobContext';
import classes from './BuildStep.module.css';

function Rows({ title, rows, note }: { title: string; rows: [string, string][]; note?: string | undefined }) {
  if (rows.length === 0) return null;
  return (
    <details className={classes.list}>
      <summary>
        {title} <small>({rows.length})</small>
      </summary>
      {note && <p className={classes.hint}>{note}</p>}
      <dl>
        {rows.map(([what, value], i) => (
          <div key={i}>
            <dt>{what}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

function extras(build: BuildReport, element: ElementBuildReport, f: Formats): [string, string][] {
  const { forms, steel, mould } = element;
  const rows: [string, string, boolean][] = [
    [words.isolation, f.length(element.isolationM), element.isolationM > 0],
    [words.bondBreaker, f.length(element.bondBreakerM), element.bondBreakerM > 0],
    [words.nails, words.nailed(forms?.stakes.length ?? 0), forms?.nailed ?? false],
    [
      words.rip,
      words.ripped(
        f.small(forms?.rip?.faceMm ?? 0),
        number(forms?.rip?.degrees ?? 0, 1),
        forms?.rip?.faces ?? 1,
      ),
      (forms?.rip?.degrees ?? 0) !== 0,
    ],
    [
      words.caps,
      words.cap(
        f.small(forms?.rip?.capBaseMm ?? 0),
        f.small(forms?.rip?.capTopMm ?? 0),
        f.small(forms?.rip?.capMm ?? 0),
      ),
      forms?.rip != null,
    ],
    [words.splices, number(forms?.splices ?? 0), (forms?.splices ?? 0) > 0],
    [words.tiesAcross, number(forms?.ties ?? 0), (forms?.ties ?? 0) > 0],
    [
      words.steelGroup,
      [words.lap(f.smallM(steel.lapM)), words.cover(f.small(steel.coverMm))].join(', '),
      steel.lapM > 0,
    ],
    [
      '',
      [
        words.chairs(steel.chairs),
        words.ties(steel.ties),
        ...(steel.crossPieces > 0 ? [words.crossPieces(steel.crossPieces)] : []),
      ].join(', '),
      steel.chairs > 0,
    ],
    [words.screws, number(mould?.screws ?? 0), mould !== null],
    [
      words.seams,
      `${f.length(mould?.seamM ?? 0)}, ${words.cartridges(mould?.cartridges ?? 0)}`,
      mould !== null,
    ],
    [
      words.sheetsTogether,
      build.sheets
        .map((s) => words.sheetsOf(s.count, f.small(s.thicknessMm)))
        .concat(words.cartridges(build.cartridges))
        .join(', '),
      mould !== null && build.elements.filter((e) => e.mould).length > 1,
    ],
    [
      words.meshTogether,
      number(build.meshSheets),
      build.meshSheets > 0 && build.elements.filter((e) => e.steel.sheetCount > 0).length > 1,
    ],
    [words.strip, f.length(mould?.stripM ?? 0), (mould?.stripM ?? 0) > 0],
  ];
  return rows.filter(([, , shown]) => shown).map(([what, value]) => [what, value]);
}

/** What is written on a piece of wood and taken along: heights, diagonals, cuts, parts, days. */
export function BuildLists({
  build,
  element,
  drawn,
}: {
  build: BuildReport;
  element: ElementBuildReport;
  drawn: ElementReport | undefined;
}) {
  const { format: f } = useEditing();
  const { mould, forms } = element;
  return (
    <div>
      <dl className={classes.extras}>
        {extras(build, element, f).map(([what, value], i) => (
          <div key={i}>
            <dt>{what}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <Rows title={words.down} rows={heights(element, f)} note={words.stringHint} />
      <Rows
        title={words.diagonals}
        rows={element.diagonals.map((d) => [words.diagonal(d.from + 1, d.to + 1), f.length(d.lengthM)])}
      />
      {[...build.boards, ...build.bars].map((list) => (
        <Rows
          key={list.stock}
          title={words.cutList(boardName(list.stock))}
          rows={cutRows(list, f)}
          note={words.cutVerdict(list.count, list.lowerBound, verdicts[list.verdict])}
        />
      ))}
      <Rows
        title={words.bendsTitle}
        rows={(forms?.bends ?? mould?.bends ?? []).map((b) => [
          joints.edge(b.edge + 1),
          words.bend(
            b.edge + 1,
            f.length(b.radiusM),
            f.length(b.cutM),
            `${f.small(b.thicknessMm)} ${strips[b.strip]}`,
          ),
        ])}
      />
      {mould && (
        <Rows
          title={words.parts}
          rows={partRows(mould, f)}
          note={mould.mirrored ? words.mirrored : undefined}
        />
      )}
      {drawn && (
        <Rows
          title={words.inserts}
          rows={drawn.inserts.map((i) => [
            i.name,
            [
              words.insertAt(f.smallM(i.centre.x), f.smallM(Math.abs(i.centre.y))),
              words.slot(f.smallM(i.widthM), f.smallM(i.depthM), f.small(i.outMm)),
              words.overAll(f.small(i.overAllMm)),
            ].join('; '),
          ])}
        />
      )}
      {mould && (
        <Rows
          title={words.calendar}
          rows={mould.castings.map((c) => [
            words.casting(c.number, c.pieces),
            words.castDay(number(c.castDay, 1), number(c.stripDay, 1)),
          ])}
        />
      )}
    </div>
  );
}
