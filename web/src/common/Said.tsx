import { TextInput } from '@mantine/core';
import { memo } from 'react';
import type { ReadingReport } from '../api/client';
import { findingsAt, readingAt, useJobContext } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import type { Formats } from './format';
import { sameSize } from './sameSize';
import { useStable } from './useStable';
import { fields, findings as findingWords } from './words';
import classes from './Said.module.css';

function understood(reading: ReadingReport, f: Formats, small: boolean): string {
  switch (reading.dimension) {
    case 'length':
      return small ? f.small(reading.si * 1000) : f.length(reading.si);
    case 'volume':
      return f.litres(reading.si * 1000);
    case 'mass':
      return f.mass(reading.si);
    default:
      return reading.dimension satisfies never;
  }
}

const saidBack = (typed: string, as: string) => (sameSize(typed, as) ? '' : fields.understood(as));

interface SaidProps {
  /** Where the text stands in the job. */
  at: Pointer;
  value: string;
  label: string;
  /** In a table the label is for screen readers only. */
  compact?: boolean;
  /** A thickness rather than a length of a side. */
  small?: boolean;
  /** Shown where the field is empty and may be. */
  ifEmpty?: string | undefined;
}

interface InputProps extends Pick<SaidProps, 'value' | 'label'> {
  compact: boolean;
  echo: string;
  error: string | undefined;
  at: Pointer;
  onType: (text: string) => void;
}

const Input = memo(function Input({ at, value, label, compact, echo, error, onType }: InputProps) {
  return (
    <TextInput
      className={compact ? classes.compact : classes.field}
      classNames={{ input: classes.input ?? '', section: classes.echo ?? '' }}
      size={compact ? 'xs' : 'sm'}
      {...(compact ? { 'aria-label': label } : { label })}
      value={value}
      onChange={(e) => {
        onType(e.currentTarget.value);
      }}
      inputMode="text"
      autoComplete="off"
      spellCheck={false}
      error={error}
      rightSection={<span data-testid={`echo${at}`}>{echo}</span>}
      rightSectionWidth={echo === '' ? 8 : 'auto'}
      rightSectionPointerEvents="none"
    />
  );
});

/** A size as people say it. It shows back how it was understood, and what is wrong with it. */
export function Said({ at, value, label, compact = false, small = false, ifEmpty }: SaidProps) {
  const { report, set, format } = useJobContext();
  const reading = readingAt(report, at);
  const wrong = findingsAt(report, at).find((f) => f.severity === 'error');
  const echo =
    value.trim() === ''
      ? (ifEmpty ?? '')
      : reading && !wrong
        ? saidBack(value, understood(reading, format, small))
        : '';
  const type = useStable((text: string) => {
    set(at, text);
  });
  return (
    <Input
      at={at}
      value={value}
      label={label}
      compact={compact}
      echo={echo}
      error={wrong ? findingWords[wrong.code](wrong.facts, wrong.texts, format) : undefined}
      onType={type}
    />
  );
}
