import { Button, Group } from '@mantine/core';
import type { JointDocument, OutlinedDocument } from '../../api/client';
import { Pick } from '../../common/Pick';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { jointMethods, joints as words } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { edgeNames } from './edges';
import { jointsOf } from './jointsOf';
import classes from './ShapeStep.module.css';
import { useDrawn } from './useDrawn';

const directions = { across: words.across, along: words.along };

function JointRow({ path, joints, i }: { path: ElementPointer; joints: JointDocument[]; i: number }) {
  const { set } = useEditing();
  const joint = joints[i];
  if (!joint) return null;
  const at = `${path}/joints/${i}` as const;
  return (
    <div className={classes.jointRow}>
      <Pick
        compact
        label={words.direction(i + 1)}
        value={joint.across ? 'across' : 'along'}
        of={directions}
        onPick={(v) => {
          set(`${at}/across`, v === 'across');
        }}
      />
      <Said at={`${at}/at`} value={joint.at} label={words.at(i + 1)} compact />
      <Pick
        compact
        label={words.method(i + 1)}
        value={joint.method ?? 'tooled'}
        of={jointMethods}
        onPick={(v) => {
          set(`${at}/method`, v);
        }}
      />
      <RemoveRow label={words.remove(i + 1)} from={`${path}/joints`} row={i} />
    </div>
  );
}

/** Contraction joints: those proposed, or one's own, and the way out. */
export function JointFields({ element, path }: { element: OutlinedDocument; path: ElementPointer }) {
  const { set, format } = useEditing();
  const drawn = useDrawn(path);
  const own = element.joints ?? null;
  const edges = edgeNames(drawn?.edges.length ?? 0);
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{words.title}</legend>
      <p className={classes.hint}>
        {own !== null ? words.own : drawn && drawn.joints.lines.length === 0 ? words.none : words.proposed}
      </p>
      {own && (
        <div className={classes.rows}>
          {own.map((_, i) => (
            <JointRow key={i} path={path} joints={own} i={i} />
          ))}
        </div>
      )}
      <Group gap={6} align="flex-end">
        {own === null ? (
          <Button
            size="compact-xs"
            variant="default"
            disabled={!drawn || undefined}
            onClick={() => {
              if (drawn) set(`${path}/joints`, jointsOf(drawn, format));
            }}
          >
            {words.own_}
          </Button>
        ) : (
          <>
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => {
                set(`${path}/joints`, [...own, { across: true, at: format.typed(1) }]);
              }}
            >
              {words.add}
            </Button>
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => {
                set(`${path}/joints`, null);
              }}
            >
              {words.propose}
            </Button>
          </>
        )}
      </Group>
      {drawn && drawn.edges.length <= 24 && (
        <Pick
          label={words.wayOut}
          value={String(element.wayOut ?? drawn.joints.wayOutEdge)}
          of={edges}
          onPick={(v) => {
            set(`${path}/wayOut`, Number(v));
          }}
        />
      )}
    </fieldset>
  );
}
