import type { Pointer } from '../../job/pointer';
import { NumberField } from '../../common/NumberField';
import { useWrong } from '../../fields/useWrong';

interface NumberCellProps {
  label: string;
  value: number | null;
  placeholder: string;
  /** Where the number stands in the job once it is there. */
  at: Pointer;
  onSay: (value: number | null) => void;
  step?: number;
}

/** A number in a table that may be left empty. */
export function NumberCell({ label, value, placeholder, at, onSay, step = 1 }: NumberCellProps) {
  const wrong = useWrong(at);
  return (
    <NumberField
      size="xs"
      plain
      aria-label={label}
      value={value}
      placeholder={placeholder}
      step={step}
      error={wrong}
      onSay={onSay}
    />
  );
}
