import { Group } from '@mantine/core';
import { useState } from 'react';
import type { BatchRecipe, BatchReport, JobDocument, PlanReport } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { batchSize } from '../../common/batchSize';
import { ElementPick } from '../../fields/ElementPick';
import { duration, number, type Formats } from '../../format/format';
import { measureAmount, measureName } from '../../common/measureText';
import { Notes } from '../../fields/Notes';
import { Pick } from '../../common/Pick';
import { Said } from '../../fields/Said';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { Views } from '../../common/Views';
import { Why } from '../../fields/Why';
import {
  fields,
  loading,
  mix as mixWords,
  mixers,
  pours as pourWords,
  steps,
  load as words,
  yardNames,
} from '../../words';
import { FillPlan } from '../../drawing/FillPlan';
import { LoadStrip } from '../../drawing/LoadStrip';
import { RoundChart } from '../../drawing/RoundChart';
import { explanationOf, useChosenElement, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { usePour } from '../../job/usePour';
import { GoesBy } from '../../fields/GoesBy';
import { YardName } from '../../fields/YardName';
import { PaceFields } from './PaceFields';
import classes from './LoadStep.module.css';

type Load = NonNullable<PlanReport['load']>;
type View = keyof typeof words.views;

function sentenceOf(load: Load | null, format: Formats): string {
  const recipe = load?.recipes[0];
  if (!load || !recipe) return words.blocked;
  if (load.truck) {
    return words.byTruck(
      load.truck.loads,
      number(load.batches.length),
      format.bulk(load.truck.volumeL),
      duration(load.truck.onSiteMin),
    );
  }
  const total = duration(load.mixingMin);
  return load.batches.length === 1
    ? words.one(batchSize(recipe), total)
    : words.sentence(number(load.batches.length), batchSize(recipe), duration(load.round.minutes), total);
}

const truckFigures = (truck: NonNullable<Load['truck']>, format: Formats): Figure[] => [
  ...(truck.arrivesAt === null
    ? []
    : [{ label: words.arrives, value: format.time(truck.arrivesAt), lead: true }]),
  { label: words.onSite, value: duration(truck.onSiteMin), why: { code: 'round' } },
  { label: words.off, value: duration(truck.offMin) },
];

const figuresOf = (load: Load, format: Formats): Figure[] => [
  { label: words.count, value: number(load.batches.length), lead: true, why: { code: 'batchCount' } },
  { label: words.mixing, value: duration(load.mixingMin), why: { code: 'mixingTime' } },
  { label: words.pace, value: duration(load.round.minutes), why: { code: 'round' } },
  { label: words.capacity, value: format.litres(load.capacityL), why: { code: 'capacity' } },
  {
    label: words.joint,
    value: duration(load.jointAgeMin),
    note: load.jointLimitMin === null ? undefined : words.jointLimit(duration(load.jointLimitMin)),
    why: { code: 'jointAge' },
  },
  { label: words.holdBack, value: format.litres(load.holdBackL), why: { code: 'holdBack' } },
  { label: words.handsWanted, value: number(load.handsWanted), why: { code: 'handsWanted' } },
];

/** One batch, to be read from across the yard: what goes in, then in which order and for how long. */
function YardCard({ batch, recipe, load }: { batch: BatchReport; recipe: BatchRecipe; load: Load }) {
  const { format } = useEditing();
  const document = useDocument();
  return (
    <section className={classes.yard} aria-label={words.batch(batch.number)} data-testid="yard-card">
      <h3>
        {words.batch(batch.number)}
        {batch.waterAdded !== null && batch.placed !== null && (
          <small>
            {words.inAt(format.time(batch.waterAdded))}, {words.placedAt(format.time(batch.placed))}
          </small>
        )}
      </h3>
      <ul className={classes.amounts}>
        {recipe.measures.map((m) => (
          <li key={m.what + m.of} data-what={m.what}>
            <b>{measureAmount(m, format)}</b> {measureName(m)}
          </li>
        ))}
      </ul>
      {load.loadingOrder.length > 0 && <p className={classes.orderTitle}>{words.order}</p>}
      <ol className={classes.order}>
        {load.loadingOrder.map((move) => (
          <li key={move.step}>
            <span>
              {loading[move.step]}
              {(move.step === 'halfTheWater' || move.step === 'mostOfTheWater') && (
                <small> {format.litres(recipe.firstWaterL)}</small>
              )}
            </span>
            <span className={classes.seconds}>{words.seconds(number(move.seconds))}</span>
          </li>
        ))}
      </ol>
      <p className={classes.orderTitle}>{words.airOut}</p>
      {load.placing
        .filter((p) => batch.fills.some((f) => f.element === p.element))
        .map((p) => (
          <p key={p.element} className={classes.airOut}>
            {load.placing.length > 1 && `${document.elements[p.element]?.name ?? ''}: `}
            {words.consolidation[p.how](p.lifts, format.small(p.liftMm))}.
          </p>
        ))}
    </section>
  );
}

/** Everything that is measured out before the first batch. */
function MeasureOut({ load }: { load: Load }) {
  const { format } = useEditing();
  return (
    <details className={classes.out} open>
      <summary>{words.measureOut}</summary>
      <dl>
        {load.measureOut.map((m) => (
          <div key={m.what + m.of}>
            <dt>{measureName(m)}</dt>
            <dd>
              {measureAmount(m, format)}
              {m.kg > 0 && m.what !== 'water' && m.what !== 'pigment' && m.what !== 'polymer' && (
                <small> {format.mass(m.kg)}</small>
              )}
            </dd>
          </div>
        ))}
      </dl>
      <p>{words.measureOutHint}</p>
    </details>
  );
}

export function LoadStep() {
  const document = useDocument();
  const { report, sections } = usePlanned();
  const { format, edit, set } = useEditing();
  const [chosen, setChosen] = useState(1);
  const [view, setView] = useState<View>('strip');
  const [at] = useChosenElement();
  const { load, day, shape } = sections;
  const { pour, several } = usePour();
  const batch = load?.batches.find((b) => b.number === chosen) ?? load?.batches[0];
  const recipe = batch && load?.recipes[batch.recipe];
  const element = shape?.elements.find((e) => e.index === at);
  const { mixing } = document;
  const water = mixing.wantedMixC == null ? undefined : explanationOf(report, 'warmWater');
  const change = (mixer: JobDocument['mixing']['mixer']) => {
    edit('/mixing/mixer', (job) => ({ ...job, mixing: { ...job.mixing, mixer } }));
  };
  const zoneOf = (n: number) => day?.zones.find((z) => z.firstBatch <= n && n <= z.lastBatch)?.number ?? 0;
  return (
    <StepLayout
      ofPour
      title={steps.load}
      sentence={sentenceOf(load, format)}
      drawing={
        load && (
          <Views label={mixWords.viewsLabel} of={words.views} value={view} onChoose={setView}>
            {view === 'strip' && (
              <LoadStrip load={load} chosen={batch?.number ?? 1} onChoose={setChosen} format={format} />
            )}
            {view === 'plan' && element && (
              <FillPlan
                element={element}
                batches={load.batches}
                zoneOf={zoneOf}
                chosen={batch?.number ?? 1}
                onChoose={setChosen}
                format={format}
              />
            )}
            {view === 'round' && <RoundChart round={load.round} />}
            {view === 'card' && batch && recipe && <YardCard batch={batch} recipe={recipe} load={load} />}
          </Views>
        )
      }
      figures={load ? (load.truck ? truckFigures(load.truck, format) : figuresOf(load, format)) : []}
      notes={<Notes under={['/mixing', '/pours']} only={['error', 'warning']} />}
      controls={
        <>
          <ElementPick />
          <YardName
            label={yardNames.crew}
            value={mixing.crew ?? ''}
            of={(things) => things.crews}
            nameOf={(c) => c.name}
            onName={(name) => {
              set('/mixing/crew', name === '' ? null : name);
            }}
            onChoose={(c) => {
              edit(null, (job) => ({
                ...job,
                mixing: { ...job.mixing, crew: c.name, hands: c.hands, pace: c.pace },
              }));
            }}
          />
          {!load?.truck && (
            <>
              <Group gap="xs" align="flex-end">
                <YardName
                  label={yardNames.mixer}
                  value={mixing.mixer.called ?? ''}
                  of={(things) => things.mixers}
                  nameOf={(m) => m.called}
                  onName={(name) => {
                    set('/mixing/mixer/called', name === '' ? null : name);
                  }}
                  onChoose={(m) => {
                    change(m);
                  }}
                />
                <Pick
                  label={fields.mixer}
                  value={mixing.mixer.kind}
                  of={mixers}
                  onPick={(kind) => {
                    change({ ...mixing.mixer, kind });
                  }}
                />
              </Group>
              <Group gap="xs" align="flex-start">
                <Said
                  at="/mixing/mixer/size"
                  value={mixing.mixer.size}
                  label={fields.mixerSize[mixing.mixer.kind]}
                />
                <Said
                  at="/mixing/mixer/mostMass"
                  value={mixing.mixer.mostMass ?? ''}
                  label={fields.mostMass}
                  ifEmpty={fields.noLimit}
                />
              </Group>
            </>
          )}
          <Group gap="xs" align="flex-start" wrap="nowrap">
            <Amount at="/mixing/hands" value={mixing.hands} label={fields.hands} />
            {!load?.truck && (
              <Amount at="/mixing/mixers" value={mixing.mixers ?? 1} label={fields.mixersCount} />
            )}
            {several && pour?.said != null && (
              <Amount
                at={`/pours/${pour.said}/hands`}
                value={document.pours[pour.said]?.hands ?? null}
                label={pourWords.hands}
                optional
                placeholder={number(mixing.hands)}
              />
            )}
            <Said at="/mixing/barrowRun" value={mixing.barrowRun} label={fields.barrowRun} />
          </Group>
          {!load?.truck && (
            <Group gap="xs" align="flex-start" wrap="nowrap">
              <Amount
                at="/mixing/waterC"
                value={mixing.waterC}
                label={fields.waterTemperature(format.thermometer.unit)}
                scale={format.thermometer}
              />
              <Amount
                at="/mixing/wantedMixC"
                value={mixing.wantedMixC}
                label={fields.wantedMix(format.thermometer.unit)}
                scale={format.thermometer}
                optional
              />
            </Group>
          )}
          {water && (
            <p className={classes.tasks}>
              {words.waterFor(format.celsius(water.result))}{' '}
              <Why code="warmWater" about={words.waterForWhy} />
            </p>
          )}
          {load && !load.truck && <p className={classes.tasks}>{words.tasks(load.tasks)}</p>}
          <GoesBy of={['pace']} />
          {load && !load.truck && <MeasureOut load={load} />}
          {load && <PaceFields document={document} load={load} />}
          <Notes under={['/mixing']} only={['note', 'caution']} />
        </>
      }
    />
  );
}
