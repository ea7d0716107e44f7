import { ActionIcon, Button, Group, NativeSelect, NumberInput } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { EdgeDocument, SlabDocument, SlabReport } from '../../api/client';
import { useJobContext } from '../../job/JobContext';
import { Pick } from '../../common/Pick';
import { Said } from '../../common/Said';
import { fields, meets } from '../../common/words';
import classes from './ShapeStep.module.css';

const edge = (length: string, turn: number): EdgeDocument => ({ length, turn, meets: 'form' });

/** Outlines to start from; the blank sides follow from the others. */
const templates = {
  rectangle: (a: string, b: string) => [edge(a, 90), edge(b, 90), edge('', 90), edge('', 90)],
  lShape: (a: string, b: string) => [
    edge(a, 90),
    edge(b, 90),
    edge(a, 90),
    edge(b, -90),
    edge('', 90),
    edge('', 90),
  ],
};

const turns = { '90': fields.left, '-90': fields.right };

interface EdgesProps {
  slab: SlabDocument;
  path: string;
  drawn: SlabReport | undefined;
}

function EdgeRow({ slab, path, drawn, i }: EdgesProps & { i: number }) {
  const { document, set, edit, format } = useJobContext();
  const row = slab.edges[i];
  if (!row) return null;
  const at = `${path}/edges/${String(i)}`;
  const square = row.turn === 90 || row.turn === -90;
  const found = drawn?.edges.length === slab.edges.length ? drawn.edges[i] : undefined;
  return (
    <div className={classes.edge} data-other={!square}>
      <span className={classes.no} aria-hidden>
        {i + 1}
      </span>
      <Said
        at={`${at}/length`}
        value={row.length}
        label={fields.edgeLength(i + 1)}
        compact
        ifEmpty={found ? `${format.length(found.lengthM)}*` : fields.blankEdge}
      />
      {!square && (
        <NumberInput
          size="xs"
          hideControls
          aria-label={fields.turnDegrees(i + 1)}
          value={row.turn}
          onChange={(v) => {
            if (typeof v === 'number') set(`${at}/turn`, v);
          }}
        />
      )}
      <NativeSelect
        size="xs"
        aria-label={fields.edgeTurn(i + 1)}
        value={square ? String(row.turn) : 'other'}
        data={[
          ...Object.entries(turns).map(([value, label]) => ({ value, label })),
          { value: 'other', label: fields.otherTurn },
        ]}
        onChange={(e) => {
          set(`${at}/turn`, e.currentTarget.value === 'other' ? 45 : Number(e.currentTarget.value));
        }}
      />
      <Pick
        compact
        label={fields.edgeMeets(i + 1)}
        value={row.meets}
        of={meets}
        onPick={(v) => {
          set(`${at}/meets`, v);
        }}
      />
      <ActionIcon
        variant="subtle"
        size={26}
        mt={2}
        aria-label={fields.removeEdge(i + 1)}
        onClick={() => {
          const kept = { ...slab, edges: slab.edges.filter((_, j) => j !== i) };
          edit(path, { ...document, elements: document.elements.map((e) => (e === slab ? kept : e)) });
        }}
      >
        <IconX size={14} aria-hidden />
      </ActionIcon>
    </div>
  );
}

/** The outline as it is walked: a row for each edge. */
export function Edges(props: EdgesProps) {
  const { slab, path } = props;
  const { set } = useJobContext();
  const first = slab.edges[0]?.length ?? '';
  const second = slab.edges[1]?.length ?? '';
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.edges}</legend>
      <p className={classes.hint}>{fields.edgesHint}</p>
      <div className={classes.rows}>
        {slab.edges.map((_, i) => (
          <EdgeRow key={i} {...props} i={i} />
        ))}
      </div>
      <Group gap={6}>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            set(`${path}/edges`, [...slab.edges, edge('', 90)]);
          }}
        >
          {fields.addEdge}
        </Button>
        <span className={classes.hint}>{fields.template}</span>
        {(['rectangle', 'lShape'] as const).map((kind) => (
          <Button
            key={kind}
            size="compact-xs"
            variant="default"
            onClick={() => {
              set(`${path}/edges`, templates[kind](first, second));
            }}
          >
            {fields[kind]}
          </Button>
        ))}
      </Group>
    </fieldset>
  );
}
