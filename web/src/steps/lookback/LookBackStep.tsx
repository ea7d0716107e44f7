import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { LookBackReport } from '../../api/client';
import { LearntList } from '../../common/LearntList';
import { useLearnt } from '../../common/useLearnt';
import { DayLook } from '../../drawing/DayLook';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { number, type Formats } from '../../format/format';
import { useEditing, usePlanned } from '../../job/JobContext';
import { useFollow } from '../../job/useFollow';
import { useLookBack } from '../../job/useLookBack';
import { app, lookBack as words, standoutText, steps, toldTemperatures } from '../../words';
import { useWaits } from '../../common/doors';
import { Files } from './Files';
import { HowItIs } from './HowItIs';
import classes from './LookBackStep.module.css';
import { TellDay } from './TellDay';

/** So many of what stood out are said in the sentence. */
const SAID = 2;

const isAhead = (look: LookBackReport): boolean => Date.parse(look.planned.start) > Date.now();

function sentenceOf(look: LookBackReport | null, asked: boolean, format: Formats): string {
  if (!look) return asked ? words.blocked : app.loading;
  if (!look.told) return isAhead(look) ? words.ahead(format.date(look.planned.start)) : words.nothing;
  const said = look.stood.slice(0, SAID).map((s) => standoutText(s, format));
  return [look.closed ? '' : words.under, ...(said.length === 0 ? [words.asPlanned] : said)]
    .filter(Boolean)
    .join(' ');
}

function figuresOf(look: LookBackReport, format: Formats): Figure[] {
  const first = look.batches.find((b) => b.begun !== null)?.begun ?? null;
  const last = look.batches.at(-1)?.placed ?? null;
  const done =
    look.passes
      .flatMap((p) => (p.done === null ? [] : [p.done]))
      .sort()
      .at(-1) ?? null;
  const { figures } = words;
  const time = (label: string, told: string | null, planned: string, lead = false): Figure => ({
    label,
    value: told === null ? words.notTold : format.time(told),
    note: words.plannedAt(format.time(planned)),
    lead,
  });
  return [
    time(figures.start, first, look.planned.start, true),
    time(figures.mixing, last, look.planned.mixingEnds),
    time(figures.done, done, look.planned.doneBy),
    ...(look.bags === null
      ? []
      : [
          {
            label: figures.bags,
            value: number(look.bags.used, 1),
            note:
              look.bags.left > 0
                ? words.leftOver(number(look.bags.left, 1), format.money(look.bags.leftMoney))
                : words.ofPlanned(number(look.bags.planned, 1)),
          },
        ]),
    ...(look.waterAddedL > 0 ? [{ label: figures.water, value: format.litres(look.waterAddedL) }] : []),
    ...(look.strength === null
      ? []
      : [
          {
            label: figures.strength,
            value: format.strength(look.strength.at28Mpa),
            note: look.strength.probed ? words.probed : words.ofFull(format.strength(look.strength.f28Mpa)),
          },
        ]),
    ...(look.costMoney === null ? [] : [{ label: figures.cost, value: format.money(look.costMoney) }]),
  ];
}

/** All that was not as planned, and what else was told. */
function StoodOut({ look }: { look: LookBackReport }) {
  const { format } = useEditing();
  return (
    <div data-testid="stood">
      <ul className={classes.stood}>
        {look.stood.length === 0 && <li>{look.told ? words.asPlanned : words.none}</li>}
        {look.stood.map((s, i) => (
          <li key={i} data-code={s.code}>
            {standoutText(s, format)}
          </li>
        ))}
      </ul>
      {look.temperatures.length > 0 && (
        <>
          <h3 className={classes.small}>{words.temperatures}</h3>
          <ul className={classes.plain}>
            {look.temperatures.map((t) => (
              <li key={`${t.at} ${t.of}`}>
                {format.time(t.at)} {toldTemperatures[t.of]} {format.celsius(t.c)}
              </li>
            ))}
          </ul>
        </>
      )}
      {look.covers.length > 0 && (
        <>
          <h3 className={classes.small}>{words.covers}</h3>
          <ul className={classes.plain}>
            {look.covers.map((c) => (
              <li key={c.at}>
                {format.dateTime(c.at)} {c.on ? words.coverOn : words.coverOff}
                {c.zone !== null && `, ${words.zone(number(c.zone))}`}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** What this pour, and those before it, say of the next: the values that belong to its crew, mixer, mix, bed and site. */
function Taught({ look }: { look: LookBackReport | null }) {
  const learnt = useLearnt();
  const own = look?.keys ?? [];
  return (
    <LearntList
      learnt={learnt}
      only={(v) => own.some((k) => k.of === v.key.of && k.what === v.key.what && k.who === v.key.who)}
    />
  );
}

type Side = keyof typeof words.sides;

/** The last step: what happened, how it is now, and what the next plan takes over from it. */
export function LookBackStep() {
  const { look, asked } = useLookBack();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const [chosen, choose] = useState<Side | null>(null);
  useFollow();
  // What nobody told of yet is told first.
  const side = useWaits('probe')
    ? 'files'
    : (chosen ?? (!look || look.told ? 'stood' : isAhead(look) ? 'learnt' : 'tell'));
  return (
    <StepLayout
      ofPour
      title={steps.lookBack}
      sentence={sentenceOf(look, asked, format)}
      drawing={
        look &&
        sections.day && <DayLook look={look} air={{ ...sections.day, hours: look.hours }} format={format} />
      }
      figures={look ? figuresOf(look, format) : []}
      notes={null}
      controls={
        <>
          <SegmentedControl
            size="xs"
            className={classes.sides ?? ''}
            aria-label={words.sidesLabel}
            value={side}
            data={Object.entries(words.sides).map(([value, label]) => ({ value, label }))}
            onChange={(v) => {
              choose(v as Side);
            }}
          />
          {side === 'stood' && look && <StoodOut look={look} />}
          {side === 'faults' && look && <HowItIs look={look} />}
          {side === 'learnt' && <Taught look={look} />}
          {side === 'tell' && look && <TellDay look={look} />}
          {side === 'files' && (
            <Files
              look={look}
              onFile={() => {
                choose('files');
              }}
            />
          )}
        </>
      }
    />
  );
}
