import { Button, Group } from '@mantine/core';
import type { JobDocument } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { MomentField } from '../../fields/MomentField';
import { Pick } from '../../common/Pick';
import { calendarDay } from '../../format/format';
import { useDocument, useEditing } from '../../job/JobContext';
import { skies, typed as words } from '../../words';
import classes from './DayStep.module.css';

type Typed = NonNullable<JobDocument['site']['typed']>;
type Day = Typed['days'][number];

const MOST_DAYS = 14;
const rains = ['rainMorningPct', 'rainAfternoonPct', 'rainEveningPct', 'rainNightPct'] as const;

const today = () => new Date().toISOString().slice(0, 10);

function dayAfter(date: string): string {
  const day = new Date(`${date}T00:00:00Z`);
  day.setUTCDate(day.getUTCDate() + 1);
  return Number.isNaN(day.getTime()) ? today() : day.toISOString().slice(0, 10);
}

/** The day after the last, as the last was: only what differs is typed. */
function nextDay(days: readonly Day[], first: string): Day {
  const last = days.at(-1);
  return last ? { ...last, date: dayAfter(last.date) } : { date: first, sky: 'broken' };
}

/** A forecast read off a phone, day by day. */
export function TypedForecast({ first }: { first: string }) {
  const { site } = useDocument();
  const { edit } = useEditing();
  const typed = site.typed ?? null;
  const days = typed?.days ?? [];
  const say = (next: Day[]) => {
    edit('/site/typed', (job) => ({
      ...job,
      site: { ...job.site, typed: next.length === 0 ? null : { on: today(), days: next } },
    }));
  };
  return (
    <div data-testid="typed-forecast">
      <p className={classes.source}>{typed ? words.kept(calendarDay(typed.on).day) : words.hint}</p>
      {days.map((d, i) => (
        <fieldset key={i} className={classes.typedDay}>
          <legend>{words.dayOf(calendarDay(d.date).weekday, calendarDay(d.date).day)}</legend>
          <Group gap={6} align="flex-start" wrap="nowrap">
            <MomentField kind="date" at={`/site/typed/days/${i}/date`} label={words.date} value={d.date} />
            <Amount at={`/site/typed/days/${i}/lowC`} value={d.lowC} label={words.low} optional />
            <Amount at={`/site/typed/days/${i}/highC`} value={d.highC} label={words.high} optional />
          </Group>
          <Group gap={6} align="flex-start" wrap="nowrap">
            <Pick
              label={words.sky}
              value={d.sky}
              of={skies}
              onPick={(sky) => {
                say(days.map((other, k) => (k === i ? { ...other, sky } : other)));
              }}
            />
            <Amount at={`/site/typed/days/${i}/windKmh`} value={d.windKmh} label={words.wind} optional />
            <Amount
              at={`/site/typed/days/${i}/humidityPct`}
              value={d.humidityPct}
              label={words.humidity}
              optional
              placeholder={words.notTold}
            />
          </Group>
          <p className={classes.rainTitle}>{words.rain}</p>
          <Group gap={6} align="flex-start" wrap="nowrap">
            {rains.map((r) => (
              <Amount
                key={r}
                at={`/site/typed/days/${i}/${r}`}
                value={d[r]}
                label={words[r]}
                step={10}
                optional
              />
            ))}
          </Group>
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => {
              say(days.toSpliced(i, 1));
            }}
          >
            {words.dropDay}
          </Button>
        </fieldset>
      ))}
      {days.length < MOST_DAYS && (
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => {
            say([...days, nextDay(days, first)]);
          }}
        >
          {days.length === 0 ? words.start : words.addDay}
        </Button>
      )}
    </div>
  );
}
