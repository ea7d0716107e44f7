import { NumberInput } from '@mantine/core';
import type { Pointer } from '../../job/pointer';
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
    <NumberInput
      size="xs"
      hideControls
      aria-label={label}
      value={value ?? ''}
      placeholder={placeholder}
      step={step}
      error={wrong}
      onChange={(v) => {
        if (v === '') onSay(null);
        else if (typeof v === 'number') onSay(v);
      }}
    />
  );
}
