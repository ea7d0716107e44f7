import { clockOf } from '../format/format';
import { dateTyped, timeTyped } from '../format/typed';
import { useEditing } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import { TypedField } from '../common/TypedField';
import { useWrong } from './useWrong';

const kinds = {
  date: { read: dateTyped, placeholder: '2027-05-08', width: 140 },
  time: { read: timeTyped, show: clockOf, placeholder: '08:30', width: 110 },
};

/** A local date, or a time on the clock, that the job keeps. */
export function MomentField({
  kind,
  at,
  label,
  value,
  onSay,
}: {
  kind: keyof typeof kinds;
  at: Pointer;
  label: string;
  value: string;
  /** Left out, it is said where it stands. */
  onSay?: (moment: string) => void;
}) {
  const { set } = useEditing();
  return (
    <TypedField
      label={label}
      value={value}
      error={useWrong(at)}
      {...kinds[kind]}
      onSay={(moment) => {
        if (onSay) onSay(moment);
        else set(at, moment);
      }}
    />
  );
}
