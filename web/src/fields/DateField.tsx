import { dateTyped } from '../format/typed';
import { useEditing } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import { TypedField } from './TypedField';
import { useWrong } from './useWrong';

/** A local date that the job keeps. */
export function DateField({
  at,
  label,
  value,
  onSay,
}: {
  at: Pointer;
  label: string;
  value: string;
  /** Left out, it is said where it stands. */
  onSay?: (date: string) => void;
}) {
  const { set } = useEditing();
  return (
    <TypedField
      label={label}
      value={value}
      error={useWrong(at)}
      placeholder="2027-05-08"
      width={140}
      read={dateTyped}
      onSay={(date) => {
        if (onSay) onSay(date);
        else set(at, date);
      }}
    />
  );
}
