import { UnstyledButton } from '@mantine/core';
import type { Enum } from '../api/client';
import { consistencies, consistencyTests, mix as words } from '../words';
import classes from './FeelLadder.module.css';

type Consistency = Enum<'Consistency'>;

interface FeelLadderProps {
  /** What the use wants, from the stiffest to the softest. */
  stiffest: Consistency;
  softest: Consistency;
  /** What is aimed at; null where the bag does not say. */
  chosen: Consistency | null;
  onChoose?: ((consistency: Consistency) => void) | undefined;
}

/** A heap of each as it stands, 120 by 56, on a board. */
const HEAPS: Record<Consistency, string> = {
  crumbly:
    'M14 54 L22 46 L28 50 L34 36 L42 41 L48 27 L56 33 L62 22 L70 31 L77 27 L84 42 L90 38 L96 49 L102 46 L108 54 Z',
  balling: 'M34 54 Q30 28 48 20 Q60 12 74 20 Q92 30 87 54 Z',
  stiff: 'M26 54 L42 18 Q60 11 78 18 L94 54 Z',
  plastic: 'M18 54 Q30 30 48 25 Q60 22 74 26 Q92 31 104 54 Z',
  soft: 'M6 54 Q26 40 48 37 Q62 35 78 38 Q98 42 114 54 Z',
  pouring: 'M1 54 Q10 47 30 46 L92 46 Q110 47 119 54 Z',
};

const ladder = Object.keys(HEAPS) as Consistency[];

/** Six heaps from crumbly to pouring: what the use wants is marked, what is aimed at is pressed. */
export function FeelLadder({ stiffest, softest, chosen, onChoose }: FeelLadderProps) {
  const [from, to] = [ladder.indexOf(stiffest), ladder.indexOf(softest)];
  return (
    <div className={classes.ladder} role="group" aria-label={words.feelDrawing} data-testid="feel">
      {ladder.map((c, i) => {
        const wanted = i >= from && i <= to;
        const inside = (
          <>
            <svg viewBox="0 0 120 60" className={classes.heap} aria-hidden>
              <path d={HEAPS[c]} className={classes.mud} />
              <line x1={0} x2={120} y1={55} y2={55} className={classes.board} />
            </svg>
            <span className={classes.text}>
              <b>
                {consistencies[c]}
                {wanted && <i className={classes.wanted}>{words.wanted}</i>}
              </b>
              <span>{consistencyTests[c]}</span>
            </span>
          </>
        );
        return onChoose ? (
          <UnstyledButton
            key={c}
            className={classes.rung}
            data-wanted={wanted}
            aria-pressed={c === chosen}
            onClick={() => {
              onChoose(c);
            }}
          >
            {inside}
          </UnstyledButton>
        ) : (
          <div key={c} className={classes.rung} data-wanted={wanted}>
            {inside}
          </div>
        );
      })}
    </div>
  );
}
