import { ActionIcon, Button, NativeSelect } from '@mantine/core';
import { NumberField } from '../../common/NumberField';
import { useState } from 'react';
import type { OutlineDocument, OutlinedDocument, SideDocument } from '../../api/client';
import { Pick } from '../../common/Pick';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { fields, meets } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { setEdge } from './edges';
import classes from './ShapeStep.module.css';
import { useDrawn } from './useDrawn';

type Walked = Extract<OutlineDocument, { kind: 'walked' }>;

const turns = { '90': fields.left, '-90': fields.right };

interface SideProps {
  element: OutlinedDocument;
  outline: Walked;
  path: ElementPointer;
  side: SideDocument;
  i: number;
}

function SideRow({ element, outline, path, side, i }: SideProps) {
  const { set, format } = useEditing();
  const drawn = useDrawn(path);
  const at = `${path}/outline/sides/${i}` as const;
  const square = side.turn === 90 || side.turn === -90;
  const found = drawn?.edges.length === outline.sides.length ? drawn.edges[i] : undefined;
  const [bowed, setBowed] = useState((side.rise ?? '') !== '');
  return (
    <div className={classes.edge} data-other={!square}>
      <span className={classes.no} aria-hidden>
        {i + 1}
      </span>
      <Said
        at={`${at}/length`}
        value={side.length}
        label={fields.edgeLength(i + 1)}
        compact
        ifEmpty={found ? `${format.length(found.lengthM)}*` : fields.blankEdge}
      />
      {!square && (
        <NumberField
          size="xs"
          plain
          aria-label={fields.turnDegrees(i + 1)}
          value={side.turn}
          onSay={(v) => {
            if (v !== null) set(`${at}/turn`, v);
          }}
        />
      )}
      <NativeSelect
        size="xs"
        aria-label={fields.edgeTurn(i + 1)}
        value={square ? String(side.turn) : 'other'}
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
        value={element.edges[i]?.meets ?? 'form'}
        of={meets}
        onPick={(v) => {
          set(`${path}/edges`, setEdge(element.edges, i, { meets: v }));
        }}
      />
      <ActionIcon
        variant={bowed ? 'light' : 'subtle'}
        size={26}
        mt={2}
        aria-label={fields.rise(i + 1)}
        aria-pressed={bowed}
        onClick={() => {
          if (bowed) set(`${at}/rise`, '');
          setBowed(!bowed);
        }}
      >
        <svg width="16" height="12" aria-hidden>
          <path d="M1 11 Q8 -4 15 11" fill="none" stroke="currentColor" strokeWidth="1.6" />
        </svg>
      </ActionIcon>
      <RemoveRow label={fields.removeEdge(i + 1)} from={[`${path}/outline/sides`, `${path}/edges`]} row={i} />
      {bowed && (
        <div className={classes.rise}>
          <Said
            at={`${at}/rise`}
            value={side.rise ?? ''}
            label={fields.rise(i + 1)}
            compact
            small
            ifEmpty={fields.bow}
          />
        </div>
      )}
    </div>
  );
}

/** The outline as it is walked: a row for each edge. */
export function WalkedSides({ element, outline, path }: Omit<SideProps, 'i' | 'side'>) {
  const { set } = useEditing();
  return (
    <>
      <p className={classes.hint}>{fields.edgesHint}</p>
      <div className={classes.rows}>
        {outline.sides.map((side, i) => (
          <SideRow key={i} element={element} outline={outline} path={path} side={side} i={i} />
        ))}
      </div>
      <div>
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => {
            set(`${path}/outline/sides`, [...outline.sides, { length: '', turn: 90 }]);
          }}
        >
          {fields.addEdge}
        </Button>
      </div>
    </>
  );
}
