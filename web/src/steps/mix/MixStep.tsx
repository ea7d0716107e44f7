import { Group, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import {
  api,
  type Bag,
  type BuyDocument,
  type MixDocument,
  type PlanReport,
  type Way,
} from '../../api/client';
import { batchSize } from '../../common/batchSize';
import { fixed, number, quarters, type Formats } from '../../common/format';
import { bagName } from '../../common/goodName';
import { Notes } from '../../common/Notes';
import { Pick } from '../../common/Pick';
import { StepLayout, type Figure } from '../../common/StepLayout';
import { Views } from '../../common/Views';
import { containers, counted, exposures, fields, steps, things, mix as words } from '../../common/words';
import { BatchDrawing } from '../../drawing/BatchDrawing';
import { FeelLadder } from '../../drawing/FeelLadder';
import { WaterLadder } from '../../drawing/WaterLadder';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { AdditiveFields, BagFields, ContainerFields, PartsFields } from './MixFields';
import { WaysTable } from './WaysTable';

type Mix = NonNullable<PlanReport['mix']>;
type View = keyof typeof words.views;

const dryThings = ['cement', 'sand', 'stone', 'ballast'] as const;

function askedOf(mix: Mix, format: Formats): string {
  const { leastMpa, mostWaterCement, airShare } = mix.demand;
  return words.asked(
    leastMpa > 0 ? format.strength(leastMpa) : null,
    fixed(mostWaterCement, 2),
    airShare > 0 ? format.percent(airShare) : null,
  );
}

function sentenceOf(mix: Mix | null, bags: Bag[], own: BuyDocument['bags'], format: Formats): string {
  if (mix === null) return words.blocked;
  const strength = format.strength(mix.f28Mpa);
  const { bagged, parts } = mix;
  if (bagged) {
    const name = bagName(bagged.bag, bags, own, format);
    return (
      words.bagged(number(bagged.count), name.toLowerCase(), format.litres(bagged.waterL), strength) +
      askedOf(mix, format)
    );
  }
  if (!parts) return words.blocked;
  const dry = dryThings
    .filter((t) => parts[t].kg > 0)
    .map((t) => words.of(counted(quarters(parts[t].containers), parts[t].in), things[t]))
    .join(', ');
  return words.parts(dry, format.litres(parts.waterL), strength) + askedOf(mix, format);
}

const partWhys = {
  cement: 'partsCement',
  sand: 'partsSand',
  stone: 'partsStone',
  ballast: 'partsBallast',
} as const;

function figuresOf(mix: Mix, offPct: number | null, yieldPct: number, format: Formats): Figure[] {
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
    ...dryThings
      .filter((t) => parts[t].kg > 0)
      .map((t) => ({
        label: fields[t],
        value: format.mass(parts[t].kg),
        note: t === 'cement' ? words.cementBags(parts.cementBags25) : undefined,
        why: { code: partWhys[t] },
      })),
    { label: words.water, value: format.litres(parts.waterL), why: { code: 'partsWater' } },
    ...setting,
    ...(offPct === null
      ? []
      : [
          {
            label: words.rounding,
            value: `${offPct > 0 ? '+' : ''}${number(offPct, 1)} %`,
            note: words.roundingNote(`${yieldPct > 0 ? '+' : ''}${number(yieldPct, 1)} %`),
            why: { code: 'rounding' as const },
          },
        ]),
  ];
}

function Water({ mix }: { mix: Mix }) {
  const { format } = useEditing();
  const { bagged, parts } = mix;
  return (
    <WaterLadder
      rungs={mix.ladder}
      planned={{ waterL: bagged?.waterL ?? parts?.waterPerContainerL ?? 0, mpa: mix.f28Mpa }}
      range={bagged ? { leastL: bagged.leastWaterL, mostL: bagged.mostWaterL } : null}
      to={parts ? words.toAContainer(containers[parts.cement.in][0]) : words.toABag}
      format={format}
    />
  );
}

/** The job's mix as another way has it; containers, additives and winter stay. */
function taken(mix: MixDocument, way: Way): MixDocument {
  const { exposure, containers: own } = mix;
  const additives = way.airEntrained ? { ...mix.additives, airEntrainer: 1 } : mix.additives;
  if (way.parts !== null) {
    const { cement, sand, stone, ballast } = way.parts;
    return {
      kind: 'parts',
      exposure,
      containers: own,
      additives,
      cement,
      sand,
      stone,
      ballast,
      stoneMm: way.stoneMm === 0 ? 10 : way.stoneMm,
      consistency: way.consistency ?? 'plastic',
      moisture: mix.kind === 'parts' ? mix.moisture : 'damp',
    };
  }
  return {
    kind: 'bagged',
    exposure,
    containers: own,
    additives: { ...additives, airEntrainer: 0 },
    bag: way.bag ?? '',
    waterPerBag: way.waterPerBag ?? '',
    cementAdded: way.cementAddedPct,
  };
}

export function MixStep() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format, set, edit } = useEditing();
  const [view, setView] = useState<View>('ways');
  const { data: bags = [] } = api.useQuery('get', '/api/bags', {}, { staleTime: Infinity });
  const { mix: said, buy } = document;
  const { mix, load } = sections;
  const recipe = load?.recipes[0];
  const choose = (kind: MixDocument['kind']) => {
    const way =
      mix?.ways.find((w) => w.kind === kind && w.misfits.length === 0) ??
      mix?.ways.find((w) => w.kind === kind);
    if (kind !== said.kind && way) set('/mix', taken(said, way));
  };
  const drawing = mix && (
    <Views label={words.viewsLabel} of={words.views} value={view} onChoose={setView}>
      {view === 'ways' && (
        <WaysTable
          ways={mix.ways}
          leastMpa={mix.demand.leastMpa}
          bags={bags}
          own={buy.bags}
          format={format}
          onTake={(way) => {
            edit(null, (job) => ({ ...job, mix: taken(job.mix, way) }));
          }}
        />
      )}
      {view === 'batch' && recipe && (
        <BatchDrawing recipe={recipe} size={batchSize(recipe)} format={format} />
      )}
      {view === 'water' && <Water mix={mix} />}
      {view === 'feel' && (
        <FeelLadder
          stiffest={mix.demand.stiffest}
          softest={mix.demand.softest}
          chosen={said.kind === 'parts' ? said.consistency : null}
          onChoose={
            said.kind === 'parts'
              ? (c) => {
                  set('/mix/consistency', c);
                }
              : undefined
          }
        />
      )}
    </Views>
  );
  return (
    <StepLayout
      title={steps.mix}
      sentence={sentenceOf(mix, bags, buy.bags, format)}
      drawing={drawing}
      figures={
        mix
          ? figuresOf(
              mix,
              recipe && said.kind === 'parts' ? recipe.waterCementOffPct : null,
              recipe?.yieldOffPct ?? 0,
              format,
            )
          : []
      }
      notes={<Notes under={['/mix']} only={['error', 'warning', 'note']} />}
      controls={
        <>
          <SegmentedControl
            fullWidth
            aria-label={fields.mixKind}
            value={said.kind}
            data={[
              { value: 'bagged', label: fields.bagged },
              { value: 'parts', label: fields.parts },
            ]}
            onChange={(v) => {
              choose(v);
            }}
          />
          {said.kind === 'bagged' ? <BagFields mix={said} bags={bags} /> : <PartsFields mix={said} />}
          <Group>
            <Pick
              label={fields.exposure}
              value={said.exposure}
              of={exposures}
              onPick={(v) => {
                set('/mix/exposure', v);
              }}
            />
          </Group>
          <AdditiveFields mix={said} />
          <ContainerFields mix={said} />
          <Notes under={['/mix']} only={['caution']} />
        </>
      }
    />
  );
}
