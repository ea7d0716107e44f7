import { ActionIcon, Group, NativeSelect } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { OutlinedDocument, Units } from '../../api/client';
import { Said } from '../../fields/Said';
import { fields, joints } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { setEdge } from './edges';
import classes from './ShapeStep.module.css';
import { useDrawn } from './useDrawn';

const usual: Record<Units, { slab: [string, string]; counter: [string, string] }> = {
  metric: { slab: ['200 mm', '100 mm'], counter: ['40 mm', '25 mm'] },
  us: { slab: ['8"', '4"'], counter: ['1 1/2"', '1"'] },
};

/** Thickened edges of a slab, aprons of a counter. */
export function DropFields({ element, path }: { element: OutlinedDocument; path: ElementPointer }) {
  const document = useDocument();
  const { set } = useEditing();
  const edges = useDrawn(path)?.edges.length ?? element.edges.length;
  const dropped = element.edges.flatMap((e, i) => (e.drop ? [{ drop: e.drop, i }] : []));
  const free = Array.from({ length: Math.min(edges, 24) }, (_, i) => i).filter(
    (i) => !element.edges[i]?.drop,
  );
  const [width, depth] = usual[document.units][element.kind === 'counter' ? 'counter' : 'slab'];
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.drops}</legend>
      <div className={classes.rows}>
        {dropped.map(({ drop, i }) => (
          <Group key={i} gap={5} wrap="nowrap" align="flex-start">
            <span className={classes.no} aria-hidden>
              {i + 1}
            </span>
            <Said
              at={`${path}/edges/${i}/drop/width`}
              value={drop.width}
              label={fields.dropWidth(i + 1)}
              compact
              small
            />
            <Said
              at={`${path}/edges/${i}/drop/depth`}
              value={drop.depth}
              label={fields.dropDepth(i + 1)}
              compact
              small
            />
            <ActionIcon
              variant="subtle"
              size={26}
              mt={2}
              aria-label={fields.removeDrop(i + 1)}
              onClick={() => {
                set(`${path}/edges`, setEdge(element.edges, i, { drop: null }));
              }}
            >
              <IconX size={14} aria-hidden />
            </ActionIcon>
          </Group>
        ))}
      </div>
      {free.length > 0 && (
        <NativeSelect
          size="xs"
          aria-label={fields.addDrop}
          value=""
          data={[
            { value: '', label: `${fields.addDrop}…` },
            ...free.map((i) => ({ value: String(i), label: joints.edge(i + 1) })),
          ]}
          onChange={(e) => {
            if (e.currentTarget.value !== '')
              set(
                `${path}/edges`,
                setEdge(element.edges, Number(e.currentTarget.value), { drop: { width, depth } }),
              );
          }}
        />
      )}
    </fieldset>
  );
}
