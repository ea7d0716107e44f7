import { NativeSelect } from '@mantine/core';
import { memo, useMemo } from 'react';
import { useStable } from './useStable';

interface PickProps<T extends string> {
  label: string;
  value: T;
  /** Every choice, with its words. */
  of: Record<T, string>;
  onPick: (value: T) => void;
  compact?: boolean;
}

interface ListProps {
  label: string;
  value: string;
  /** The choices as text, so that the same choices are the same value. */
  choices: string;
  onPick: (value: string) => void;
  compact: boolean;
}

const List = memo(function List({ label, value, choices, onPick, compact }: ListProps) {
  const data = useMemo(
    () => (JSON.parse(choices) as [string, string][]).map(([v, text]) => ({ value: v, label: text })),
    [choices],
  );
  return (
    <NativeSelect
      size={compact ? 'xs' : 'sm'}
      style={{ flex: '1 1 130px', minWidth: 0 }}
      {...(compact ? { 'aria-label': label } : { label })}
      value={value}
      data={data}
      onChange={(e) => {
        onPick(e.currentTarget.value);
      }}
    />
  );
});

/** One of a closed set. The device's own list is used: it works with wet gloves and a screen reader. */
export function Pick<T extends string>({ label, value, of, onPick, compact = false }: PickProps<T>) {
  const pick = useStable((v: string) => {
    onPick(v as T);
  });
  return (
    <List
      label={label}
      value={value}
      choices={JSON.stringify(Object.entries<string>(of))}
      onPick={pick}
      compact={compact}
    />
  );
}
