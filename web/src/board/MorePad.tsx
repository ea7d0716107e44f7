import { useState } from 'react';
import type { Enum } from '../api/client';
import { number } from '../format/format';
import { board as words, toldTemperatures } from '../words';
import { AskNote } from './AskNote';
import { AskNumber } from './AskNumber';
import { PhotoKey } from './PhotoKey';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';

type Asked = 'water' | 'temperature' | 'note' | 'trouble' | 'usedUp' | 'hands';
/** What is told at once. */
type AtOnce = 'rain' | 'coverOn' | 'coverOff' | 'misted' | 'paused';

const keys: { label: string; asks?: Asked; tells?: AtOnce }[] = [
  { label: words.water, asks: 'water' },
  { label: words.temperature, asks: 'temperature' },
  { label: words.rain, tells: 'rain' },
  { label: words.coverOn, tells: 'coverOn' },
  { label: words.coverOff, tells: 'coverOff' },
  { label: words.mist, tells: 'misted' },
  { label: words.pause, tells: 'paused' },
  { label: words.hands, asks: 'hands' },
  { label: words.usedUp, asks: 'usedUp' },
  { label: words.trouble, asks: 'trouble' },
  { label: words.note, asks: 'note' },
];

/** Whatever else happens: two taps for most, a number by large keys, a note by the keyboard or its microphone. */
export function MorePad() {
  const { report, tell, pour, format } = useBoard();
  const [asked, ask] = useState<Asked | null>(null);
  const [of, setOf] = useState<Enum<'ToldTemperature'>>('mix');
  const { board } = report;
  if (!board) return null;
  const batch = Math.max(1, board.mixing.batches.length);
  const done = () => {
    ask(null);
  };
  return (
    <section aria-label={words.more}>
      <h2>{words.more}</h2>
      <div className={partsStyles.pad}>
        {keys.map(({ label, asks, tells }) => (
          <button
            key={label}
            type="button"
            onClick={() => {
              if (tells) tell({ kind: tells, pour });
              else ask(asks ?? null);
            }}
          >
            {label}
          </button>
        ))}
        <PhotoKey />
      </div>
      {asked === 'water' && (
        <AskNumber
          title={words.water}
          from={0.5}
          text={format.litres}
          step={0.5}
          least={0.5}
          most={10}
          onSay={(litres) => tell({ kind: 'waterAdded', batch, litres, pour })}
          onClose={done}
        >
          <p>{words.ofBatch(number(batch))}</p>
        </AskNumber>
      )}
      {asked === 'temperature' && (
        <AskNumber
          title={words.temperature}
          from={20}
          text={format.celsius}
          step={1}
          least={-20}
          most={60}
          onSay={(celsius) => tell({ kind: 'temperature', of, celsius, pour })}
          onClose={done}
        >
          <div className={partsStyles.row} role="group" aria-label={words.whichTemperature}>
            {(Object.keys(toldTemperatures) as Enum<'ToldTemperature'>[]).map((t) => (
              <button
                key={t}
                type="button"
                aria-pressed={of === t}
                onClick={() => {
                  setOf(t);
                }}
              >
                {toldTemperatures[t]}
              </button>
            ))}
          </div>
        </AskNumber>
      )}
      {asked === 'hands' && (
        <AskNumber
          title={words.hands}
          from={board.hands}
          text={number}
          step={1}
          least={1}
          most={board.mostHands}
          onSay={(hands) => tell({ kind: 'handsChanged', hands, pour })}
          onClose={done}
        />
      )}
      {asked === 'usedUp' && (
        <AskNumber
          title={words.usedUp}
          from={1}
          text={(bags) => words.bags(number(bags))}
          step={1}
          least={1}
          most={500}
          onSay={(amount) => tell({ kind: 'usedUp', good: 'bag', amount, pour })}
          onClose={done}
        />
      )}
      {(asked === 'note' || asked === 'trouble') && (
        <AskNote
          title={words[asked]}
          onSay={(note) => tell({ kind: asked === 'note' ? 'noted' : 'trouble', pour }, note)}
          onClose={done}
        />
      )}
    </section>
  );
}
