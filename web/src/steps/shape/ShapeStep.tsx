import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Meets, SlabDocument } from '../../api/client';
import { PlanDrawing } from '../../drawing/PlanDrawing';
import { useJobContext } from '../../job/JobContext';
import { Amount } from '../../common/Amount';
import { number } from '../../common/format';
import { Notes } from '../../common/Notes';
import { Pick } from '../../common/Pick';
import { Said } from '../../common/Said';
import { StepLayout, type Figure } from '../../common/StepLayout';
import { beds, fields, finishes, meets, shape as words, steps } from '../../common/words';
import { Edges } from './Edges';
import { Openings } from './Openings';
import classes from './ShapeStep.module.css';

const order: Meets[] = ['form', 'wall', 'oldSlab', 'earlierPanel', 'open'];

const newSlab = (like: SlabDocument, name: string): SlabDocument => ({
  ...like,
  name,
  openings: [],
  edges: like.edges.map((e) => ({ ...e, meets: 'form' })),
});

function useSentence(): string {
  const { sections, format } = useJobContext();
  const shape = sections.shape;
  const [only, ...others] = shape?.elements ?? [];
  if (!shape || !only) return words.blocked;
  if (others.length > 0) {
    return words.many(
      shape.elements.length,
      format.area(shape.areaM2),
      format.bulk(shape.netL),
      format.bulk(shape.orderL),
    );
  }
  return words.sentence(
    format.area(only.areaM2),
    format.small(only.thicknessMm),
    format.bulk(only.netL),
    format.bulk(only.orderL),
    `${number(only.wastePercent, 1)} %`,
  );
}

export function ShapeStep() {
  const { document, sections, format, set, edit } = useJobContext();
  const [index, setIndex] = useState(0);
  const sentence = useSentence();
  const at = Math.min(index, document.elements.length - 1);
  const slab = document.elements[at];
  const drawn = sections.shape?.elements[at];
  const path = `/elements/${String(at)}`;

  const figures: Figure[] = drawn
    ? [
        {
          label: words.order,
          value: format.bulk(drawn.orderL),
          lead: true,
          why: { code: 'orderVolume', of: path },
        },
        { label: words.net, value: format.bulk(drawn.netL), why: { code: 'netVolume', of: path } },
        { label: words.area, value: format.area(drawn.areaM2), why: { code: 'area', of: path } },
        {
          label: words.perimeter,
          value: format.length(drawn.perimeterM),
          why: { code: 'perimeter', of: path },
        },
        ...(drawn.misfitMm > 0.5 ? [{ label: words.misfit, value: format.small(drawn.misfitMm) }] : []),
      ]
    : [];

  const add = (like: SlabDocument) => {
    const name = `${fields.element} ${String(document.elements.length + 1)}`;
    edit('/elements', { ...document, elements: [...document.elements, newSlab(like, name)] });
    setIndex(document.elements.length);
  };
  const remove = () => {
    edit('/elements', { ...document, elements: document.elements.filter((_, i) => i !== at) });
    setIndex(Math.max(0, at - 1));
  };
  const turnOver = (edge: number) => {
    const now = slab?.edges[edge]?.meets;
    if (now !== undefined)
      set(`${path}/edges/${String(edge)}/meets`, order[(order.indexOf(now) + 1) % order.length]);
  };

  return (
    <StepLayout
      title={steps.shape}
      sentence={sentence}
      drawing={drawn ? <PlanDrawing slab={drawn} format={format} onEdge={turnOver} /> : null}
      figures={figures}
      notes={<Notes under={['/elements']} only={['error', 'warning']} />}
      controls={
        slab && (
          <>
            {document.elements.length > 1 && (
              <Pick
                label={fields.element}
                value={String(at)}
                of={Object.fromEntries(document.elements.map((e, i) => [String(i), e.name]))}
                onPick={(v) => {
                  setIndex(Number(v));
                }}
              />
            )}
            <Group gap="xs" align="flex-start">
              <TextInput
                size="sm"
                style={{ flex: '1 1 120px', minWidth: 0 }}
                label={fields.name}
                value={slab.name}
                maxLength={80}
                onChange={(e) => {
                  set(`${path}/name`, e.currentTarget.value);
                }}
              />
              <Said at={`${path}/thickness`} value={slab.thickness} label={fields.thickness} small />
            </Group>
            <Edges slab={slab} path={path} drawn={drawn} />
            <Group gap="xs" align="flex-start">
              <Pick
                label={fields.finish}
                value={slab.finish}
                of={finishes}
                onPick={(v) => {
                  set(`${path}/finish`, v);
                }}
              />
              <Pick
                label={fields.bed}
                value={slab.bed}
                of={beds}
                onPick={(v) => {
                  set(`${path}/bed`, v);
                }}
              />
              <Amount
                at={`${path}/wastePercent`}
                value={slab.wastePercent}
                label={fields.waste}
                optional
                placeholder={drawn ? number(drawn.wastePercent, 1) : ''}
              />
            </Group>
            <Openings slab={slab} path={path} />
            <Group gap="xs" className={classes.more}>
              <Button
                size="compact-sm"
                variant="default"
                onClick={() => {
                  add(slab);
                }}
              >
                {fields.addElement}
              </Button>
              {document.elements.length > 1 && (
                <Button size="compact-sm" variant="subtle" onClick={remove}>
                  {fields.removeElement}
                </Button>
              )}
            </Group>
            <p className={classes.hint}>
              {words.legend} ({order.map((m) => meets[m]).join(', ')})
            </p>
            <Notes under={['/elements']} only={['caution']} />
          </>
        )
      }
    />
  );
}
