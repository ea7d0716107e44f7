import { ActionIcon, Button, Group, TextInput } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { OpeningDocument, SlabDocument, Units } from '../../api/client';
import { useJobContext } from '../../job/JobContext';
import { Said } from '../../common/Said';
import { fields } from '../../common/words';
import classes from './ShapeStep.module.css';

const sizes: Record<Units, { place: string; size: string }> = {
  metric: { place: '400 mm', size: '120 mm' },
  us: { place: '16"', size: '5"' },
};

function fresh(kind: OpeningDocument['kind'], units: Units, name: string): OpeningDocument {
  const { place, size } = sizes[units];
  const at = { name, along: place, in: place };
  return kind === 'round' ? { kind, ...at, diameter: size } : { kind, ...at, width: size, depth: size };
}

function OpeningRow({ slab, path, i }: { slab: SlabDocument; path: string; i: number }) {
  const { set } = useJobContext();
  const opening = slab.openings[i];
  if (!opening) return null;
  const at = `${path}/openings/${String(i)}`;
  return (
    <div className={classes.opening}>
      <TextInput
        size="xs"
        label={fields.name}
        value={opening.name}
        maxLength={40}
        onChange={(e) => {
          set(`${at}/name`, e.currentTarget.value);
        }}
      />
      {opening.kind === 'round' ? (
        <Said at={`${at}/diameter`} value={opening.diameter} label={fields.diameter} small />
      ) : (
        <Said at={`${at}/width`} value={opening.width} label={fields.width} small />
      )}
      <ActionIcon
        variant="subtle"
        size={26}
        mt={22}
        aria-label={fields.removeOpening(opening.name)}
        onClick={() => {
          set(
            `${path}/openings`,
            slab.openings.filter((_, j) => j !== i),
          );
        }}
      >
        <IconX size={14} aria-hidden />
      </ActionIcon>
      <Said at={`${at}/along`} value={opening.along} label={fields.along} />
      <Said at={`${at}/in`} value={opening.in} label={fields.inFrom} />
      <span />
      {opening.kind === 'rectangular' && (
        <Said at={`${at}/depth`} value={opening.depth} label={fields.depth} small />
      )}
    </div>
  );
}

/** Posts and drains that the slab is poured round. */
export function Openings({ slab, path }: { slab: SlabDocument; path: string }) {
  const { document, set } = useJobContext();
  const add = (kind: OpeningDocument['kind']) => {
    const name = `${fields.openings.slice(0, -1)} ${String(slab.openings.length + 1)}`;
    set(`${path}/openings`, [...slab.openings, fresh(kind, document.units, name)]);
  };
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.openings}</legend>
      {slab.openings.length > 0 && <p className={classes.hint}>{fields.openingsHint}</p>}
      {slab.openings.map((_, i) => (
        <OpeningRow key={i} slab={slab} path={path} i={i} />
      ))}
      <Group gap={6} mt={4}>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            add('round');
          }}
        >
          {fields.addRound}
        </Button>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            add('rectangular');
          }}
        >
          {fields.addBox}
        </Button>
      </Group>
    </fieldset>
  );
}
