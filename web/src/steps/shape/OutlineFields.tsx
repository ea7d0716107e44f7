import { Group } from '@mantine/core';
import type { OutlineDocument, OutlinedDocument } from '../../api/client';
import { Pick } from '../../common/Pick';
import { Said } from '../../fields/Said';
import { fields, meets, presetAlong, presets, ways } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer, OutlinePointer } from '../../job/pointer';
import { OutlineFile } from './OutlineFile';
import { PointRows } from './PointRows';
import { setEdge } from './edges';
import classes from './ShapeStep.module.css';
import { TapedCorners } from './TapedCorners';
import { useDrawn } from './useDrawn';
import { WalkedSides } from './WalkedSides';

type Preset = Extract<OutlineDocument, { kind: 'preset' }>;

const notched = (shape: Preset['shape']) => shape === 'lShape' || shape === 'uShape';
const needsAcross = (shape: Preset['shape']) => notched(shape) || shape === 'rectangle' || shape === 'kidney';

function PresetFields({ outline, at }: { outline: Preset; at: OutlinePointer }) {
  const { set } = useEditing();
  const { shape } = outline;
  return (
    <>
      <Pick
        label={fields.presetShape}
        value={shape}
        of={presets}
        onPick={(v) => {
          set(at, {
            ...outline,
            shape: v,
            across: outline.across || outline.along,
            notchAlong: outline.notchAlong || '500 mm',
            notchAcross: outline.notchAcross || '500 mm',
          });
        }}
      />
      <Group gap="xs" align="flex-start">
        <Said at={`${at}/along`} value={outline.along} label={presetAlong[shape]} />
        {needsAcross(shape) && (
          <Said at={`${at}/across`} value={outline.across ?? ''} label={fields.across} />
        )}
      </Group>
      {notched(shape) && (
        <Group gap="xs" align="flex-start">
          <Said at={`${at}/notchAlong`} value={outline.notchAlong ?? ''} label={fields.notchAlong} />
          <Said at={`${at}/notchAcross`} value={outline.notchAcross ?? ''} label={fields.notchAcross} />
        </Group>
      )}
    </>
  );
}

/** What each edge meets, for outlines whose edges have no rows of their own. */
function MeetsRows({ element, path }: { element: OutlinedDocument; path: ElementPointer }) {
  const { set } = useEditing();
  const edges = useDrawn(path)?.edges.length ?? 0;
  if (edges === 0 || edges > 24) return null;
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.meetsTitle}</legend>
      <div className={classes.meetsRows}>
        {Array.from({ length: edges }, (_, i) => (
          <Group key={i} gap={4} wrap="nowrap">
            <span className={classes.no} aria-hidden>
              {i + 1}
            </span>
            <Pick
              compact
              label={fields.edgeMeets(i + 1)}
              value={element.edges[i]?.meets ?? 'form'}
              of={meets}
              onPick={(v) => {
                set(`${path}/edges`, setEdge(element.edges, i, { meets: v }));
              }}
            />
          </Group>
        ))}
      </div>
    </fieldset>
  );
}

/** The same outline said another way; what was drawn is kept where the way can hold it. */
function useOtherWay(element: OutlinedDocument, path: ElementPointer) {
  const { format } = useEditing();
  const drawn = useDrawn(path);
  return (kind: OutlineDocument['kind']): OutlineDocument => {
    const edges = drawn?.edges ?? [];
    const corners = drawn?.corners ?? [];
    switch (kind) {
      case 'walked':
        return {
          kind,
          sides: edges.map((e, i) => ({
            length: format.typedExact(e.chordM),
            turn: e.turnDegrees,
            ...(e.radiusM > 0 && drawn?.edges[i] ? { rise: format.typedExact(e.riseM) } : {}),
          })),
        };
      case 'points':
        return { kind, points: corners.map((c, i) => ({ x: c.x, y: c.y, rise: edges[i]?.riseM ?? 0 })) };
      case 'taped':
        return { kind, nails: format.typed(3), corners: [] };
      case 'preset':
        return element.outline.kind === 'preset'
          ? element.outline
          : {
              kind,
              shape: 'rectangle',
              along: format.typed(edges[0]?.lengthM ?? 1),
              across: format.typed(edges[1]?.lengthM ?? 1),
            };
      default:
        return kind satisfies never;
    }
  };
}

/** The outline, the way it was measured. */
export function OutlineFields({ element, path }: { element: OutlinedDocument; path: ElementPointer }) {
  const { set } = useEditing();
  const other = useOtherWay(element, path);
  const at = `${path}/outline` as const;
  const { outline } = element;
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{fields.edges}</legend>
      <div className={classes.stack}>
        <Pick
          label={fields.measured}
          value={outline.kind}
          of={ways}
          onPick={(kind) => {
            if (kind !== outline.kind) set(at, other(kind));
          }}
        />
        {outline.kind === 'preset' && <PresetFields outline={outline} at={at} />}
        {outline.kind === 'walked' && <WalkedSides element={element} outline={outline} path={path} />}
        {outline.kind === 'taped' && <TapedCorners outline={outline} at={at} />}
        {outline.kind === 'points' && <PointRows outline={outline} at={at} />}
        {outline.kind !== 'walked' && <MeetsRows element={element} path={path} />}
        <OutlineFile path={path} />
      </div>
    </fieldset>
  );
}
