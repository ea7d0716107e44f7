import { TextInput } from '@mantine/core';
import { useState } from 'react';

interface TypedFieldProps {
  label: string;
  value: string;
  error: string | undefined;
  placeholder: string;
  width: number;
  /** What the job keeps, as it is read; else as it is kept. */
  show?: (kept: string) => string;
  /** What was typed as the job keeps it; null while it cannot be read. */
  read: (text: string) => string | null;
  onSay: (said: string) => void;
}

/** A text that is brought to one form: while it is typed it stays as it is typed. */
export function TypedField({ label, value, error, placeholder, width, read, show, onSay }: TypedFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextInput
      size="sm"
      style={{ flex: `1 1 ${String(width)}px` }}
      label={label}
      value={typed ?? show?.(value) ?? value}
      placeholder={placeholder}
      error={error}
      onChange={(e) => {
        const text = e.currentTarget.value;
        setTyped(text);
        onSay(read(text) ?? text);
      }}
      onBlur={() => {
        setTyped(null);
      }}
    />
  );
}
