import { TextInput } from '@mantine/core';
import { useEditing } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import { useWrong } from './useWrong';

/** A local time that the job keeps. */
export function TimeField({
  at,
  label,
  value,
  onSay,
}: {
  at: Pointer;
  label: string;
  value: string;
  /** Left out, it is said where it stands. */
  onSay?: (time: string) => void;
}) {
  const { set } = useEditing();
  const wrong = useWrong(at);
  return (
    <TextInput
      size="sm"
      type="time"
      style={{ flex: '1 1 110px' }}
      label={label}
      value={value}
      error={wrong}
      onChange={(e) => {
        if (onSay) onSay(e.currentTarget.value);
        else set(at, e.currentTarget.value);
      }}
    />
  );
}
