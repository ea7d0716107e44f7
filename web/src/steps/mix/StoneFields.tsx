import { Group } from '@mantine/core';
import type { MixDocument } from '../../api/client';
import { Pick } from '../../common/Pick';
import { consistencies, fields } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { MixPointer } from '../../job/pointer';
import { STONES } from './stones';

/** How large the stone is, and how it moves: of whatever is not a bag. */
export function StoneFields({ at, mix }: { at: MixPointer; mix: Exclude<MixDocument, { kind: 'bagged' }> }) {
  const { set, format } = useEditing();
  const stones = [...new Set([...STONES, mix.stoneMm])].sort((a, b) => a - b);
  return (
    <Group gap="xs" align="flex-start">
      <Pick
        label={fields.stoneMm}
        value={String(mix.stoneMm)}
        of={Object.fromEntries(stones.map((mm) => [String(mm), format.small(mm)]))}
        onPick={(v) => {
          set(`${at}/stoneMm`, Number(v));
        }}
      />
      <Pick
        label={fields.consistency}
        value={mix.consistency}
        of={consistencies}
        onPick={(v) => {
          set(`${at}/consistency`, v);
        }}
      />
    </Group>
  );
}
