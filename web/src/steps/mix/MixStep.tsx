import { Group, SegmentedControl } from '@mantine/core';
import { api, type Bag, type MixDocument, type PlanReport } from '../../api/client';
import { WaterLadder } from '../../drawing/WaterLadder';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { Amount } from '../../common/Amount';
import { number, quarters, type Formats } from '../../common/format';
import { Notes } from '../../common/Notes';
import { Pick } from '../../common/Pick';
import { Said } from '../../common/Said';
import { StepLayout, type Figure } from '../../common/StepLayout';
import {
  bagKinds,
  consistencies,
  consistencyTests,
  exposures,
  fields,
  mix as words,
  moistures,
  steps,
} from '../../common/words';
import classes from './MixStep.module.css';

type Mix = NonNullable<PlanReport['mix']>;

const bagName = (bag: Bag, format: Formats) => `${bagKinds[bag.kind]}, ${format.mass(bag.massKg)}`;

function sentenceOf(mix: Mix | null, bags: Bag[], format: Formats): string {
  if (mix === null) return words.blocked;
  const strength = format.strength(mix.f28Mpa);
  if (mix.bagged) {
    const bag = bags.find((b) => b.id === mix.bagged?.bag);
    const name = bag ? bagName(bag, format).toLowerCase() : '';
    return words.bagged(number(mix.bagged.count), name, format.litres(mix.bagged.waterL), strength);
  }
  const p = mix.parts;
  return p
    ? words.parts(
        quarters(p.cement.buckets),
        quarters(p.sand.buckets),
        quarters(p.stone.buckets),
        format.litres(p.waterL),
        strength,
      )
    : words.blocked;
}

function figuresOf(mix: Mix, format: Formats): Figure[] {
  const { bagged, parts } = mix;
  const setting: Figure[] = [
    {
      label: words.strength,
      value: format.strength(mix.f28Mpa),
      lead: true,
      why: { code: bagged ? 'bagStrength' : 'partsStrength' },
    },
    {
      label: words.waterCement,
      value: mix.waterCement === null ? words.notTold : number(mix.waterCement, 2),
      why: { code: 'waterCement' },
    },
    { label: words.setsIn, value: `${number(mix.initialSetH, 1)} h`, why: { code: 'initialSet' } },
  ];
  if (bagged) {
    return [
      { label: words.bags, value: number(bagged.count), why: { code: 'bags' } },
      { label: words.weight, value: format.mass(bagged.totalKg), why: { code: 'bagsMass' } },
      { label: words.water, value: format.litres(bagged.waterL * bagged.count), why: { code: 'bagWater' } },
      ...setting,
    ];
  }
  if (!parts) return setting;
  return [
    {
      label: fields.cement,
      value: words.buckets(quarters(parts.cement.buckets)),
      note: words.cementBags(parts.cementBags25),
      why: { code: 'partsCement' },
    },
    {
      label: fields.sand,
      value: words.buckets(quarters(parts.sand.buckets)),
      note: format.mass(parts.sand.kg),
      why: { code: 'partsSand' },
    },
    {
      label: fields.stone,
      value: words.buckets(quarters(parts.stone.buckets)),
      note: format.mass(parts.stone.kg),
      why: { code: 'partsStone' },
    },
    { label: words.water, value: format.litres(parts.waterL), why: { code: 'partsWater' } },
    ...setting,
  ];
}

function Ladder({ mix }: { mix: Mix }) {
  const { format } = useEditing();
  const { bagged, parts } = mix;
  return (
    <WaterLadder
      rungs={mix.ladder}
      planned={{ waterL: bagged?.waterL ?? parts?.waterPerBucketL ?? 0, mpa: mix.f28Mpa }}
      range={bagged ? { leastL: bagged.leastWaterL, mostL: bagged.mostWaterL } : null}
      to={bagged ? words.toABag : words.toABucket}
      format={format}
    />
  );
}

function BagFields({ mix, bags }: { mix: Extract<MixDocument, { kind: 'bagged' }>; bags: Bag[] }) {
  const { set, format } = useEditing();
  return (
    <Group gap="xs" align="flex-start">
      <Pick
        label={fields.bag}
        value={mix.bag}
        of={Object.fromEntries(bags.map((b) => [b.id, bagName(b, format)]))}
        onPick={(v) => {
          set('/mix/bag', v);
        }}
      />
      <Said
        at="/mix/waterPerBag"
        value={mix.waterPerBag}
        label={fields.waterPerBag}
        ifEmpty={fields.middle}
      />
    </Group>
  );
}

/** Sizes that stone is sold in, mm. */
const STONES = [10, 12.5, 20, 25];

function PartsFields({ mix }: { mix: Extract<MixDocument, { kind: 'parts' }> }) {
  const { set, format } = useEditing();
  const stones = [...new Set([...STONES, mix.stoneMm])].sort((a, b) => a - b);
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Amount at="/mix/cement" value={mix.cement} label={fields.cement} step={0.5} />
        <Amount at="/mix/sand" value={mix.sand} label={fields.sand} step={0.5} />
        <Amount at="/mix/stone" value={mix.stone} label={fields.stone} step={0.5} />
      </Group>
      <Group gap="xs" align="flex-start">
        <Pick
          label={fields.stoneMm}
          value={String(mix.stoneMm)}
          of={Object.fromEntries(stones.map((mm) => [String(mm), format.small(mm)]))}
          onPick={(v) => {
            set('/mix/stoneMm', Number(v));
          }}
        />
        <Pick
          label={fields.consistency}
          value={mix.consistency}
          of={consistencies}
          onPick={(v) => {
            set('/mix/consistency', v);
          }}
        />
        <Pick
          label={fields.moisture}
          value={mix.moisture}
          of={moistures}
          onPick={(v) => {
            set('/mix/moisture', v);
          }}
        />
      </Group>
      <p className={classes.hint}>{consistencyTests[mix.consistency]}</p>
    </>
  );
}

export function MixStep() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format, set } = useEditing();
  const { data: bags = [] } = api.useQuery('get', '/api/bags', {}, { staleTime: Infinity });
  const { mix } = document;
  const choose = (kind: MixDocument['kind']) => {
    if (kind === mix.kind) return;
    const common = { exposure: mix.exposure, bucket: mix.bucket };
    set(
      '/mix',
      kind === 'bagged'
        ? {
            kind,
            ...common,
            bag: bags.find((b) => b.defaultIn === document.units)?.id ?? bags[0]?.id ?? '',
            waterPerBag: '',
          }
        : {
            kind,
            ...common,
            cement: 1,
            sand: 2,
            stone: 3,
            stoneMm: 20,
            consistency: 'plastic',
            moisture: 'damp',
          },
    );
  };
  return (
    <StepLayout
      title={steps.mix}
      sentence={sentenceOf(sections.mix, bags, format)}
      drawing={sections.mix && <Ladder mix={sections.mix} />}
      figures={sections.mix ? figuresOf(sections.mix, format) : []}
      notes={<Notes under={['/mix']} only={['error', 'warning', 'note']} />}
      controls={
        <>
          <SegmentedControl
            fullWidth
            aria-label={fields.mixKind}
            value={mix.kind}
            data={[
              { value: 'bagged', label: fields.bagged },
              { value: 'parts', label: fields.parts },
            ]}
            onChange={(v) => {
              choose(v);
            }}
          />
          {mix.kind === 'bagged' ? <BagFields mix={mix} bags={bags} /> : <PartsFields mix={mix} />}
          <Group gap="xs" align="flex-start">
            <Said at="/mix/bucket" value={mix.bucket} label={fields.bucket} />
            <Pick
              label={fields.exposure}
              value={mix.exposure}
              of={exposures}
              onPick={(v) => {
                set('/mix/exposure', v);
              }}
            />
          </Group>
          <Notes under={['/mix']} only={['caution']} />
        </>
      }
    />
  );
}
