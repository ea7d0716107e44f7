import { Button, Group, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { api, type Bag, type BuyDocument, type MixDocument, type MixReport } from '../../api/client';
import { batchSize } from '../../common/batchSize';
import { fixed, number, eighths, type Formats } from '../../format/format';
import { bagName } from '../../common/bagName';
import { mixName } from '../../common/mixName';
import { Notes } from '../../fields/Notes';
import { Pick } from '../../common/Pick';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { Views } from '../../common/Views';
import { containers, counted, exposures, fields, steps, things, mix as words } from '../../words';
import { BatchDrawing } from '../../drawing/BatchDrawing';
import { FeelLadder } from '../../drawing/FeelLadder';
import { WaterLadder } from '../../drawing/WaterLadder';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { AdditiveFields, BagFields, ContainerFields, PartsFields } from './MixFields';
import { newMixId, otherKind, withoutMix } from './mixes';
import { TruckFields } from './TruckFields';
import { WaysTable } from './WaysTable';

type View = keyof typeof words.views;

const dryThings = ['cement', 'sand', 'stone', 'ballast'] as const;

function askedOf(mix: MixReport, format: Formats): string {
  if (mix.demand === null) return '';
  const { leastMpa, mostWaterCement, airShare } = mix.demand;
  return words.asked(
    leastMpa > 0 ? format.strength(leastMpa) : null,
    mostWaterCement === null ? null : fixed(mostWaterCement, 2),
    airShare > 0 ? format.percent(airShare) : null,
  );
}

function sentenceOf(mix: MixReport | null, bags: Bag[], own: BuyDocument['bags'], format: Formats): string {
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
  if (mix.ready)
    return (
      words.ready(format.bulk(mix.ready.orderL), strength, format.small(mix.ready.stoneMm), mix.ready.loads) +
      askedOf(mix, format)
    );
  if (!parts) return words.blocked;
  const dry = dryThings
    .filter((t) => parts[t].kg > 0)
    .map((t) => words.of(counted(eighths(parts[t].containers), parts[t].in), things[t]))
    .join(', ');
  return words.parts(dry, format.litres(parts.waterL), strength) + askedOf(mix, format);
}

const partWhys = {
  cement: 'partsCement',
  sand: 'partsSand',
  stone: 'partsStone',
  ballast: 'partsBallast',
} as const;

function figuresOf(mix: MixReport, offPct: number | null, yieldPct: number, format: Formats): Figure[] {
  const { bagged, parts } = mix;
  const setting: Figure[] = [
    {
      label: words.strength,
      value: format.strength(mix.f28Mpa),
      lead: true,
      why: { code: bagged ? 'bagStrength' : parts ? 'partsStrength' : 'readyStrength' },
    },
    {
      label: words.waterCement,
      value: mix.waterCement === null ? words.notTold : number(mix.waterCement, 2),
      why: { code: 'waterToCement' },
    },
    { label: words.setsIn, value: `${number(mix.initialSetH, 1)} h`, why: { code: 'initialSet' } },
  ];
  if (bagged) {
    return [
      { label: words.bags, value: number(bagged.count), why: { code: 'wholeBags' } },
      { label: words.weight, value: format.mass(bagged.totalKg), why: { code: 'bagsMass' } },
      { label: words.water, value: format.litres(bagged.totalWaterL), why: { code: 'bagWater' } },
      ...setting,
    ];
  }
  if (mix.ready)
    return [
      { label: words.ordered, value: format.bulk(mix.ready.orderL), why: { code: 'truckCost' } },
      { label: words.loads, value: number(mix.ready.loads) },
      ...setting,
      { label: words.slump, value: format.small(mix.ready.slumpMm) },
      { label: words.air, value: `${number(mix.ready.airPct, 1)} %` },
    ];
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

function Water({ mix }: { mix: MixReport }) {
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

/** Which mix of the job is looked at: nothing is seen of it where there is one. */
function MixPick({ of, at, onPick }: { of: string[]; at: number; onPick: (mix: number) => void }) {
  if (of.length < 2) return null;
  return (
    <Pick
      label={words.which}
      value={String(at)}
      of={Object.fromEntries(of.map((name, i) => [String(i), name]))}
      onPick={(v) => {
        onPick(Number(v));
      }}
    />
  );
}

export function MixStep() {
  const document = useDocument();
  const { report, sections } = usePlanned();
  const { format, set, edit } = useEditing();
  const [view, setView] = useState<View>('ways');
  const [picked, setPicked] = useState(0);
  const { data: bags = [] } = api.useQuery('get', '/api/bags', {}, { staleTime: Infinity });
  const { mixes, buy } = document;
  const index = Math.min(picked, mixes.length - 1);
  const said = mixes[index];
  if (!said) throw new Error('a job has a mix');
  const at = `/mixes/${index}` as const;
  const mix = index === 0 ? sections.mix : (report.otherMixes.find((m) => m.index === index) ?? null);
  const { load } = sections;
  const pourMix = report.pours.find((p) => p.id === report.pour)?.mix;
  const recipe = pourMix === said.id ? load?.recipes[0] : undefined;
  const ways = mix?.ways ?? [];
  const choose = (kind: MixDocument['kind']) => {
    if (kind === said.kind) return;
    const way =
      ways.find((w) => w.way.kind === kind && w.way.misfits.length === 0) ??
      ways.find((w) => w.way.kind === kind);
    set(at, way?.takes ?? otherKind(said, kind, document.units));
  };
  const { ways: waysWord, ...otherViews } = words.views;
  const { feel } = otherViews;
  const withoutWays = said.kind === 'ready' ? { feel } : otherViews;
  const views = ways.length === 0 ? withoutWays : { ways: waysWord, ...withoutWays };
  const shown: View =
    view in views ? view : ways.length > 0 ? 'ways' : said.kind === 'ready' ? 'feel' : 'water';
  const drawing = mix && (
    <Views label={words.viewsLabel} of={views as typeof words.views} value={shown} onChoose={setView}>
      {shown === 'ways' && (
        <WaysTable
          ways={ways}
          leastMpa={mix.demand?.leastMpa ?? 0}
          bags={bags}
          own={buy.bags}
          format={format}
          onTake={(takes) => {
            set(at, takes);
          }}
        />
      )}
      {shown === 'batch' && recipe && (
        <BatchDrawing recipe={recipe} size={batchSize(recipe)} format={format} />
      )}
      {shown === 'water' && <Water mix={mix} />}
      {shown === 'feel' && mix.demand && (
        <FeelLadder
          stiffest={mix.demand.stiffest}
          softest={mix.demand.softest}
          chosen={said.kind === 'bagged' ? null : said.consistency}
          onChoose={
            said.kind !== 'bagged'
              ? (c) => {
                  set(`${at}/consistency`, c);
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
      notes={<Notes under={['/mixes']} only={['error', 'warning', 'note']} />}
      controls={
        <>
          <MixPick
            of={mixes.map((m, i) => mixName(m, i, bags, buy.bags, format))}
            at={index}
            onPick={setPicked}
          />
          <SegmentedControl
            fullWidth
            aria-label={fields.mixKind}
            value={said.kind}
            data={[
              { value: 'bagged', label: fields.bagged },
              { value: 'parts', label: fields.parts },
              { value: 'ready', label: fields.ready },
            ]}
            onChange={(v) => {
              choose(v);
            }}
          />
          {said.kind === 'bagged' ? (
            <BagFields at={at} mix={said} bags={bags} />
          ) : said.kind === 'ready' ? (
            <TruckFields at={at} mix={said} />
          ) : (
            <PartsFields at={at} mix={said} />
          )}
          <Group>
            <Pick
              label={fields.exposure}
              value={said.exposure}
              of={exposures}
              onPick={(v) => {
                set(`${at}/exposure`, v);
              }}
            />
          </Group>
          <AdditiveFields at={at} mix={said} />
          {said.kind !== 'ready' && <ContainerFields at={at} mix={said} />}
          <Group gap="xs">
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => {
                edit(null, (job) => ({ ...job, mixes: [...job.mixes, { ...said, id: newMixId(job) }] }));
                setPicked(mixes.length);
              }}
            >
              {words.another}
            </Button>
            {index > 0 && (
              <Button
                size="compact-sm"
                variant="default"
                onClick={() => {
                  edit(null, (job) => withoutMix(job, said.id));
                  setPicked(0);
                }}
              >
                {words.dropMix}
              </Button>
            )}
          </Group>
          <Notes under={['/mixes']} only={['caution']} />
        </>
      }
    />
  );
}
