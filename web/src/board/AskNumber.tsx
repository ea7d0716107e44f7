import { useState, type ReactNode } from 'react';
import { board as words } from '../words';
import classes from './Board.module.css';
import { Sheet } from './Sheet';
import { Stepper } from './Stepper';

interface AskNumberProps {
  title: string;
  /** What stands first. */
  from: number;
  text: (value: number) => string;
  step: number;
  least: number;
  most: number;
  /** What else is asked. */
  children?: ReactNode;
  onSay: (value: number) => void;
  onClose: () => void;
}

/** Asks how much, by large keys, and has it written down. */
export function AskNumber({
  title,
  from,
  text,
  step,
  least,
  most,
  children,
  onSay,
  onClose,
}: AskNumberProps) {
  const [value, setValue] = useState(from);
  return (
    <Sheet title={title} onClose={onClose}>
      {children}
      <Stepper
        label={title}
        value={value}
        text={text(value)}
        step={step}
        least={least}
        most={most}
        onChange={setValue}
      />
      <button
        type="button"
        className={classes.strong}
        onClick={() => {
          onSay(value);
          onClose();
        }}
      >
        {words.say}
      </button>
    </Sheet>
  );
}
