import classes from './Sheet.module.css';

interface TickProps {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

/** A large tick with its words beside it. */
export function Tick({ label, on, onChange }: TickProps) {
  return (
    <label className={classes.tick}>
      <input
        type="checkbox"
        checked={on}
        onChange={(e) => {
          onChange(e.currentTarget.checked);
        }}
      />
      {label}
    </label>
  );
}
