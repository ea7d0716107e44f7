import { NativeSelect } from '@mantine/core';

interface PickProps<T extends string> {
  label: string;
  value: T;
  /** Every choice, with its words. */
  of: Record<T, string>;
  onPick: (value: T) => void;
  compact?: boolean;
  /** It chooses what is looked at, and changes nothing. */
  looks?: boolean;
}

/** One of a closed set. The device's own list is used: it works with wet gloves and a screen reader. */
export function Pick<T extends string>({
  label,
  value,
  of,
  onPick,
  compact = false,
  looks = false,
}: PickProps<T>) {
  return (
    <NativeSelect
      size={compact ? 'xs' : 'sm'}
      style={{ flex: '1 1 130px', minWidth: 0 }}
      {...(compact ? { 'aria-label': label } : { label })}
      {...(looks ? { disabled: false } : {})}
      value={value}
      data={Object.entries<string>(of).map(([v, text]) => ({ value: v, label: text }))}
      onChange={(e) => {
        onPick(e.currentTarget.value as T);
      }}
    />
  );
}
