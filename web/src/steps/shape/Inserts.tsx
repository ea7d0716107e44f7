import { Button, Checkbox, Group, TextInput } from '@mantine/core';
import type { ElementOf, Units } from '../../api/client';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { fields } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import classes from './ShapeStep.module.css';

type Insert = NonNullable<ElementOf<'piece'>['inserts']>[number];

const usual: Record<Units, [string, string, string]> = {
  metric: ['100 mm', '40 mm', '30 mm'],
  us: ['4"', '1 1/2"', '1 1/4"'],
};

const sizes = ['along', 'in', 'width', 'depth', 'deep', 'out'] as const;

const labels: Record<(typeof sizes)[number], string> = {
  along: fields.along,
  in: fields.inFrom,
  width: fields.width,
  depth: fields.depth,
  deep: fields.insertDeep,
  out: fields.insertOut,
};

/** Sockets, plates and rings that are cast into the face. */
export function Inserts({ element, path }: { element: ElementOf<'piece'>; path: ElementPointer }) {
  const document = useDocument();
  const { set } = useEditing();
  const inserts = element.inserts ?? [];
  const [place, size, deep] = usual[document.units];
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.inserts}</legend>
      {inserts.length > 0 && <p className={classes.hint}>{fields.openingsHint}</p>}
      {inserts.map((insert, i) => (
        <div key={i} className={classes.opening}>
          <TextInput
            size="xs"
            label={fields.name}
            value={insert.name}
            maxLength={40}
            onChange={(e) => {
              set(`${path}/inserts/${i}/name`, e.currentTarget.value);
            }}
          />
          <Checkbox
            size="xs"
            mt={22}
            label={fields.insertRusts}
            checked={insert.rusts ?? false}
            onChange={(e) => {
              set(`${path}/inserts/${i}/rusts`, e.currentTarget.checked);
            }}
          />
          <RemoveRow label={fields.removeOpening(insert.name)} from={`${path}/inserts`} row={i} labelled />
          <div className={classes.fine}>
            {sizes.map((name) => (
              <Said
                key={name}
                at={`${path}/inserts/${i}/${name}`}
                value={insert[name] ?? ''}
                label={labels[name]}
                small
                {...(name === 'out' && { ifEmpty: fields.flush })}
              />
            ))}
          </div>
        </div>
      ))}
      <Group gap={6} mt={4}>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            const fresh: Insert = {
              name: fields.insert(inserts.length + 1),
              along: place,
              in: place,
              width: size,
              depth: size,
              deep,
              out: '',
              rusts: false,
            };
            set(`${path}/inserts`, [...inserts, fresh]);
          }}
        >
          {fields.addInsert}
        </Button>
      </Group>
    </fieldset>
  );
}
