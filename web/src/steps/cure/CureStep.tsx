import { Button, Group, Loader, SegmentedControl } from '@mantine/core';
import { Suspense, lazy, useState } from 'react';
import { useParams } from 'react-router';
import type { CureReport } from '../../api/client';
import { Amount } from '../../common/Amount';
import { number, type Formats } from '../../common/format';
import { Notes } from '../../common/Notes';
import { Pick } from '../../common/Pick';
import { fileName, saveFile } from '../../common/saveFile';
import { StepLayout, type Figure } from '../../common/StepLayout';
import { useNow } from '../../common/useNow';
import { Views } from '../../common/Views';
import { Why } from '../../common/Why';
import {
  app,
  cure as words,
  curing,
  curingHints,
  fields,
  frostGuards,
  milestones,
  steps,
} from '../../common/words';
import { useDiaryOf, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { TimeField } from '../day/SiteFields';
import { Coats } from './Coats';
import { CureCalendar } from './CureCalendar';
import { DiaryPanel } from './DiaryPanel';
import { daysText, eventsOf, passEventsOf, squaresOf, toldOf, type CureEvent } from './events';
import classes from './CureStep.module.css';

// The chart package is large and only wanted here.
const StrengthChart = lazy(() => import('./StrengthChart'));

function sentenceOf(cure: CureReport | null, method: string, format: Formats): string {
  if (!cure) return words.blocked;
  const when = (name: CureReport['milestones'][number]['milestone']) => {
    const at = cure.milestones.find((m) => m.milestone === name)?.at;
    return at ? format.dateHour(at) : null;
  };
  return cure.rewetHours === null
    ? words.noWater(method, format.date(cure.wetUntil))
    : words.sentence(daysText(cure.wetDays), format.date(cure.wetUntil), when('walk'), when('stripEdges'));
}

/** The wetting that comes next; one that a diary says is overdue stays the next. */
function nextWetting(cure: CureReport, now: number, told: boolean): { at: string; overdue: boolean } | null {
  const next = told ? cure.wettings[0] : cure.wettings.find((w) => Date.parse(w.at) >= now);
  return next === undefined ? null : { at: next.at, overdue: Date.parse(next.at) < now };
}

function figuresOf(cure: CureReport, now: number, told: boolean, format: Formats): Figure[] {
  const next = nextWetting(cure, now, told);
  return [
    ...(cure.rewetHours === null
      ? []
      : [
          {
            label: words.next,
            value: next ? format.dateTime(next.at) : words.nothingDue,
            note: next?.overdue === true ? words.overdue(format.time(next.at)) : undefined,
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
        <TimeField at="/cure/wakeFrom" label={words.wakeFrom} value={said.wakeFrom} />
        <TimeField at="/cure/wakeUntil" label={words.wakeUntil} value={said.wakeUntil} />
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
function CalendarButton({ events }: { events: CureEvent[] }) {
  const { name } = useDocument();
  const { id = '' } = useParams();
  return (
    <div>
      <Button
        size="compact-sm"
        variant="default"
        onClick={() => {
          void import('./calendarFile').then(({ calendarOf }) => {
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
  const { cure, day } = sections;
  const events = cure && day ? eventsOf(day, cure, format) : [];
  const told = cure !== null && cure.diary.some((d) => d.kind === 'wetted');
  const poured = day !== null && Date.parse(day.start) <= now;
  return (
    <StepLayout
      title={steps.cure}
      sentence={sentenceOf(cure, curing[document.cure.method], format)}
      drawing={
        cure && (
          <Views label={words.viewsLabel} of={words.views} value={view} onChoose={setView}>
            {view === 'strength' ? (
              <Suspense fallback={<Loader aria-label={app.loading} m="md" />}>
                <StrengthChart cure={cure} format={format} />
              </Suspense>
            ) : (
              <CureCalendar
                squares={squaresOf(
                  [...events, ...toldOf(cure)].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
                  format,
                )}
                today={format.isoDate(new Date(now).toISOString())}
              />
            )}
          </Views>
        )
      }
      figures={cure ? figuresOf(cure, now, told, format) : []}
      notes={<Notes under={['/cure']} only={['error', 'warning', 'caution', 'note']} />}
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
          {side === 'wet' && cure && day && <CalendarButton events={[...passEventsOf(day), ...events]} />}
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
