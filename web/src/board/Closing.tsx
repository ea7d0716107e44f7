import { useState } from 'react';
import { number } from '../format/format';
import { board as words } from '../words';
import classes from './Board.module.css';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';
import { Stepper } from './Stepper';
import { Tick } from './Tick';

/** The end of the day: tools, cover, what was kept back, what is left over. */
export function Closing() {
  const { tell, pour } = useBoard();
  const [washed, setWashed] = useState(false);
  const [covered, setCovered] = useState(false);
  const [holdBackUsed, setUsed] = useState(false);
  const [bagsLeft, setLeft] = useState(0);
  const ticks: [string, boolean, (on: boolean) => void][] = [
    [words.closing.washed, washed, setWashed],
    [words.closing.covered, covered, setCovered],
    [words.closing.holdBack, holdBackUsed, setUsed],
  ];
  return (
    <section aria-label={words.close} className={partsStyles.closing}>
      <h2>{words.closing.title}</h2>
      {ticks.map(([label, on, set]) => (
        <Tick key={label} label={label} on={on} onChange={set} />
      ))}
      <Stepper
        label={words.closing.left}
        value={bagsLeft}
        text={number(bagsLeft, 1)}
        step={0.5}
        least={0}
        most={200}
        onChange={setLeft}
      />
      <button
        type="button"
        className={classes.strong}
        onClick={() => {
          if (covered) tell({ kind: 'coverOn', pour });
          tell({ kind: 'dayClosed', washed, holdBackUsed, bagsLeft, pour });
        }}
      >
        {words.closing.done}
      </button>
    </section>
  );
}
