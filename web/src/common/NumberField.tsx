import { TextInput, type TextInputProps } from '@mantine/core';
import { rounded } from '../format/format';
import classes from './NumberField.module.css';

interface NumberFieldProps extends Omit<TextInputProps, 'value' | 'onChange' | 'type' | 'step'> {
  value: number | null | undefined;
  /** By so much the arrow keys and buttons go. */
  step?: number;
  /** Figures after the point that are shown; what is kept stays as it is. */
  places?: number;
  /** Its unit, inside the field. */
  suffix?: string;
  /** Without buttons: where there is little room. */
  plain?: boolean;
  /** Null while the field is empty, or half typed. */
  onSay: (value: number | null) => void;
}

/** A plain number, as browsers themselves take one: keys, buttons, and a telephone's number pad. */
export function NumberField({
  value,
  step = 1,
  places,
  suffix,
  plain = false,
  onSay,
  ...rest
}: NumberFieldProps) {
  return (
    <TextInput
      {...rest}
      type="number"
      inputMode="decimal"
      step={step}
      data-plain={plain || undefined}
      classNames={{ input: classes.input ?? '' }}
      value={value == null ? '' : rounded(value, places)}
      {...(suffix === undefined ? {} : { rightSection: <span aria-hidden>{suffix}</span> })}
      onChange={(e) => {
        const said = e.currentTarget.valueAsNumber;
        onSay(Number.isFinite(said) ? said : null);
      }}
      onWheel={(e) => {
        e.currentTarget.blur(); // the page is scrolled, not the number
      }}
    />
  );
}
