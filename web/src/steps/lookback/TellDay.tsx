import { Button, TextInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'wouter';
import type { LookBackReport } from '../../api/client';
import { MomentField } from '../../fields/MomentField';
import { TypedField } from '../../common/TypedField';
import { number } from '../../format/format';
import { clockOf } from '../../format/format';
import { timeTyped } from '../../format/typed';
import { momentOf } from '../../job/clock';
import { useDiaryOf, useEditing, usePlanned } from '../../job/JobContext';
import { useDevice } from '../../job/useDevice';
import type { Telling } from '../../job/useDiary';
import { usePour } from '../../job/usePour';
import { passes, telling as words } from '../../words';
import classes from './LookBackStep.module.css';

const readable = (typed: string) => typed === '' || timeTyped(typed) !== null;

interface TimeProps {
  label: string;
  value: string;
  placeholder: string;
  wrong?: string | undefined;
  onSay: (value: string) => void;
}

function Time({ label, value, placeholder, wrong, onSay }: TimeProps) {
  return (
    <TypedField
      label={label}
      value={value}
      error={readable(value) ? wrong : words.wrong}
      placeholder={placeholder}
      width={90}
      read={timeTyped}
      show={clockOf}
      onSay={onSay}
    />
  );
}

/** A day told from the paper: when the first water went in, the bags, when each pass was begun, what it looked like. */
export function TellDay({ look }: { look: LookBackReport }) {
  const { id = '' } = useParams();
  const { report } = usePlanned();
  const { format } = useEditing();
  const { tell } = useDiaryOf();
  const device = useDevice();
  const { date, at, change } = usePour();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [looked, setLooked] = useState('');
  const [asked, setAsked] = useState(false);
  if (look.told) {
    return (
      <p className={classes.soft}>
        {words.told} <Link to={`/jobs/${id}/pour`}>{words.again}</Link>
      </p>
    );
  }
  const { planned } = look;
  const say = (key: string) => (value: string) => {
    setTyped((now) => ({ ...now, [key]: value }));
  };
  const of = (key: string) => typed[key] ?? '';
  const moment = (key: string) => {
    const clock = timeTyped(of(key));
    return clock === null ? null : momentOf(planned.start, format.time(planned.start), clock);
  };
  const [first, last] = [moment('first'), moment('last')];
  const bags = of('bags') === '' ? null : Number(of('bags').replace(',', '.'));
  const wrongBags = bags !== null && !(bags >= 0);
  const early = first !== null && last !== null && last <= first;
  const zones = planned.zones.map((z, i) => ({
    number: i + 1,
    sheen: z.sheenGone ?? null,
    passes: z.passes.filter((p) => p.begins !== null),
  }));
  const send = () => {
    setAsked(true);
    if (
      first === null ||
      wrongBags ||
      early ||
      !Object.entries(typed).every(([k, v]) => k === 'bags' || readable(v))
    )
      return;
    const pour = report.pour ?? '';
    const lines: [Telling, string, string?][] = [
      [{ kind: 'dayBegun', plan: planned, pour }, first],
      [{ kind: 'batchMixing', batch: 1, pour }, first],
    ];
    if (last !== null) lines.push([{ kind: 'batchPlaced', batch: planned.batches.length, pour }, last]);
    for (const z of zones) {
      const gone = moment(`sheen ${z.number}`);
      if (gone !== null) lines.push([{ kind: 'sheenGone', zone: z.number, pour }, gone]);
      for (const p of z.passes) {
        const begun = moment(`${p.pass} ${z.number}`);
        if (begun !== null) lines.push([{ kind: 'passBegun', zone: z.number, pass: p.pass, pour }, begun]);
      }
    }
    const latest =
      lines
        .map((l) => l[1])
        .sort()
        .at(-1) ?? first;
    if (looked.trim() !== '') lines.push([{ kind: 'noted', pour }, latest, looked.trim()]);
    lines.push([
      { kind: 'dayClosed', washed: true, holdBackUsed: false, bagsLeft: 0, bagsUsed: bags, pour },
      latest,
    ]);
    for (const [what, when, note] of lines)
      tell(what, { at: when, device, ...(note === undefined ? {} : { note }) });
  };
  return (
    <div className={classes.form} data-testid="tell-day">
      <p className={classes.soft}>{words.intro}</p>
      <div className={classes.line}>
        <MomentField
          kind="date"
          at={at.date}
          label={words.day}
          value={date}
          onSay={(d) => {
            change({ date: d });
          }}
        />
        <Time
          label={words.first}
          value={of('first')}
          placeholder={format.time(planned.start)}
          wrong={asked && first === null ? words.wantsFirst : undefined}
          onSay={say('first')}
        />
      </div>
      <div className={classes.line}>
        <Time
          label={words.lastBatch}
          value={of('last')}
          placeholder={format.time(planned.mixingEnds)}
          wrong={early ? words.wrongOrder : undefined}
          onSay={say('last')}
        />
        <TextInput
          size="sm"
          style={{ flex: '1 1 90px' }}
          label={words.bags}
          value={of('bags')}
          inputMode="decimal"
          error={wrongBags ? words.wrongBags : undefined}
          onChange={(e) => {
            say('bags')(e.currentTarget.value);
          }}
        />
      </div>
      {zones.map((z) => (
        <fieldset key={z.number} className={classes.zone}>
          <legend>{words.zone(number(z.number))}</legend>
          <div className={classes.line}>
            {z.sheen !== null && (
              <Time
                label={words.sheen}
                value={of(`sheen ${z.number}`)}
                placeholder={format.time(z.sheen)}
                onSay={say(`sheen ${z.number}`)}
              />
            )}
            {z.passes.map((p) => (
              <Time
                key={p.pass}
                label={passes[p.pass]}
                value={of(`${p.pass} ${z.number}`)}
                placeholder={format.time(p.begins ?? p.opens)}
                onSay={say(`${p.pass} ${z.number}`)}
              />
            ))}
          </div>
        </fieldset>
      ))}
      <Textarea
        label={words.looked}
        value={looked}
        autosize
        maxLength={1000}
        onChange={(e) => {
          setLooked(e.currentTarget.value);
        }}
      />
      <Button onClick={send}>{words.tell}</Button>
    </div>
  );
}
