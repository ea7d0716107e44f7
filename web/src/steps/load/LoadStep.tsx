import { Group } from '@mantine/core';
import { useState } from 'react';
import type { BatchReport, JobDocument, PlanReport } from '../../api/client';
import { LoadStrip } from '../../drawing/LoadStrip';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { Amount } from '../../common/Amount';
import { batchSize } from '../../common/batchSize';
import { duration, number, quarters, type Formats } from '../../common/format';
import { Notes } from '../../common/Notes';
import { Pick } from '../../common/Pick';
import { Said } from '../../common/Said';
import { StepLayout, type Figure } from '../../common/StepLayout';
import { fields, load as words, loading, mix as mixWords, mixers, steps } from '../../common/words';
import classes from './LoadStep.module.css';

type Load = NonNullable<PlanReport['load']>;

function sentenceOf(load: Load | null): string {
  const first = load?.batches[0];
  if (!load || !first) return words.blocked;
  const total = duration(load.mixingMin);
  return load.batches.length === 1
    ? words.one(batchSize(first), total)
    : words.sentence(number(load.batches.length), batchSize(first), duration(load.startToStartMin), total);
}

const figuresOf = (load: Load, format: Formats): Figure[] => [
  { label: words.count, value: number(load.batches.length), lead: true, why: { code: 'batchCount' } },
  { label: words.pace, value: duration(load.startToStartMin), why: { code: 'cycle' } },
  { label: words.capacity, value: format.litres(load.capacityL), why: { code: 'capacity' } },
  {
    label: words.joint,
    value: duration(load.jointAgeMin),
    note: load.jointLimitMin === null ? undefined : words.jointLimit(duration(load.jointLimitMin)),
    why: { code: 'jointAge' },
  },
  { label: words.holdBack, value: format.litres(load.holdBackL), why: { code: 'holdBack' } },
];

/** One batch, to be read across the yard. */
function BatchCard({
  batch,
  order,
  format,
}: {
  batch: BatchReport;
  order: Load['loadingOrder'];
  format: Formats;
}) {
  return (
    <section className={classes.card} aria-label={words.batch(batch.number)}>
      <h3 className={classes.cardTitle}>
        {words.batch(batch.number)}: {batchSize(batch)}, {format.litres(batch.waterL)} {words.water}
      </h3>
      <p className={classes.cardLine}>
        {batch.cementBuckets !== null && (
          <>
            {mixWords.buckets(quarters(batch.sandBuckets ?? 0))} {words.sandAsItLies},{' '}
            {mixWords.buckets(quarters(batch.stoneBuckets ?? 0))} {fields.stone.toLowerCase()}.{' '}
          </>
        )}
        {format.bulk(batch.volumeL)}
        {batch.waterAdded !== null && batch.placed !== null && (
          <>
            ; {words.inAt(format.time(batch.waterAdded))}, {words.placedAt(format.time(batch.placed))}
          </>
        )}
      </p>
      <p className={classes.cardLine}>
        {words.order}: {order.map((s) => loading[s]).join(', ')}.
      </p>
    </section>
  );
}

export function LoadStep() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format, edit } = useEditing();
  const [chosen, setChosen] = useState(1);
  const load = sections.load;
  const batch = load?.batches.find((b) => b.number === chosen) ?? load?.batches[0];
  const { mixing } = document;
  const change = (mixer: JobDocument['mixing']['mixer']) => {
    edit('/mixing/mixer', (job) => ({ ...job, mixing: { ...job.mixing, mixer } }));
  };
  return (
    <StepLayout
      title={steps.load}
      sentence={sentenceOf(load)}
      drawing={
        load && (
          <LoadStrip
            batches={load.batches}
            capacityL={load.capacityL}
            chosen={batch?.number ?? 1}
            onChoose={setChosen}
            format={format}
          />
        )
      }
      figures={load ? figuresOf(load, format) : []}
      notes={<Notes under={['/mixing']} only={['error', 'warning']} />}
      controls={
        <>
          <Group gap="xs" align="flex-start">
            <Pick
              label={fields.mixer}
              value={mixing.mixer.kind}
              of={mixers}
              onPick={(kind) => {
                change({ ...mixing.mixer, kind });
              }}
            />
            <Said
              at="/mixing/mixer/size"
              value={mixing.mixer.size}
              label={fields.mixerSize[mixing.mixer.kind]}
            />
          </Group>
          <Group gap="xs" align="flex-start">
            <Amount at="/mixing/hands" value={mixing.hands} label={fields.hands} />
            <Said at="/mixing/barrowRun" value={mixing.barrowRun} label={fields.barrowRun} />
            <Amount
              at="/mixing/waterC"
              value={mixing.waterC}
              label={fields.waterTemperature(format.thermometer.unit)}
              scale={format.thermometer}
            />
          </Group>
          {batch && load && <BatchCard batch={batch} order={load.loadingOrder} format={format} />}
          <Notes under={['/mixing']} only={['note', 'caution']} />
        </>
      }
    />
  );
}
