import { useState } from 'react';
import type { Enum } from '../api/client';
import { number } from '../format/format';
import { board as words, toldTemperatures } from '../words';
import classes from './Board.module.css';
import { useBoard } from './session';
import { Sheet } from './Sheet';
import { Stepper } from './Stepper';

type Asked = 'water' | 'temperature' | 'note' | 'trouble' | 'usedUp' | 'hands';

const MOST_HANDS = 8;
const MOST_WATER_L = 10;

/** Whatever else happens: two taps for most, a number by large keys, a note by the keyboard or its microphone. */
export function MorePad() {
  const { report, document, tell, pour, format } = useBoard();
  const [asked, ask] = useState<Asked | null>(null);
  const [note, setNote] = useState('');
  const [litres, setLitres] = useState(0.5);
  const [celsius, setCelsius] = useState(20);
  const [of, setOf] = useState<Enum<'ToldTemperature'>>('mix');
  const [bags, setBags] = useState(1);
  const [hands, setHands] = useState<number | null>(null);
  const { board } = report;
  const batch = Math.max(1, board?.mixing.batches.length ?? 1);
  const people = hands ?? board?.hands ?? document.mixing.hands;
  const done = () => {
    ask(null);
    setNote('');
  };
  const soon: [string, () => void][] = [
    [
      words.water,
      () => {
        ask('water');
      },
    ],
    [
      words.temperature,
      () => {
        ask('temperature');
      },
    ],
    [words.rain, () => tell({ kind: 'rain', pour })],
    [words.coverOn, () => tell({ kind: 'coverOn', pour })],
    [words.coverOff, () => tell({ kind: 'coverOff', pour })],
    [words.mist, () => tell({ kind: 'misted', pour })],
    [words.pause, () => tell({ kind: 'paused', pour })],
    [
      words.hands,
      () => {
        ask('hands');
      },
    ],
    [
      words.usedUp,
      () => {
        ask('usedUp');
      },
    ],
    [
      words.trouble,
      () => {
        ask('trouble');
      },
    ],
    [
      words.note,
      () => {
        ask('note');
      },
    ],
  ];
  return (
    <section aria-label={words.more}>
      <h2>{words.more}</h2>
      <div className={classes.pad}>
        {soon.map(([label, act]) => (
          <button key={label} type="button" onClick={act}>
            {label}
          </button>
        ))}
      </div>
      {asked === 'water' && (
        <Sheet title={`${words.water}, ${words.ofBatch(number(batch))}`} onClose={done}>
          <Stepper
            label={words.water}
            value={litres}
            text={format.litres(litres)}
            step={0.5}
            least={0.5}
            most={MOST_WATER_L}
            onChange={setLitres}
          />
          <button
            type="button"
            className={classes.strong}
            onClick={() => {
              tell({ kind: 'waterAdded', batch, litres, pour });
              done();
            }}
          >
            {words.say}
          </button>
        </Sheet>
      )}
      {asked === 'temperature' && (
        <Sheet title={words.temperature} onClose={done}>
          <div className={classes.row} role="group" aria-label={words.whichTemperature}>
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
          <Stepper
            label={words.temperature}
            value={celsius}
            text={format.celsius(celsius)}
            step={1}
            least={-20}
            most={60}
            onChange={setCelsius}
          />
          <button
            type="button"
            className={classes.strong}
            onClick={() => {
              tell({ kind: 'temperature', of, celsius, pour });
              done();
            }}
          >
            {words.say}
          </button>
        </Sheet>
      )}
      {asked === 'hands' && (
        <Sheet title={words.hands} onClose={done}>
          <Stepper
            label={words.hands}
            value={people}
            text={number(people)}
            step={1}
            least={1}
            most={MOST_HANDS}
            onChange={setHands}
          />
          <button
            type="button"
            className={classes.strong}
            onClick={() => {
              tell({ kind: 'handsChanged', hands: people, pour });
              done();
            }}
          >
            {words.say}
          </button>
        </Sheet>
      )}
      {asked === 'usedUp' && (
        <Sheet title={words.usedUp} onClose={done}>
          <Stepper
            label={words.usedUp}
            value={bags}
            text={number(bags, 1)}
            step={1}
            least={1}
            most={500}
            onChange={setBags}
          />
          <button
            type="button"
            className={classes.strong}
            onClick={() => {
              tell({ kind: 'usedUp', good: 'bag', amount: bags, pour });
              done();
            }}
          >
            {words.say}
          </button>
        </Sheet>
      )}
      {(asked === 'note' || asked === 'trouble') && (
        <Sheet title={words[asked]} onClose={done}>
          <label className={classes.note}>
            {words.noteLabel}
            <textarea
              rows={4}
              maxLength={2000}
              value={note}
              onChange={(e) => {
                setNote(e.currentTarget.value);
              }}
            />
          </label>
          <button
            type="button"
            className={classes.strong}
            disabled={note.trim() === ''}
            onClick={() => {
              tell(asked === 'note' ? { kind: 'noted', pour } : { kind: 'trouble', pour }, note.trim());
              done();
            }}
          >
            {words.say}
          </button>
        </Sheet>
      )}
    </section>
  );
}
