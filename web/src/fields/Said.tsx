import { TextInput } from '@mantine/core';
import type { ReadingReport } from '../api/client';
import { readingAt, useEditing, usePlanned } from '../job/JobContext';
import type { Pointer } from '../job/pointer';
import { useWrong } from './useWrong';
import type { Formats } from '../format/format';
import { sameSize } from '../format/sameSize';
import { fields } from '../words';
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

/** What a field shows back of what was typed in it. */
function useEcho(
  { at, value, small = false, ifEmpty = '' }: Omit<SaidProps, 'label'>,
  wrong: boolean,
): string {
  const { report } = usePlanned();
  const { format } = useEditing();
  if (value.trim() === '') return ifEmpty;
  const reading = readingAt(report, at);
  return reading && !wrong ? saidBack(value, understood(reading, format, small)) : '';
}

/** A size as people say it. It shows back how it was understood, and what is wrong with it. */
export function Said({ at, value, label, compact = false, small = false, ifEmpty }: SaidProps) {
  const { set } = useEditing();
  const wrong = useWrong(at);
  const echo = useEcho({ at, value, small, ifEmpty }, wrong !== undefined);
  return (
    <TextInput
      className={compact ? classes.compact : classes.field}
      classNames={{ input: classes.input ?? '', section: classes.echo ?? '' }}
      size={compact ? 'xs' : 'sm'}
      {...(compact ? { 'aria-label': label } : { label })}
      value={value}
      onChange={(e) => {
        set(at, e.currentTarget.value);
      }}
      inputMode="text"
      autoComplete="off"
      spellCheck={false}
      error={wrong}
      rightSection={<span data-testid={`echo${at}`}>{echo}</span>}
      rightSectionWidth={echo === '' ? 8 : 'auto'}
      rightSectionPointerEvents="none"
    />
  );
}
