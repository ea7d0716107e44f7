import { Button, Checkbox, Group } from '@mantine/core';
import { NumberField } from '../../common/NumberField';
import type { StretchDocument } from '../../api/client';
import { Pick } from '../../common/Pick';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { fields } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { CastingFields } from './CastKinds';
import type { KindProps } from './kindProps';
import { SectionFields } from './ProfileFields';
import classes from './ShapeStep.module.css';

const stretchKinds: Record<StretchDocument['kind'], string> = { straight: fields.straight, arc: fields.arc };

function otherKind(was: StretchDocument): StretchDocument {
  return was.kind === 'straight'
    ? { kind: 'arc', radius: was.length, sweep: 90 }
    : { kind: 'straight', length: was.radius };
}

function StretchRow({
  path,
  stretches,
  i,
}: {
  path: ElementPointer;
  stretches: StretchDocument[];
  i: number;
}) {
  const { set } = useEditing();
  const stretch = stretches[i];
  if (!stretch) return null;
  const at = `${path}/path/${i}` as const;
  const n = i + 1;
  const degrees = stretch.kind === 'arc' ? stretch.sweep : (stretch.turn ?? 0);
  return (
    <div className={classes.stretch}>
      <span className={classes.no} aria-hidden>
        {n}
      </span>
      <Pick
        compact
        label={fields.stretch(n)}
        value={stretch.kind}
        of={stretchKinds}
        onPick={(kind) => {
          if (kind !== stretch.kind) set(at, otherKind(stretch));
        }}
      />
      {stretch.kind === 'straight' ? (
        <Said at={`${at}/length`} value={stretch.length} label={fields.stretchLength(n)} compact />
      ) : (
        <Said at={`${at}/radius`} value={stretch.radius} label={fields.stretchRadius(n)} compact />
      )}
      <NumberField
        size="xs"
        plain
        suffix="°"
        aria-label={stretch.kind === 'arc' ? fields.stretchSweep(n) : fields.stretchTurn(n)}
        value={degrees}
        onSay={(v) => {
          if (v !== null) set(`${at}/${stretch.kind === 'arc' ? 'sweep' : 'turn'}`, v);
        }}
      />
      <RemoveRow label={fields.removeStretch(n)} from={`${path}/path`} row={i} />
    </div>
  );
}

/** The middle of a border, a kerb or a ribbon: straights and bends one after another. */
export function PathFields({ path, stretches }: { path: ElementPointer; stretches: StretchDocument[] }) {
  const { set } = useEditing();
  const last = stretches.at(-1);
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.path}</legend>
      <p className={classes.hint}>{fields.pathHint}</p>
      <div className={classes.rows}>
        {stretches.map((_, i) => (
          <StretchRow key={i} path={path} stretches={stretches} i={i} />
        ))}
      </div>
      <Button
        size="compact-xs"
        variant="default"
        onClick={() => {
          set(`${path}/path`, [...stretches, last ?? { kind: 'straight', length: '' }]);
        }}
      >
        {fields.addStretch}
      </Button>
    </fieldset>
  );
}

export function BorderFields({ element, path }: KindProps<'border'>) {
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Said at={`${path}/width`} value={element.width} label={fields.width} small />
        <Said at={`${path}/depth`} value={element.depth} label={fields.deep} small />
      </Group>
      <PathFields path={path} stretches={element.path} />
    </>
  );
}

export function RibbonFields({ element, path }: KindProps<'ribbon'>) {
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Said at={`${path}/width`} value={element.width} label={fields.width} small />
        <Said at={`${path}/height`} value={element.height} label={fields.height} small />
      </Group>
      <CastingFields at={`${path}/casting`} casting={element.casting} />
      <PathFields path={path} stretches={element.path} />
    </>
  );
}

export function CurbFields({ element, path }: KindProps<'curb'>) {
  const { set } = useEditing();
  return (
    <>
      <SectionFields element={element} path={path} />
      <Checkbox
        size="sm"
        label={fields.onSlab}
        checked={element.onSlab ?? false}
        onChange={(e) => {
          set(`${path}/onSlab`, e.currentTarget.checked);
        }}
      />
      <PathFields path={path} stretches={element.path} />
    </>
  );
}
