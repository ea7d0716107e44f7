import { Button, Checkbox, Group, TextInput } from '@mantine/core';
import type { OpeningDocument, OutlinedDocument, Units } from '../../api/client';
import { Pick } from '../../common/Pick';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { fields, openingUses } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import classes from './ShapeStep.module.css';

const sizes: Record<Units, { place: string; size: string }> = {
  metric: { place: '400 mm', size: '120 mm' },
  us: { place: '16"', size: '5"' },
};

function fresh(
  kind: OpeningDocument['kind'],
  units: Units,
  name: string,
  use: OpeningDocument['use'],
): OpeningDocument {
  const { place, size } = sizes[units];
  const at = { name, along: place, in: place, use };
  return kind === 'round' ? { kind, ...at, diameter: size } : { kind, ...at, width: size, depth: size };
}

/** Corners, room and a step for the flange of a basin or a hob. */
function LetIn({ opening, at }: { opening: OpeningDocument; at: `${ElementPointer}/openings/${number}` }) {
  const document = useDocument();
  const { set } = useEditing();
  const { rebate } = opening;
  const [width, depth] = document.units === 'us' ? ['1/2"', '1/4"'] : ['12 mm', '6 mm'];
  return (
    <div className={classes.fine}>
      <Said
        at={`${at}/clearance`}
        value={opening.clearance ?? ''}
        label={fields.clearance}
        small
        ifEmpty={fields.noChamfer}
      />
      {opening.kind === 'rectangular' && (
        <Said
          at={`${at}/corner`}
          value={opening.corner ?? ''}
          label={fields.cornerRadius}
          small
          ifEmpty={fields.squareCorner}
        />
      )}
      <Checkbox
        size="xs"
        mt={22}
        label={fields.rebate}
        checked={rebate != null}
        onChange={(e) => {
          set(`${at}/rebate`, e.currentTarget.checked ? { width, depth } : null);
        }}
      />
      {rebate && (
        <>
          <Said at={`${at}/rebate/width`} value={rebate.width} label={fields.rebateWidth} small />
          <Said at={`${at}/rebate/depth`} value={rebate.depth} label={fields.rebateDepth} small />
        </>
      )}
    </div>
  );
}

function OpeningRow({ element, path, i }: { element: OutlinedDocument; path: ElementPointer; i: number }) {
  const { set } = useEditing();
  const opening = element.openings[i];
  if (!opening) return null;
  const at = `${path}/openings/${i}` as const;
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
      <RemoveRow label={fields.removeOpening(opening.name)} from={`${path}/openings`} row={i} labelled />
      <Said at={`${at}/along`} value={opening.along} label={fields.along} />
      <Said at={`${at}/in`} value={opening.in} label={fields.inFrom} />
      <span />
      <Pick
        compact
        label={fields.openingUse}
        value={opening.use ?? 'hole'}
        of={openingUses}
        onPick={(v) => {
          set(`${at}/use`, v);
        }}
      />
      {opening.kind === 'rectangular' && (
        <Said at={`${at}/depth`} value={opening.depth} label={fields.depth} small />
      )}
      {opening.use === 'cutOut' && <LetIn opening={opening} at={at} />}
    </div>
  );
}

/** Posts, drains and cut-outs that it is poured round. */
export function Openings({ element, path }: { element: OutlinedDocument; path: ElementPointer }) {
  const document = useDocument();
  const { set } = useEditing();
  const { units } = document;
  const add = (kind: OpeningDocument['kind']) => {
    const use = element.kind === 'counter' ? 'cutOut' : 'hole';
    const name = `${fields.openings.slice(0, -1)} ${String(element.openings.length + 1)}`;
    set(`${path}/openings`, [...element.openings, fresh(kind, units, name, use)]);
  };
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.openings}</legend>
      {element.openings.length > 0 && <p className={classes.hint}>{fields.openingsHint}</p>}
      {element.openings.map((_, i) => (
        <OpeningRow key={i} element={element} path={path} i={i} />
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
