import { MomentField } from '../../fields/MomentField';
import { Button, Group, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { useParams } from 'wouter';
import type { CureReport } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { number, type Formats } from '../../format/format';
import { Notes } from '../../fields/Notes';
import { Pick } from '../../common/Pick';
import { fileName, saveFile } from '../../common/saveFile';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { useFirstDay } from '../../common/useFirstDay';
import { useNow } from '../../common/useNow';
import { Views } from '../../common/Views';
import { Why } from '../../fields/Why';
import { cure as words, curing, curingHints, fields, frostGuards, milestones, steps } from '../../words';
import { StrengthChart } from '../../drawing/StrengthChart';
import { usePour } from '../../job/usePour';
import { useDiaryOf, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { Coats } from './Coats';
import { CureCalendar } from './CureCalendar';
import { DiaryPanel } from './DiaryPanel';
import {
  daysText,
  eventsOf,
  eventsOfAll,
  passEventsOf,
  squaresOf,
  toldOf,
  workEventsOf,
  type CureEvent,
} from '../../common/cureEvents';
import { useCalendar } from '../../job/useCalendar';
import classes from './CureStep.module.css';

/** Of a job of many pours; further ones are in the file. */
const MOST_WEEKS = 30;

function sentenceOf(cure: CureReport | null, method: string, format: Formats): string {
  if (!cure) return words.blocked;
  const when = (name: CureReport['milestones'][number]['milestone']) => {
    const at = cure.milestones.find((m) => m.milestone === name)?.at;
    return at ? format.dateHour(at) : null;
  };
  return cure.rewetHours === null
    ? words.noWater(method, format.date(cure.wetUntil))
    : words.sentence(daysText(cure.wetDays), format.date(cure.wetUntil), {
        strip: when('stripEdges'),
        turn: when('turnPiece'),
        walk: when('walk'),
      });
}

function figuresOf(cure: CureReport, now: number, format: Formats): Figure[] {
  const next = cure.nextWetting;
  return [
    ...(cure.rewetHours === null
      ? []
      : [
          {
            label: words.next,
            value: next ? format.dateTime(next) : words.nothingDue,
            note: next && Date.parse(next) < now ? words.overdue(format.time(next)) : undefined,
            lead: true,
            why: { code: 'nextWetting' as const },
          },
          {
            label: words.rewet,
            value: `${number(cure.rewetHours, 1)} h`,
            why: { code: 'rewetting' as const },
          },
        ]),
    { label: words.until, value: format.dateHour(cure.wetUntil), why: { code: 'wetDays' } },
    { label: words.at28, value: format.strength(cure.at28Mpa), why: { code: 'strength' } },
    {
      label: words.drying,
      value: format.evaporation(cure.meanEvaporation),
      why: { code: 'meanEvaporation' },
    },
  ];
}

function Dates({ cure, format }: { cure: CureReport; format: Formats }) {
  return (
    <>
      <table className={classes.dates}>
        <caption>{words.dates}</caption>
        <tbody>
          {cure.milestones.map((m) => (
            <tr key={m.milestone} data-milestone={m.milestone}>
              <th scope="row">
                {milestones[m.milestone]}
                {m.needsMpa > 0 && <small> {words.needs(format.strength(m.needsMpa))}</small>}
              </th>
              <td>
                {m.at ? format.dateHour(m.at) : words.outOfSight}
                {m.earliest && m.latest && m.earliest !== m.latest && (
                  <small>{format.between(m.earliest, m.latest)}</small>
                )}
              </td>
              <td>
                <Why code="milestone" of={m.milestone} about={milestones[m.milestone]} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={classes.hint}>{words.dryIsNotHard}</p>
    </>
  );
}

function KeepWet({ cure }: { cure: CureReport | null }) {
  const { cure: said } = useDocument();
  const { set } = useEditing();
  return (
    <>
      <Group gap="xs" align="flex-start">
        <Pick
          label={fields.method}
          value={said.method}
          of={curing}
          onPick={(v) => {
            set('/cure/method', v);
          }}
        />
        <Amount
          at="/cure/days"
          value={said.days}
          label={fields.wetDays}
          optional
          placeholder={cure ? fields.advised(number(cure.advisedDays, 1)) : ''}
        />
      </Group>
      <p className={classes.hint}>{curingHints[said.method]}</p>
      <Group gap="xs" align="flex-start">
        <MomentField kind="time" at="/cure/wakeFrom" label={words.wakeFrom} value={said.wakeFrom} />
        <MomentField kind="time" at="/cure/wakeUntil" label={words.wakeUntil} value={said.wakeUntil} />
      </Group>
      <Group gap="xs">
        <Pick
          label={words.frost}
          value={said.frost}
          of={frostGuards}
          onPick={(v) => {
            set('/cure/frost', v);
          }}
        />
      </Group>
    </>
  );
}

/** Hands the weeks after to the calendar of a phone. */
function CalendarButton({ events }: { events: CureEvent[] | null }) {
  const { name } = useDocument();
  const { id = '' } = useParams();
  return (
    <div>
      <Button
        size="compact-sm"
        variant="default"
        disabled={events === null}
        onClick={() => {
          if (events === null) return;
          void import('../../common/calendarFile').then(({ calendarOf }) => {
            saveFile(`${fileName(name)}.ics`, 'text/calendar', calendarOf({ id, name }, events));
          });
        }}
      >
        {words.calendarFile}
      </Button>
      <p className={classes.hint}>{words.calendarHint}</p>
    </div>
  );
}

export function CureStep() {
  const [view, setView] = useState<keyof typeof words.views>('strength');
  const [side, setSide] = useState<keyof typeof words.sides>('wet');
  const document = useDocument();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const { lines } = useDiaryOf();
  const now = useNow();
  const firstDay = useFirstDay(document.units);
  const { cure, day } = sections;
  const events = cure && day ? eventsOf(day, cure, format) : [];
  const { several } = usePour();
  const dates = useCalendar(several || view === 'calendar' || side === 'wet');
  const calendar = dates?.pours;
  const work = workEventsOf(dates?.days ?? []);
  const inOrder = (of: CureEvent[]) => of.sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const all = several
    ? calendar && inOrder([...work, ...eventsOfAll(calendar, format, true)])
    : day && dates && inOrder([...work, ...passEventsOf(day), ...events]);
  const poured = day !== null && Date.parse(day.start) <= now;
  return (
    <StepLayout
      ofPour
      title={steps.cure}
      sentence={sentenceOf(cure, curing[document.cure.method], format)}
      drawing={
        cure && (
          <Views label={words.viewsLabel} of={words.views} value={view} onChoose={setView}>
            {view === 'strength' ? (
              <StrengthChart cure={cure} format={format} />
            ) : (
              <CureCalendar
                squares={
                  several
                    ? squaresOf(
                        inOrder([...work, ...eventsOfAll(calendar ?? [], format, false)]),
                        format,
                        firstDay,
                        MOST_WEEKS,
                      )
                    : squaresOf(inOrder([...work, ...events, ...toldOf(cure)]), format, firstDay)
                }
                today={format.isoDate(new Date(now).toISOString())}
              />
            )}
          </Views>
        )
      }
      figures={cure ? figuresOf(cure, now, format) : []}
      notes={<Notes under={['/cure', '/pours']} only={['error', 'warning', 'caution', 'note']} />}
      controls={
        <>
          <SegmentedControl
            size="xs"
            className={classes.sides ?? ''}
            aria-label={words.sidesLabel}
            value={side}
            data={Object.entries(words.sides).map(([value, label]) => ({ value, label }))}
            onChange={(v) => {
              setSide(v as keyof typeof words.sides);
            }}
          />
          {side === 'wet' && <KeepWet cure={cure} />}
          {side === 'wet' && cure && day && <CalendarButton events={all ?? null} />}
          {side === 'dates' && cure && <Dates cure={cure} format={format} />}
          {side === 'coats' && <Coats cure={cure} format={format} />}
          {side === 'diary' && cure && (
            <DiaryPanel cure={cure} poured={poured || lines.length > 0} format={format} />
          )}
        </>
      }
    />
  );
}
