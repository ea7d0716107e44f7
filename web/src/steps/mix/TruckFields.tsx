import { Checkbox, Group } from '@mantine/core';
import type { MixDocument } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { MomentField } from '../../fields/MomentField';
import { truck as words } from '../../words';
import { useEditing } from '../../job/JobContext';
import type { MixPointer } from '../../job/pointer';
import { StoneFields } from './StoneFields';

/** What is asked of the supplier, and what the supplier asks. */
export function TruckFields({ at, mix }: { at: MixPointer; mix: Extract<MixDocument, { kind: 'ready' }> }) {
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Amount at={`${at}/strengthMpa`} value={mix.strengthMpa} label={words.strength} step={5} />
      </Group>
      <StoneFields at={at} mix={mix} />
      <Group gap="lg">
        {(['air', 'chute', 'saturdays'] as const).map((what) => (
          <Checkbox
            key={what}
            size="sm"
            label={words[what]}
            checked={mix[what] ?? false}
            onChange={(e) => {
              set(`${at}/${what}`, e.currentTarget.checked);
            }}
          />
        ))}
      </Group>
      <Group gap="xs" align="flex-start" wrap="nowrap">
        <Amount at={`${at}/ageMin`} value={mix.ageMin ?? 0} label={words.age} step={5} />
        <Amount at={`${at}/onSiteMin`} value={mix.onSiteMin ?? 0} label={words.onSite} step={5} />
        <Amount at={`${at}/limitMin`} value={mix.limitMin ?? 0} label={words.limit} step={5} />
      </Group>
      <Group gap="xs" align="flex-start">
        <MomentField kind="time" at={`${at}/comesFrom`} label={words.from} value={mix.comesFrom ?? ''} />
        <MomentField kind="time" at={`${at}/comesUntil`} label={words.until} value={mix.comesUntil ?? ''} />
      </Group>
    </>
  );
}
