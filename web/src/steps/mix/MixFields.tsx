import { Group } from '@mantine/core';
import type { Bag, ContainerKind, MixDocument } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { bagName } from '../../common/bagName';
import { Pick } from '../../common/Pick';
import { Said } from '../../fields/Said';
import { YardName } from '../../fields/YardName';
import {
  additives as additiveNames,
  containerKinds,
  fields,
  moistures,
  things,
  mix as words,
  yardNames,
} from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import type { MixPointer } from '../../job/pointer';
import classes from './MixStep.module.css';
import { StoneFields } from './StoneFields';

/** A mix of the job, and where it stands in it. */
interface OfMix<M extends MixDocument = MixDocument> {
  at: MixPointer;
  mix: M;
}

export function BagFields({
  at,
  mix,
  bags,
}: OfMix<Extract<MixDocument, { kind: 'bagged' }>> & { bags: Bag[] }) {
  const { set, format } = useEditing();
  const { buy } = useDocument();
  const ids = [...bags.map((b) => b.id), ...buy.bags.map((b) => b.id)];
  return (
    <>
      <Group>
        <Pick
          label={fields.bag}
          value={mix.bag}
          of={Object.fromEntries(ids.map((id) => [id, bagName(id, bags, buy.bags, format)]))}
          onPick={(v) => {
            set(`${at}/bag`, v);
          }}
        />
      </Group>
      <Group gap="xs" align="flex-start">
        <Said
          at={`${at}/waterPerBag`}
          value={mix.waterPerBag}
          label={fields.waterPerBag}
          ifEmpty={fields.middle}
        />
        <Amount at={`${at}/cementAdded`} value={mix.cementAdded ?? 0} label={fields.cementAdded} />
      </Group>
    </>
  );
}

export function PartsFields({ at, mix }: OfMix<Extract<MixDocument, { kind: 'parts' }>>) {
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start" wrap="nowrap">
        <Amount at={`${at}/cement`} value={mix.cement} label={fields.cement} step={0.5} />
        <Amount at={`${at}/sand`} value={mix.sand} label={fields.sand} step={0.5} />
        <Amount at={`${at}/stone`} value={mix.stone} label={fields.stone} step={0.5} />
        <Amount at={`${at}/ballast`} value={mix.ballast ?? 0} label={fields.ballast} step={0.5} />
      </Group>
      <StoneFields at={at} mix={mix} />
      <Group>
        <Pick
          label={fields.moisture}
          value={mix.moisture}
          of={moistures}
          onPick={(v) => {
            set(`${at}/moisture`, v);
          }}
        />
      </Group>
      <p className={classes.hint}>{words.moistureHint}</p>
    </>
  );
}

const additiveKinds = Object.keys(additiveNames) as (keyof typeof additiveNames)[];

/** Doses of what is stirred in; open where there is any. */
export function AdditiveFields({ at, mix }: OfMix) {
  const any = additiveKinds.some((k) => (mix.additives[k] ?? 0) > 0);
  return (
    <details className={classes.more} open={any}>
      <summary>{words.additivesTitle}</summary>
      <p className={classes.hint}>{words.additivesHint}</p>
      <div className={classes.grid}>
        {additiveKinds.map((k) => (
          <Amount
            key={k}
            at={`${at}/additives/${k}`}
            value={mix.additives[k] ?? 0}
            label={additiveNames[k]}
            step={k === 'pigment' || k === 'polymer' ? 1 : 0.5}
          />
        ))}
      </div>
    </details>
  );
}

const measured = ['cement', 'sand', 'stone', 'water'] as const;

/** What everything is measured with. */
export function ContainerFields({ at, mix }: OfMix) {
  const { set } = useEditing();
  const rows = mix.kind === 'parts' ? measured : (['cement', 'water'] as const);
  return (
    <details className={classes.more} open={mix.kind === 'parts'}>
      <summary>{words.containersTitle}</summary>
      <p className={classes.hint}>{words.containersHint}</p>
      {rows.map((what) => (
        <div key={what} className={classes.container}>
          <span>{things[what]}</span>
          <Pick<ContainerKind>
            compact
            label={words.containerOf(things[what])}
            value={mix.containers[what].kind}
            of={containerKinds}
            onPick={(v) => {
              set(`${at}/containers/${what}/kind`, v);
            }}
          />
          <Said
            compact
            at={`${at}/containers/${what}/size`}
            value={mix.containers[what].size}
            label={words.holds(things[what])}
          />
          <YardName
            compact
            label={yardNames.container(things[what])}
            value={mix.containers[what].called ?? ''}
            of={(yard) => yard.containers}
            nameOf={(c) => c.called}
            onName={(name) => {
              set(`${at}/containers/${what}/called`, name === '' ? null : name);
            }}
            onChoose={(c) => {
              set(`${at}/containers/${what}`, c);
            }}
          />
        </div>
      ))}
    </details>
  );
}
