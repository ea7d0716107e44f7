import { useState } from 'react';
import { NumberField } from '../common/NumberField';
import { useEditing } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import { useWrong } from './useWrong';
import type { Scale } from '../format/format';

interface AmountProps {
  at: Pointer;
  value: number | null | undefined;
  label: string;
  step?: number;
  placeholder?: string;
  /** Where the field may be left empty. */
  optional?: boolean;
  /** Where it is typed in another unit than it is kept in. */
  scale?: Scale;
}

/** A plain number with its own finding beside it. */
export function Amount({ at, value, label, step = 1, placeholder, optional = false, scale }: AmountProps) {
  const { set } = useEditing();
  const wrong = useWrong(at);
  // Cleared on the way to another number: the job keeps the last one until there is a new one.
  const [cleared, setCleared] = useState(false);
  return (
    <NumberField
      size="sm"
      style={{ flex: '1 1 84px', minWidth: 0 }}
      label={label}
      value={cleared || value == null ? null : scale ? scale.show(value) : value}
      step={step}
      {...(placeholder === undefined ? {} : { placeholder })}
      onSay={(v) => {
        setCleared(v === null && !optional);
        if (v !== null) set(at, scale ? scale.said(v) : v);
        else if (optional) set(at, null);
      }}
      onBlur={() => {
        setCleared(false);
      }}
      error={wrong}
    />
  );
}
