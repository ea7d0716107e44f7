import { Group, Loader, SegmentedControl, UnstyledButton } from '@mantine/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { http, type DayReport, type ForecastDay } from '../../api/client';
import { StartGrid } from '../../drawing/StartGrid';
import { Views } from '../../common/Views';
import { ZoneScrub } from '../../drawing/ZoneScrub';
import { DayTimeline } from '../../drawing/DayTimeline';
import { useDocument, useEditing, usePlanned, useChosenElement } from '../../job/JobContext';
import { usePour } from '../../job/usePour';
import { calendarDay, number, type Formats } from '../../format/format';
import { Heard } from '../../common/Heard';
import { GoesBy } from '../../fields/GoesBy';
import { Notes } from '../../fields/Notes';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { Why } from '../../fields/Why';
import {
  app,
  day as words,
  fields,
  mix as mixWords,
  dayFaultReasons,
  passes,
  passSigns,
  steps,
  weatherSources,
} from '../../words';
import { MomentField } from '../../fields/MomentField';
import { SiteFields } from './SiteFields';
import { useWaits } from '../../common/doors';
import { TypedForecast } from './TypedForecast';
import classes from './DayStep.module.css';

function sentenceOf(day: DayReport | null, arrives: string | null, format: Formats): string {
  if (!day) return words.blocked;
  const last = day.passes.at(-1);
  const begins = arrives ?? day.start;
  return (
    (arrives === null ? words.sentence : words.byTruck)(
      format.date(begins),
      format.time(begins),
      format.time(day.mixingEnds),
      format.time(day.doneBy),
    ) +
    (last ? words.last(passes[last.pass], format.time(last.opens), format.time(last.closes)) : '') +
    (day.chance === null
      ? words.tooFarAhead
      : words.wrong(number(day.chance * 100), day.faults[0] ? dayFaultReasons[day.faults[0].fault] : null))
  );
}

/** When the last zone's sheen is gone; where none shows it dries as fast as it bleeds. */
const sheenOf = (day: DayReport, format: Formats): string => {
  const gone = day.zones.at(-1)?.sheenGone ?? null;
  return gone === null ? words.noSheen : format.time(gone);
};

const figuresOf = (day: DayReport, format: Formats): Figure[] => [
  {
    label: words.chance,
    value: day.chance === null ? words.tooFar : format.percent(day.chance),
    lead: true,
    why: { code: 'startChance' },
  },
  { label: words.rainChance, value: format.percent(day.rainChance), why: { code: 'rainChance' } },
  { label: words.peak, value: format.evaporation(day.peakEvaporation), why: { code: 'evaporation' } },
  { label: words.mixC, value: format.celsius(day.mixC), why: { code: 'mixTemperature' } },
  {
    label: words.sheenGone,
    value: sheenOf(day, format),
    why: { code: 'sheen' },
  },
  ...(day.initialSet === null
    ? []
    : [
        {
          label: words.initialSet,
          value: format.time(day.initialSet),
          why: { code: 'firstSetOnSite' as const },
        },
      ]),
  ...(day.finalSet === null
    ? []
    : [
        { label: words.finalSet, value: format.time(day.finalSet), why: { code: 'finalSetOnSite' as const } },
      ]),
  { label: words.doneBy, value: format.time(day.doneBy), why: { code: 'doneBy' } },
];

/** Fourteen days as buttons, a line of weather on each. */
function DayPicker({
  days,
  date,
  onPick,
  format,
}: {
  days: ForecastDay[];
  date: string;
  onPick: (date: string) => void;
  format: Formats;
}) {
  return (
    <div className={classes.days} role="group" aria-label={fields.day}>
      {days.map(({ day: d, source }) => {
        const text = calendarDay(d.date);
        return (
          <UnstyledButton
            key={d.date}
            className={classes.day}
            data-source={source}
            aria-pressed={d.date === date}
            onClick={() => {
              onPick(d.date);
            }}
          >
            <b>{text.weekday}</b>
            <span>{text.day}</span>
            <span className={classes.temps}>
              {format.degrees(d.mostC)}
              <i>{format.degrees(d.leastC)}</i>
            </span>
            <span className={classes.wet} aria-hidden>
              <span style={{ height: `${String(d.rainChance * 100)}%` }} />
            </span>
            <span className={classes.rainText}>
              <Heard>{words.heardRain}</Heard>
              {format.percent(d.rainChance)}
              <Heard>{words.heardWind(format.wind(d.windKmh))}</Heard>
              {source === 'typed' && <em>{weatherSources[source]}</em>}
            </span>
          </UnstyledButton>
        );
      })}
    </div>
  );
}

/** The same windows as a list: what to look for stands first. */
function Windows({ day, format }: { day: DayReport; format: Formats }) {
  return (
    <table className={classes.windows}>
      <caption>{words.sign}</caption>
      <thead>
        <tr>
          <th scope="col">{words.pass}</th>
          <th scope="col">{words.opens}</th>
          <th scope="col">{words.closes}</th>
          <th>
            <span className="visually-hidden">?</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {day.passes.map((p) => (
          <tr key={p.pass} data-pass={p.pass}>
            <th scope="row">
              {passes[p.pass]}
              <small>{passSigns[p.pass]}</small>
            </th>
            <td>{format.time(p.opens)}</td>
            <td>{format.time(p.closes)}</td>
            <td>
              <Why code="passWindow" of={p.pass} about={passes[p.pass]} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Ways that every hour is first judged by. */
const FIRST_LOOK = 24;

/** Every hour of the fortnight, judged by the same sums as the day itself: by few ways at once, then by all. */
function Starts() {
  const document = useDocument();
  const { format } = useEditing();
  const { pour, date: shown, start: begins, change } = usePour();
  const first = useQuery({
    queryKey: ['starts', document, pour?.id, FIRST_LOOK],
    queryFn: async ({ signal }) => {
      const { data } = await http.POST('/api/starts', {
        body: { document, pour: pour?.id ?? null, members: FIRST_LOOK },
        signal,
      });
      if (!data) throw new Error();
      return data;
    },
    staleTime: 60_000,
  });
  const asked = useQuery({
    queryKey: ['starts', document, pour?.id],
    queryFn: async ({ signal }) => {
      const { data } = await http.POST('/api/starts', { body: { document, pour: pour?.id ?? null }, signal });
      if (!data) throw new Error();
      return data;
    },
    // A first order by few ways stands until all have been followed; hours keep their places.
    placeholderData: (before) => first.data ?? before,
    staleTime: 60_000,
  });
  if (!asked.data) return <Loader m="lg" aria-label={app.loading} />;
  if (asked.data.hours.length === 0) return <p className={classes.simulated}>{words.startsNone}</p>;
  return (
    <StartGrid
      hours={asked.data.hours}
      best={asked.data.best}
      members={asked.data.members}
      time={format.time}
      date={shown}
      start={begins}
      onPick={(date, start) => {
        change({ date, start });
      }}
    />
  );
}

const DAY_MS = 24 * 60 * 60 * 1000;
const DAYS_SHOWN = 14;

/** Days of a file are shown a fortnight at a time: that which holds the job's day. */
function fortnightOf(date: string): string | undefined {
  const day = Date.parse(`${date}T00:00:00Z`) / DAY_MS;
  if (!Number.isFinite(day)) return undefined;
  return new Date(Math.floor(day / DAYS_SHOWN) * DAYS_SHOWN * DAY_MS).toISOString().slice(0, 10);
}

export function DayStep() {
  const [chosenSide, setSide] = useState<keyof typeof words.sides>('when');
  const side = useWaits('weather') ? 'site' : chosenSide;
  const [view, setView] = useState<keyof typeof words.views>('hours');
  const document = useDocument();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const { date: shown, start: begins, at, change } = usePour();
  const { site, timeZone, units } = document;
  const from = site.weatherFile === '' ? undefined : fortnightOf(shown);
  const forecast = useQuery({
    queryKey: ['days', site, timeZone, units, from],
    queryFn: async ({ signal }) => {
      const { data } = await http.POST('/api/days', {
        params: { query: from === undefined ? {} : { from } },
        body: document,
        signal,
      });
      if (!data) throw new Error();
      return data;
    },
    placeholderData: keepPreviousData,
    staleTime: 600_000,
  });
  const day = sections.day;
  const [chosen] = useChosenElement();
  const element = sections.shape?.elements.find(
    (e) => e.index === (day?.zones.some((z) => z.element === chosen) ? chosen : day?.zones[0]?.element),
  );
  return (
    <StepLayout
      ofPour
      title={steps.day}
      sentence={sentenceOf(day, sections.load?.truck?.arrivesAt ?? null, format)}
      drawing={
        day && (
          <Views label={mixWords.viewsLabel} of={words.views} value={view} onChoose={setView}>
            {view === 'hours' ? (
              <DayTimeline
                day={day}
                format={format}
                start={begins}
                onStart={(start) => {
                  change({ start });
                }}
              />
            ) : view === 'map' && element ? (
              <ZoneScrub element={element} day={day} format={format} />
            ) : (
              <Starts />
            )}
          </Views>
        )
      }
      figures={day ? figuresOf(day, format) : []}
      notes={<Notes under={['/day', '/pours', '/timeZone']} only={['error', 'warning', 'note']} />}
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
          <GoesBy of={['set', 'sheen', 'finishing', 'pace']} />
          {side === 'when' && forecast.data && (
            <DayPicker
              days={forecast.data.days}
              date={shown}
              format={format}
              onPick={(date) => {
                change({ date });
              }}
            />
          )}
          {side === 'when' && (
            <>
              {forecast.data?.simulated && <p className={classes.simulated}>{app.simulatedShort}</p>}
              <Group gap="xs" align="flex-start">
                <MomentField
                  kind="time"
                  at={at.start}
                  label={sections.load?.truck ? fields.truckTime : fields.startTime}
                  value={begins}
                  onSay={(start) => {
                    change({ start });
                  }}
                />
                <MomentField
                  kind="date"
                  at={at.date}
                  label={fields.otherDay}
                  value={shown}
                  onSay={(date) => {
                    change({ date });
                  }}
                />
              </Group>
            </>
          )}
          {side === 'forecast' && <TypedForecast first={shown} />}
          {side === 'site' && (
            <SiteFields
              onFile={() => {
                setSide('site');
              }}
            />
          )}
          {side === 'passes' && day && <Windows day={day} format={format} />}
          {side === 'passes' && day && (
            <p className={classes.simulated}>
              {words.band} {words.zones(day.zones.length)} {words.crewMark}
            </p>
          )}
        </>
      }
    />
  );
}
