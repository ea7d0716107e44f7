import { board as words } from '../words';
import classes from './Sheet.module.css';

interface StepperProps {
  label: string;
  value: number;
  /** As it is shown. */
  text: string;
  step: number;
  least: number;
  most: number;
  onChange: (value: number) => void;
}

/** A number set by two large keys: no typing. */
export function Stepper({ label, value, text, step, least, most, onChange }: StepperProps) {
  return (
    <div className={classes.stepper} role="group" aria-label={label}>
      <span>{label}</span>
      <button
        type="button"
        aria-label={`${words.less}: ${label}`}
        disabled={value <= least}
        onClick={() => {
          onChange(Math.max(least, value - step));
        }}
      >
        −
      </button>
      <output>{text}</output>
      <button
        type="button"
        aria-label={`${words.moreOf}: ${label}`}
        disabled={value >= most}
        onClick={() => {
          onChange(Math.min(most, value + step));
        }}
      >
        +
      </button>
    </div>
  );
}
