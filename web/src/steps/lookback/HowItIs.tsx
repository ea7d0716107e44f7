import { Button, NativeSelect, Textarea } from '@mantine/core';
import { useRef, useState } from 'react';
import { useParams } from 'wouter';
import type { Enum, LookBackReport } from '../../api/client';
import { FaultPlan } from '../../drawing/FaultPlan';
import { ElementPick } from '../../fields/ElementPick';
import { useChosenElement, useDiaryOf, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { placeOf } from '../../job/pictures';
import { useDevice } from '../../job/useDevice';
import { usePhoto } from '../../job/usePhoto';
import { faultCauses, faultMeasures, faults as words, faultSigns, faultTelling, mendings } from '../../words';
import classes from './LookBackStep.module.css';

type Seen = LookBackReport['faults'][number];

/** A fault with its likely causes: what to do now, and next time. */
function OneFault({ fault }: { fault: Seen }) {
  const { id = '' } = useParams();
  const { format } = useEditing();
  const { tell } = useDiaryOf();
  const { seen, why } = fault;
  const likely = why.causes.filter((c) => c.verdict === 'likely');
  const shown = likely.length > 0 ? likely : why.causes.filter((c) => c.verdict === 'notTold');
  return (
    <div className={classes.fault} data-testid="seen-fault" data-sign={seen.sign}>
      <h3>{faultSigns[seen.sign]}</h3>
      <p className={classes.soft}>
        {format.date(seen.at)}
        {seen.alongM != null &&
          seen.inM != null &&
          `, ${faultTelling.placed(format.typed(seen.alongM), format.typed(seen.inM))}`}
      </p>
      {seen.note !== undefined && seen.note !== '' && <p>{seen.note}</p>}
      {seen.picture !== undefined && seen.picture !== '' && (
        <img src={placeOf(id, seen.picture)} alt={faultTelling.ofPicture(faultSigns[seen.sign])} />
      )}
      {shown.map((c) => (
        <p key={c.cause} data-cause={c.cause} data-verdict={c.verdict}>
          <b>{faultCauses[c.cause].why}</b> {words.verdicts[c.verdict]}
          {c.outside !== null && `: ${faultMeasures[c.measure](c.outside, format)}`}
          <br />
          {words.next}: {faultCauses[c.cause].next}
        </p>
      ))}
      <p>
        <b>
          {words.now}
          {why.from !== null && `, ${words.from(format.date(why.from))}`}:
        </b>{' '}
        {mendings[why.mend]}
      </p>
      <Button
        size="compact-xs"
        variant="default"
        mt={6}
        onClick={() => {
          tell({ kind: 'withdrawn', line: seen.id, pour: seen.pour ?? '' });
        }}
      >
        {faultTelling.strike}
      </Button>
    </div>
  );
}

/** Faults of an element that have a place. */
const marksOf = (look: LookBackReport, element: string) =>
  look.faults.flatMap(({ seen }) =>
    seen.alongM == null || seen.inM == null || (seen.element ?? '') !== element
      ? []
      : [{ alongM: seen.alongM, inM: seen.inM, label: faultSigns[seen.sign] }],
  );

const signs = Object.keys(faultSigns) as Enum<'FaultSign'>[];

/** Tells of a fault: what is seen, where on the plan, with a photo. */
function AddFault({ look }: { look: LookBackReport }) {
  const { id = '' } = useParams();
  const document = useDocument();
  const { sections, report } = usePlanned();
  const { format } = useEditing();
  const { tell } = useDiaryOf();
  const device = useDevice();
  const [at] = useChosenElement();
  const input = useRef<HTMLInputElement>(null);
  const [sign, setSign] = useState<Enum<'FaultSign'> | ''>('');
  const [placed, place] = useState<{ alongM: number; inM: number } | null>(null);
  const [note, setNote] = useState('');
  const [picture, setPicture] = useState('');
  const { wrong, take } = usePhoto(id);
  const element = sections.shape?.elements.find((e) => e.index === at);
  const own = document.elements[at]?.id ?? '';
  return (
    <details className={classes.form}>
      <summary>{faultTelling.add}</summary>
      <ElementPick />
      <NativeSelect
        label={faultTelling.sign}
        value={sign}
        data={[
          { value: '', label: faultTelling.choose },
          ...signs.map((s) => ({ value: s, label: faultSigns[s] })),
        ]}
        onChange={(e) => {
          setSign(e.currentTarget.value as Enum<'FaultSign'> | '');
        }}
      />
      <p className={classes.soft}>
        {faultTelling.place}{' '}
        {placed === null
          ? faultTelling.noPlace
          : faultTelling.placed(format.typed(placed.alongM), format.typed(placed.inM))}
      </p>
      {element && (
        <div className={classes.plan}>
          <FaultPlan
            element={element}
            format={format}
            placed={placed}
            marks={marksOf(look, own)}
            onPlace={(alongM, inM) => {
              place({ alongM, inM });
            }}
          />
        </div>
      )}
      <Textarea
        label={faultTelling.note}
        value={note}
        autosize
        maxLength={500}
        onChange={(e) => {
          setNote(e.currentTarget.value);
        }}
      />
      <div className={classes.line}>
        <Button size="compact-sm" variant="default" onClick={() => input.current?.click()}>
          {faultTelling.photo}
        </Button>
        <input
          ref={input}
          type="file"
          accept="image/*"
          className="visually-hidden"
          tabIndex={-1}
          aria-label={faultTelling.photo}
          onChange={(e) => {
            void take(e.currentTarget.files?.[0], setPicture);
            e.currentTarget.value = '';
          }}
        />
        <Button
          size="compact-sm"
          disabled={sign === '' || undefined}
          onClick={() => {
            if (sign === '') return;
            tell(
              {
                kind: 'faultSeen',
                sign,
                element: own,
                alongM: placed?.alongM ?? null,
                inM: placed?.inM ?? null,
                picture,
                pour: report.pour ?? '',
              },
              { device, note },
            );
            setSign('');
            place(null);
            setNote('');
            setPicture('');
          }}
        >
          {faultTelling.tell}
        </Button>
        {picture !== '' && <span className={classes.soft}>{faultTelling.photoKept}</span>}
      </div>
      {wrong !== '' && <p role="alert">{wrong}</p>}
    </details>
  );
}

/** Where on the plan faults were seen: of the first element that has any. */
function Places({ look }: { look: LookBackReport }) {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const of = look.faults.find(({ seen }) => seen.alongM != null)?.seen.element;
  const index = document.elements.findIndex((e) => e.id === of);
  const element = sections.shape?.elements.find((e) => e.index === index);
  if (!element) return null;
  return (
    <div className={classes.places}>
      <FaultPlan element={element} format={format} placed={null} marks={marksOf(look, of ?? '')} />
    </div>
  );
}

/** How it turned out: faults that were seen, why, what mends them, and what to do next time. */
export function HowItIs({ look }: { look: LookBackReport }) {
  return (
    <div data-testid="how-it-is">
      {look.faults.length === 0 && <p className={classes.soft}>{faultTelling.none}</p>}
      <Places look={look} />
      {look.faults.map((f) => (
        <OneFault key={f.seen.id} fault={f} />
      ))}
      <AddFault look={look} />
    </div>
  );
}
