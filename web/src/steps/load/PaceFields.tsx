import { Group } from '@mantine/core';
import type { JobDocument, PlanReport } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { number } from '../../format/format';
import { pace as words } from '../../words';
import classes from './LoadStep.module.css';

type Pace = NonNullable<JobDocument['mixing']['pace']>;
type Figure = keyof Pace;

const placing: Figure[] = ['barrowMin', 'slabMin', 'narrowMin', 'strikeMin', 'restMin'];

/** The figures that count for what it is mixed in and of. */
function figuresOf(
  mixer: JobDocument['mixing']['mixer']['kind'],
  bagged: boolean,
  shovel: boolean,
): Figure[] {
  const by: Record<typeof mixer, Figure> = {
    drum: 'machineMin',
    forced: 'machineMin',
    drillBucket: 'drillMin',
    tub: 'hoeMin',
    barrow: 'hoeMin',
  };
  return [bagged ? 'bagMin' : shovel ? 'shovelMin' : 'bucketMin', by[mixer], 'emptyMin', ...placing];
}

interface PaceFieldsProps {
  document: JobDocument;
  load: NonNullable<PlanReport['load']>;
}

/** What the crew's own minutes are; each shows the usual while nothing is said. */
export function PaceFields({ document, load }: PaceFieldsProps) {
  const { mixing, mixes } = document;
  const mix = mixes[0];
  // What a truck brings is mixed: it is only laid here.
  const figures = load.truck
    ? placing
    : figuresOf(mixing.mixer.kind, mix?.kind === 'bagged', mix?.containers.sand.kind === 'shovel');
  return (
    <details className={classes.out}>
      <summary>{words.summary}</summary>
      <p>{words.hint}</p>
      <Group gap="xs" align="flex-end">
        {figures.map((f) => (
          <Amount
            key={f}
            at={`/mixing/pace/${f}`}
            value={mixing.pace?.[f]}
            label={words[f]}
            step={0.1}
            optional
            placeholder={number(load.pace[f] ?? 0, 1)}
          />
        ))}
      </Group>
    </details>
  );
}
