import { Group } from '@mantine/core';
import type { OutlinedDocument } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { Pick } from '../../common/Pick';
import { fall as words } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import { edgeNames } from './edges';
import classes from './ShapeStep.module.css';
import { useDrawn } from './useDrawn';

type Kind = 'advised' | NonNullable<OutlinedDocument['fall']>['kind'];

const USUAL_PERCENT = 2;

/** How water leaves the surface. */
export function FallFields({ element, path }: { element: OutlinedDocument; path: ElementPointer }) {
  const { set } = useEditing();
  const drawn = useDrawn(path);
  const fall = element.fall ?? null;
  const at = `${path}/fall` as const;
  const percent = fall && fall.kind !== 'level' ? fall.percent : (drawn?.fall?.percent ?? USUAL_PERCENT);
  const fresh: Record<Kind, () => OutlinedDocument['fall']> = {
    advised: () => null,
    level: () => ({ kind: 'level' }),
    offEdge: () => ({ kind: 'offEdge', edge: 0, percent: percent || USUAL_PERCENT }),
    toDrain: () => ({ kind: 'toDrain', opening: 0, percent: percent || USUAL_PERCENT }),
  };
  const kinds = Object.fromEntries(
    Object.entries(words.kinds).filter(([kind]) => kind !== 'toDrain' || element.openings.length > 0),
  ) as Record<Kind, string>;
  const edges = edgeNames(drawn?.edges.length ?? 0);
  const drains = Object.fromEntries(element.openings.map((o, i) => [String(i), o.name]));
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{words.title}</legend>
      <Group gap="xs" align="flex-start">
        <Pick
          label={words.title}
          value={fall?.kind ?? 'advised'}
          of={kinds}
          onPick={(kind) => {
            set(at, fresh[kind]());
          }}
        />
        {fall?.kind === 'offEdge' && (
          <Pick
            label={words.edge}
            value={String(fall.edge)}
            of={edges}
            onPick={(v) => {
              set(`${at}/edge`, Number(v));
            }}
          />
        )}
        {fall?.kind === 'toDrain' && (
          <Pick
            label={words.drain}
            value={String(fall.opening)}
            of={drains}
            onPick={(v) => {
              set(`${at}/opening`, Number(v));
            }}
          />
        )}
        {fall && fall.kind !== 'level' && (
          <Amount at={`${at}/percent`} value={fall.percent} label={words.percent} step={0.5} />
        )}
      </Group>
    </fieldset>
  );
}
