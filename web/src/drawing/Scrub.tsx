import type { Formats } from '../format/format';
import { board as words } from '../words';

const STEP_MS = 5 * 60_000;

interface ScrubProps {
  /** Milliseconds, all three. */
  from: number;
  until: number;
  at: number;
  onLook: (at: number) => void;
  format: Formats;
}

/** Through a day, in steps of five minutes. */
export function Scrub({ from, until, at, onLook, format }: ScrubProps) {
  return (
    <input
      type="range"
      aria-label={words.scrub}
      aria-valuetext={format.time(new Date(at).toISOString())}
      min={from}
      max={until}
      step={STEP_MS}
      value={at}
      onChange={(e) => {
        onLook(e.currentTarget.valueAsNumber);
      }}
    />
  );
}
