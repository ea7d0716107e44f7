import { Checkbox, Group } from '@mantine/core';
import type { ElementOf } from '../../api/client';
import { Said } from '../../fields/Said';
import { fields, joints } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { setEdge } from './edges';
import classes from './ShapeStep.module.css';
import { useDrawn } from './useDrawn';

const MOST_EDGES = 24;

/** How edges of the top are eased, and which of them. */
export function PieceEdges({ element, path }: { element: ElementOf<'piece'>; path: ElementPointer }) {
  const { set } = useEditing();
  const edges = useDrawn(path)?.edges.length ?? element.edges.length;
  const eased = (element.chamfer ?? '').trim() !== '';
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.pieceEdges}</legend>
      <Group gap="xs" align="flex-end">
        <Said
          at={`${path}/chamfer`}
          value={element.chamfer ?? ''}
          label={element.rounded ? fields.radius : fields.chamfer}
          small
          ifEmpty={fields.noChamfer}
        />
        <Checkbox
          size="sm"
          mb={8}
          label={fields.rounded}
          checked={element.rounded ?? false}
          onChange={(e) => {
            set(`${path}/rounded`, e.currentTarget.checked);
          }}
        />
      </Group>
      {eased && edges <= MOST_EDGES && (
        <Group gap="sm" mt={4}>
          {Array.from({ length: edges }, (_, i) => (
            <Checkbox
              key={i}
              size="xs"
              label={joints.edge(i + 1)}
              checked={!(element.edges[i]?.sharp ?? false)}
              onChange={(e) => {
                set(`${path}/edges`, setEdge(element.edges, i, { sharp: !e.currentTarget.checked }));
              }}
            />
          ))}
        </Group>
      )}
    </fieldset>
  );
}
