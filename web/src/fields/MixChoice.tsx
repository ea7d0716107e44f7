import { api } from '../api/client';
import { mixName } from '../common/mixName';
import { Pick } from '../common/Pick';
import { useDocument, useEditing } from '../job/JobContext';
import type { Pointer } from '../job/pointer';

export interface MixChoiceProps {
  at: Pointer;
  label: string;
  /** Id of the mix; null takes what stands first. */
  value: string | null | undefined;
  /** What is taken where none is named; left out, the job's first. */
  otherwise?: string;
}

/** Which mix of the job something is poured from. */
export function MixChoice({ at, label, value, otherwise }: MixChoiceProps) {
  const { mixes, buy } = useDocument();
  const { set, format } = useEditing();
  const { data: bags = [] } = api.useQuery('get', '/api/bags', {}, { staleTime: Infinity });
  const named = mixes.map((m, i) => [m.id ?? '', mixName(m, i, bags, buy.bags, format)] as const);
  const choices = otherwise === undefined ? named : [['', otherwise] as const, ...named];
  return (
    <Pick
      label={label}
      value={value ?? (otherwise === undefined ? (mixes[0]?.id ?? '') : '')}
      of={Object.fromEntries(choices)}
      onPick={(id) => {
        set(at, id === '' ? null : id);
      }}
    />
  );
}
