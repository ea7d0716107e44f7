import { timeTyped } from '../format/typed';
import { useEditing } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import { TypedField } from './TypedField';
import { useWrong } from './useWrong';

/** A local time that the job keeps, on a clock of 24 hours. */
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
  return (
    <TypedField
      label={label}
      value={value}
      error={useWrong(at)}
      placeholder="08:30"
      width={110}
      read={timeTyped}
      onSay={(time) => {
        if (onSay) onSay(time);
        else set(at, time);
      }}
    />
  );
}
