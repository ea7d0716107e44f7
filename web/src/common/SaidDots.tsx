import type { LearntValue } from '../api/client';
import { change } from '../format/format';
import { learnt as words } from '../words';
import classes from './SaidDots.module.css';

const WIDTH = 190;
const HEIGHT = 46;
const PAD = 10;
/** At the least so far to either side, as a logarithm. */
const LEAST = 0.15;

/** Each pour's reading as a dot, in the order of the pours, with what is used now and what would be: a small picture of why. */
export function SaidDots({ value, title }: { value: LearntValue; title: string }) {
  const logs = value.said.map((s) => Math.log(s.factor));
  const most = Math.max(LEAST, ...logs.map(Math.abs), Math.abs(Math.log(value.now.factor))) * 1.15;
  const y = (factor: number) => HEIGHT / 2 - (Math.log(factor) / most) * (HEIGHT / 2 - 6);
  const x = (i: number) => PAD + ((i + 0.5) / value.said.length) * (WIDTH - 2 * PAD - 26);
  const all = value.said.map((s) => change(s.factor)).join(', ');
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={words.saysOf(title, all)}
      className={classes.picture}
    >
      <line x1={0} x2={WIDTH - 26} y1={HEIGHT / 2} y2={HEIGHT / 2} className={classes.plain} />
      <rect
        x={0}
        width={WIDTH - 26}
        y={y(value.now.high)}
        height={Math.max(1, y(value.now.low) - y(value.now.high))}
        className={classes.spread}
      />
      <line
        x1={0}
        x2={WIDTH - 26}
        y1={y(value.now.factor)}
        y2={y(value.now.factor)}
        className={classes.now}
      />
      {value.inUse.pours > 0 && (
        <line
          x1={0}
          x2={WIDTH - 26}
          y1={y(value.inUse.factor)}
          y2={y(value.inUse.factor)}
          className={classes.inUse}
        />
      )}
      {value.said.map((s, i) => (
        <circle key={`${s.job} ${s.pour}`} cx={x(i)} cy={y(s.factor)} r={4} className={classes.said} />
      ))}
    </svg>
  );
}
