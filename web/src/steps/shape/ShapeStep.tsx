import { Button, Group, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  api,
  type ElementDocument,
  type ElementKind,
  type ElementReport,
  type Meets,
} from '../../api/client';
import { Amount } from '../../fields/Amount';
import { ElementPick } from '../../fields/ElementPick';
import { grade, number, type Formats } from '../../format/format';
import { Notes } from '../../fields/Notes';
import { Pick } from '../../common/Pick';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import {
  beds,
  castParts,
  elementKinds,
  fall as fallWords,
  fields,
  finishes,
  joints as jointWords,
  meets,
  pours as pourWords,
  shape as words,
  startKinds,
  steps,
} from '../../words';
import { PlanDrawing } from '../../drawing/PlanDrawing';
import { SectionDrawing } from '../../drawing/SectionDrawing';
import { useChosenElement, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { freshId, withoutElement } from '../../job/pours';
import { MixOf } from '../../fields/MixOf';
import type { ElementPointer } from '../../job/pointer';
import { setEdge } from './edges';
import { jointsOf } from './jointsOf';
import { KindFields } from './KindFields';
import { PourDays } from './PourDays';
import classes from './ShapeStep.module.css';

const order: Meets[] = ['form', 'wall', 'oldSlab', 'earlierPanel', 'open'];

function sentenceOf(kind: ElementKind, drawn: ElementReport, f: Formats): string {
  const [net, ready] = [f.bulk(drawn.netL), f.bulk(drawn.orderL)];
  const waste = `${number(drawn.wastePercent, 1)} %`;
  const what = elementKinds[kind].toLowerCase();
  if (drawn.count > 1)
    return words.pieces(number(drawn.count), drawn.name, net, ready, f.mass(drawn.pieceKg));
  if (drawn.stretches !== null) return words.path(f.length(drawn.perimeterM), what, net, ready, waste);
  if (kind === 'counter' || kind === 'footing')
    return words.one(drawn.name, net, ready, f.mass(drawn.pieceKg));
  return words.sentence(f.area(drawn.areaM2), f.small(drawn.thicknessMm), net, ready, waste);
}

function useSentence(): string {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const shape = sections.shape;
  const [only, ...others] = shape?.elements ?? [];
  const kind = document.elements[0]?.kind;
  if (!shape || !only || !kind) return words.blocked;
  return others.length > 0
    ? words.many(
        shape.elements.length,
        format.area(shape.areaM2),
        format.bulk(shape.netL),
        format.bulk(shape.orderL),
      )
    : sentenceOf(kind, only, format);
}

function figuresOf(drawn: ElementReport, path: ElementPointer, f: Formats): Figure[] {
  const lowest = Math.max(0, ...(drawn.fall?.cornersMm ?? []));
  const parts = drawn.parts.map((p) => `${castParts[p.part]} ${f.bulk(p.litres)}`).join(', ');
  return [
    { label: words.order, value: f.bulk(drawn.orderL), lead: true, why: { code: 'orderVolume', of: path } },
    {
      label: words.net,
      value: f.bulk(drawn.netL),
      note: drawn.parts.length > 1 ? words.partsNote(parts) : undefined,
      why: { code: 'netVolume', of: path },
    },
    drawn.stretches === null
      ? { label: words.area, value: f.area(drawn.areaM2), why: { code: 'area', of: path } }
      : { label: words.length, value: f.length(drawn.perimeterM), why: { code: 'pathLength', of: path } },
    ...(drawn.stretches === null && drawn.joints.panels.length < 2
      ? [
          {
            label: words.perimeter,
            value: f.length(drawn.perimeterM),
            why: { code: 'perimeter' as const, of: path },
          },
        ]
      : []),
    ...(drawn.joints.spacingM > 0
      ? [
          {
            label: jointWords.panels,
            value: number(
              drawn.stretches === null ? drawn.joints.panels.length : drawn.joints.cuts.length + 1,
            ),
            note: jointWords.panelsNote(f.length(drawn.joints.spacingM)),
            why: { code: 'panels' as const, of: path },
          },
        ]
      : []),
    ...(lowest > 0.5
      ? [
          {
            label: words.fallFigure,
            value: words.below(f.small(lowest)),
            note: `${grade(drawn.fall?.percent ?? 0)}${drawn.fall?.copied ? `, ${fallWords.copied}` : ''}`,
            why: { code: 'fall' as const, of: path },
          },
        ]
      : []),
    ...(drawn.misfitMm > 0.5 ? [{ label: words.misfit, value: f.small(drawn.misfitMm) }] : []),
  ];
}

const idIn = (elements: ElementDocument[]) =>
  freshId(
    'element',
    elements.map((e) => e.id),
  );

/** Adds an element of a kind, copies or removes the one shown. */
function ElementTools({ at }: { at: number }) {
  const document = useDocument();
  const { edit } = useEditing();
  const [, choose] = useChosenElement();
  const { units } = document;
  const fresh = api.useQuery('get', '/api/kinds', { params: { query: { units } } }, { staleTime: Infinity });
  const count = document.elements.length;
  const put = (change: (elements: ElementDocument[]) => ElementDocument[], show: number) => {
    edit(null, (job) => ({ ...job, elements: change(job.elements) }));
    choose(show);
  };
  return (
    <Group gap="xs" className={classes.more}>
      <NativeSelect
        size="xs"
        style={{ flex: '1 1 120px' }}
        aria-label={fields.kind}
        value=""
        data={[
          { value: '', label: fields.addElement },
          ...Object.entries(startKinds).map(([value, label]) => ({ value, label })),
        ]}
        onChange={(e) => {
          const kind = e.currentTarget.value;
          const first = fresh.data?.find((k) => k.kind === kind);
          if (!first) return;
          put(
            (elements) => [
              ...elements,
              { ...first.element, name: startKinds[first.kind], id: idIn(elements) },
            ],
            count,
          );
        }}
      />
      <Button
        size="compact-sm"
        variant="default"
        onClick={() => {
          put(
            (elements) =>
              elements.flatMap((e, i) =>
                i === at ? [e, { ...e, id: idIn(elements), name: fields.copyOf(e.name) }] : [e],
              ),
            at + 1,
          );
        }}
      >
        {fields.copyElement}
      </Button>
      {count > 1 && (
        <Button
          size="compact-sm"
          variant="subtle"
          onClick={() => {
            edit(null, (job) => withoutElement(job, at));
            choose(Math.max(0, at - 1));
          }}
        >
          {fields.removeElement}
        </Button>
      )}
    </Group>
  );
}

function NameField({ kind, name, path }: { kind: ElementKind; name: string; path: ElementPointer }) {
  const { set } = useEditing();
  return (
    <TextInput
      size="sm"
      label={`${fields.name}: ${elementKinds[kind].toLowerCase()}`}
      value={name}
      maxLength={80}
      onChange={(e) => {
        set(`${path}/name`, e.currentTarget.value);
      }}
    />
  );
}

/** What all kinds have in common, after their own fields. */
function CommonFields({
  element,
  path,
  drawn,
}: {
  element: ElementDocument;
  path: ElementPointer;
  drawn: ElementReport | undefined;
}) {
  const { set } = useEditing();
  return (
    <Group gap="xs" align="flex-start">
      <Pick
        label={fields.finish}
        value={element.finish}
        of={finishes}
        onPick={(v) => {
          set(`${path}/finish`, v);
        }}
      />
      {element.finish === 'groundLater' && (
        <>
          <Amount
            at={`${path}/grind/from`}
            value={element.grind?.from}
            label={fields.grindFrom}
            optional
            placeholder={fields.usual}
          />
          <Amount
            at={`${path}/grind/to`}
            value={element.grind?.to}
            label={fields.grindTo}
            optional
            placeholder={fields.usual}
          />
        </>
      )}
      <Pick
        label={fields.bed}
        value={element.bed}
        of={beds}
        onPick={(v) => {
          set(`${path}/bed`, v);
        }}
      />
      <Amount
        at={`${path}/wastePercent`}
        value={element.wastePercent}
        label={fields.waste}
        optional
        placeholder={drawn ? number(drawn.wastePercent, 1) : ''}
      />
      <MixOf at={`${path}/mix`} label={pourWords.mixOf} value={element.mix} />
    </Group>
  );
}

export function ShapeStep() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format, set } = useEditing();
  const [at] = useChosenElement();
  const sentence = useSentence();
  const element = document.elements[at];
  const drawn = sections.shape?.elements.find((e) => e.index === at);
  const built = sections.build?.elements.find((e) => e.index === at);
  const path = `/elements/${at}` as const;
  const [pick, setPick] = useState<{ at: number; panel: number } | null>(null);
  const picked = pick?.at === at ? pick.panel : null;
  const edges = element && 'edges' in element ? element.edges : null;
  const turnOver = (edge: number) => {
    const now = edges?.[edge]?.meets ?? 'form';
    if (edges)
      set(
        `${path}/edges`,
        setEdge(edges, edge, { meets: order[(order.indexOf(now) + 1) % order.length] ?? 'form' }),
      );
  };
  const moveJoint = (line: number, atM: number) => {
    if (!drawn) return;
    const moved = jointsOf(drawn, format).map((j, i) => (i === line ? { ...j, at: format.typed(atM) } : j));
    set(`${path}/joints`, moved);
  };

  return (
    <StepLayout
      title={steps.shape}
      sentence={sentence}
      drawing={
        drawn ? (
          <div className={classes.drawings} data-tall data-long={drawn.stretches !== null}>
            <PlanDrawing
              element={drawn}
              format={format}
              onEdge={edges ? turnOver : undefined}
              onJoint={moveJoint}
              pickedPanel={picked}
              onPanel={(panel) => {
                setPick(picked === panel ? null : { at, panel });
              }}
            />
            <SectionDrawing element={drawn} built={built} format={format} />
          </div>
        ) : null
      }
      figures={drawn ? figuresOf(drawn, path, format) : []}
      notes={<Notes under={['/elements', '/pours']} only={['error', 'warning']} not={['forms', 'steel']} />}
      controls={
        element && (
          <>
            <ElementPick />
            <NameField kind={element.kind} name={element.name} path={path} />
            <KindFields key={`${element.kind}${String(at)}`} element={element} path={path} />
            <CommonFields element={element} path={path} drawn={drawn} />
            <PourDays at={at} panels={drawn?.joints.panels.length ?? 0} picked={picked} />
            <ElementTools at={at} />
            {edges && (
              <p className={classes.hint}>
                {words.legend} ({order.map((m) => meets[m]).join(', ')})
              </p>
            )}
            <Notes under={['/elements']} only={['note', 'caution']} not={['forms', 'steel']} />
          </>
        )
      }
    />
  );
}
