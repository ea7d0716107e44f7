import { Button, Group } from '@mantine/core';
import { Amount } from '../../fields/Amount';
import { MixOf } from '../../fields/MixOf';
import { Pick } from '../../common/Pick';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { fields, pours as pourWords, slabUses } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { KindProps } from './kindProps';
import { OutlinedFields } from './OutlinedFields';
import classes from './ShapeStep.module.css';

export function SlabFields({ element, path }: KindProps<'slab'>) {
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Said at={`${path}/thickness`} value={element.thickness} label={fields.thickness} small />
        <Pick
          label={fields.use}
          value={element.use ?? 'patio'}
          of={slabUses}
          onPick={(v) => {
            set(`${path}/use`, v);
          }}
        />
      </Group>
      <OutlinedFields element={element} path={path} drops falls joints />
    </>
  );
}

export function TwoCourseFields({ element, path }: KindProps<'twoCourse'>) {
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Said at={`${path}/baseThickness`} value={element.baseThickness} label={fields.baseThickness} small />
        <Said at={`${path}/topping`} value={element.topping} label={fields.topping} small />
        <MixOf at={`${path}/toppingMix`} label={pourWords.toppingMix} value={element.toppingMix} />
      </Group>
      <OutlinedFields element={element} path={path} falls joints />
    </>
  );
}

export function OverlayFields({ element, path }: KindProps<'overlay'>) {
  const { set } = useEditing();
  const last = element.probes.at(-1)?.depth ?? '12 mm';
  return (
    <>
      <fieldset className={classes.group}>
        <legend className={classes.legend}>{fields.probes}</legend>
        <div className={classes.probes}>
          {element.probes.map((probe, i) => (
            <Group key={i} gap={2} wrap="nowrap" align="flex-start">
              <Said
                at={`${path}/probes/${i}/depth`}
                value={probe.depth}
                label={fields.probe(i + 1)}
                compact
                small
              />
              <RemoveRow label={fields.removeProbe(i + 1)} from={`${path}/probes`} row={i} />
            </Group>
          ))}
        </div>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            set(`${path}/probes`, [...element.probes, { depth: last }]);
          }}
        >
          {fields.addProbe}
        </Button>
        <Said
          at={`${path}/cracks`}
          value={element.cracks ?? ''}
          label={fields.cracks}
          small
          ifEmpty={fields.noChamfer}
        />
      </fieldset>
      <OutlinedFields element={element} path={path} falls />
    </>
  );
}

export function PebbleFields({ element, path }: KindProps<'pebbleBed'>) {
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Said at={`${path}/depth`} value={element.depth} label={fields.bedDepth} small />
        <Said at={`${path}/pebbles`} value={element.pebbles} label={fields.pebbles} small />
        <Amount
          at={`${path}/voidsPercent`}
          value={element.voidsPercent}
          label={fields.voids}
          optional
          placeholder="40"
        />
        <MixOf
          at={`${path}/slurryMix`}
          label={pourWords.slurryMix}
          value={element.slurryMix}
          otherwise={pourWords.cementAndWater}
        />
      </Group>
      <OutlinedFields element={element} path={path} falls />
    </>
  );
}
