import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { BuildReport, ElementBuildReport } from '../../api/client';
import { boardName } from '../../common/boardName';
import { ElementPick } from '../../fields/ElementPick';
import { number, type Formats } from '../../format/format';
import { Notes } from '../../fields/Notes';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { build as words, steps } from '../../words';
import { BuildDrawing } from '../../drawing/BuildDrawing';
import { CutDrawing } from '../../drawing/CutDrawing';
import { MouldDrawing } from '../../drawing/MouldDrawing';
import { SectionDrawing } from '../../drawing/SectionDrawing';
import { useChosenElement, useEditing, usePlanned } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { BuildControls } from './BuildControls';
import classes from './BuildStep.module.css';
import { BuildLists } from './BuildLists';
import { Inspections } from './Inspections';
import { steelText } from './steelText';

type View = keyof typeof words.views;

function sentenceOf(build: BuildReport | null, element: ElementBuildReport | undefined, f: Formats): string {
  if (!build || !element) return words.blocked;
  const { mould, forms, dig } = element;
  const boards = build.boardCount;
  const bends = forms?.bendsM ?? 0;
  const first = mould
    ? words.moulds(mould.moulds, mould.sheets) +
      (mould.castings.length > 0
        ? words.castings(mould.castings.length, number(mould.castings.at(-1)?.stripDay ?? 0, 1))
        : '')
    : dig
      ? (dig.bankM3 > 0 ? words.digs(f.small(dig.depthMm), f.bulkM3(dig.spoilM3)) : words.nothingToDig) +
        (dig.baseMm > 0 ? words.base(f.small(dig.baseMm), f.mass(dig.baseKg)) : '')
      : words.nothingToDig;
  const wood =
    (boards > 0
      ? words.boards(boards, build.boards.map((b) => boardName(b.stock)).join(', '), build.stakes)
      : '') + (bends > 0 ? words.strips(f.length(bends)) : '');
  return first + wood + words.steel(steelText(element.steel, f));
}

function steelFigure(element: ElementBuildReport, path: ElementPointer, f: Formats): Figure[] {
  const { steel } = element;
  switch (steel.school) {
    case 'mesh':
      return [{ label: words.mesh, value: number(steel.sheetCount), why: { code: 'meshSheets', of: path } }];
    case 'barGrid':
    case 'twoRows':
      return [
        {
          label: words.steelFigure,
          value: f.mass(steel.kg),
          note: f.length(steel.barM),
          why: { code: 'steelBars', of: path },
        },
      ];
    case 'fibre':
      return [{ label: words.fibreFigure, value: f.mass(steel.kg), why: { code: 'fibreDose', of: path } }];
    case 'scrim':
      return [{ label: words.scrimFigure, value: f.area(steel.scrimM2), why: { code: 'scrim', of: path } }];
    case 'none':
      return [];
    default:
      return steel.school satisfies never;
  }
}

function figuresOf(
  build: BuildReport,
  element: ElementBuildReport,
  path: ElementPointer,
  f: Formats,
): Figure[] {
  const { dig } = build;
  const bendsM = element.forms?.bendsM ?? 0;
  return [
    ...(dig
      ? [
          {
            label: words.dig,
            value: f.bulkM3(dig.bankM3),
            lead: true,
            why: { code: 'excavation' as const },
          },
          {
            label: words.spoil,
            value: f.bulkM3(dig.spoilM3),
            ...(dig.backM3 > 0 ? { note: words.goesBack(f.bulkM3(dig.backM3)) } : {}),
            why: { code: 'spoil' as const },
          },
        ]
      : []),
    ...(dig && dig.baseKg > 0
      ? [
          {
            label: words.stone,
            value: f.mass(dig.baseKg),
            note: words.lifts(dig.lifts),
            why: { code: 'baseStone' as const },
          },
        ]
      : []),
    ...build.boards.map((l) => ({
      label: words.boardsFigure(boardName(l.stock)),
      value: number(l.count),
      note: f.length(l.stockM),
      why: { code: 'boards' as const, of: l.stock },
    })),
    ...(build.stakes > 0
      ? [{ label: words.stakes, value: number(build.stakes), why: { code: 'stakes' as const } }]
      : []),
    ...(bendsM > 0
      ? [
          {
            label: words.bends,
            value: f.length(bendsM),
            why: { code: 'bends' as const, of: path },
          },
        ]
      : []),
    ...(element.mould
      ? [
          {
            label: words.sheets,
            value: number(element.mould.sheets),
            why: { code: 'mouldSheets' as const, of: path },
          },
          ...(element.mould.castings.length > 0
            ? [
                {
                  label: words.castingsFigure,
                  value: number(element.mould.castings.length),
                  why: { code: 'castings' as const, of: path },
                },
              ]
            : []),
        ]
      : []),
    ...steelFigure(element, path, f),
  ];
}

const viewsOf = (build: BuildReport, element: ElementBuildReport): View[] => [
  ...(element.mould ? (['mould'] as const) : (['setOut'] as const)),
  ...(element.steel.sheets.length + element.steel.bars.length > 0 ? (['steel'] as const) : []),
  ...(build.boards.length + build.bars.length > 0 ? (['cuts'] as const) : []),
];

export function BuildStep() {
  const { sections } = usePlanned();
  const { format } = useEditing();
  const [at] = useChosenElement();
  const [wanted, setWanted] = useState<View>('setOut');
  const build = sections.build;
  const element = build?.elements.find((e) => e.index === at);
  const drawn = sections.shape?.elements.find((e) => e.index === at);
  const path = `/elements/${at}` as const;
  const views = build && element ? viewsOf(build, element) : [];
  const view = views.includes(wanted) ? wanted : views[0];

  const drawing = build && element && drawn && view && (
    <div
      className={classes.drawing}
      data-tall
      data-cuts={view === 'cuts'}
      data-long={drawn.stretches !== null}
    >
      <SegmentedControl
        size="xs"
        className={classes.views}
        aria-label={words.viewLabel}
        value={view}
        data={views.map((v) => ({ value: v, label: words.views[v] }))}
        onChange={(v) => {
          setWanted(v);
        }}
      />
      {view === 'cuts' ? (
        <CutDrawing lists={[...build.boards, ...build.bars]} format={format} />
      ) : (
        <>
          {view === 'mould' ? (
            element.mould && <MouldDrawing element={drawn} mould={element.mould} format={format} />
          ) : (
            <BuildDrawing element={drawn} built={element} steel={view === 'steel'} format={format} />
          )}
          {view === 'steel' && element.steel.notDrawn > 0 && (
            <p>{words.notDrawn(number(element.steel.notDrawn))}</p>
          )}
          <SectionDrawing element={drawn} built={element} format={format} />
        </>
      )}
    </div>
  );

  return (
    <StepLayout
      title={steps.build}
      sentence={sentenceOf(build, element, format)}
      drawing={drawing}
      figures={build && element ? figuresOf(build, element, path, format) : []}
      notes={
        <Notes under={['/build', `${path}/forms`, `${path}/steel`]} only={['error', 'warning', 'note']} />
      }
      controls={
        <>
          <ElementPick />
          <BuildControls path={path} element={element} />
          {build && element && <BuildLists build={build} element={element} drawn={drawn} />}
          {build && <Inspections wanted={build.inspections} />}
        </>
      }
    />
  );
}
