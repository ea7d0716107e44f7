import {
  Button,
  FileButton,
  Group,
  Loader,
  SegmentedControl,
  TextInput,
  UnstyledButton,
} from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, http, type Enum, type JobDocument, type JobLine, type Units } from '../api/client';
import { AppFrame } from '../app/AppFrame';
import { calendarDay, formatsFor, number, type Formats } from '../format/format';
import { fileName, saveFile } from '../common/saveFile';
import { KindPicture } from '../drawing/KindPicture';
import { leftOver, useOutbox } from '../job/outbox';
import { app, pours as pourWords, save as saveWords, startKinds, yard as words } from '../words';
import { SmallPlan } from './SmallPlan';
import classes from './YardPage.module.css';

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

const groups: { title: string; phases: JobLine['phase'][] }[] = [
  { title: words.wetNow, phases: ['pouring', 'keepWet'] },
  { title: words.coming, phases: ['planned', 'unfinished'] },
  { title: words.done, phases: ['hardening', 'done'] },
];

/** What matters about a job now, in a line. */
function gist(job: JobLine, f: Formats): string {
  const size = job.orderL === null ? '' : f.bulk(job.orderL);
  const bags = job.bags === null ? '' : words.bags(number(job.bags));
  const plan = [size, bags].filter(Boolean).join(', ');
  const which =
    job.pours > 1 && job.nextPour !== null ? pourWords.ofMany(number(job.nextPour), number(job.pours)) : '';
  const led = (by: string) => [[by, which].filter(Boolean).join(', '), plan].filter(Boolean).join(': ');
  switch (job.phase) {
    case 'keepWet':
      return [
        words.keptWet(
          job.wetUntil && f.date(job.wetUntil),
          job.nextWetting && f.dateHour(job.nextWetting),
          job.walkFrom && f.dateHour(job.walkFrom),
        ),
        which && job.start ? words.nextPour(f.dateTime(job.start), which) : '',
      ]
        .filter(Boolean)
        .join(' ');
    case 'pouring':
      return [job.doneBy ? words.doneBy(f.time(job.doneBy)) : '', which].filter(Boolean).join(' ');
    case 'planned':
      return led(job.start ? f.dateTime(job.start) : '');
    case 'unfinished':
      return plan;
    case 'hardening':
    case 'done':
      return led(job.start ? words.poured(f.date(job.start)) : '');
    default:
      return job.phase satisfies never;
  }
}

function JobRow({ job, onRemove }: { job: JobLine; onRemove: (job: JobLine) => void }) {
  const format = formatsFor(job.units, job.timeZone);
  return (
    <li className={classes.job} data-testid="job">
      <SmallPlan outline={job.outline} />
      <div className={classes.what}>
        <Link to={`/jobs/${job.id}/shape`} className={classes.name}>
          {job.name === '' ? words.nameless : job.name}
        </Link>
        <p className={classes.gist}>
          {job.state === 'made' ? (
            <>
              <b data-phase={job.phase}>{words.phase[job.phase]}</b> {gist(job, format)}
            </>
          ) : (
            <b data-state={job.state}>{words[job.state]}</b>
          )}
        </p>
        {job.state === 'made' &&
          job.decisions > 0 &&
          (job.phase === 'planned' || job.phase === 'unfinished') && (
            <p className={classes.decisions}>{words.decisions(job.decisions)}</p>
          )}
      </div>
      <UnstyledButton
        className={classes.remove}
        aria-label={`${words.remove}: ${job.name}`}
        onClick={() => {
          onRemove(job);
        }}
      >
        {words.remove}
      </UnstyledButton>
    </li>
  );
}

function NewJob() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [units, setUnits] = useState<Units>('metric');
  const [kind, setKind] = useState<Enum<'StartKind'>>('slab');
  const [wrong, setWrong] = useState<string | null>(null);

  const add = async (document: unknown) => {
    const { data, error } = await http.POST('/api/jobs', { body: document as JobDocument });
    if (data) await navigate(`/jobs/${data.id}/shape`);
    else setWrong((error as { detail?: string } | undefined)?.detail ?? app.failed);
  };
  const start = async () => {
    const { data, error } = await http.GET('/api/jobs/start', {
      params: { query: { name: name.trim() || startKinds[kind], units, timeZone: zone, kind } },
    });
    if (data) await add({ ...data, elements: data.elements.map((e) => ({ ...e, name: startKinds[kind] })) });
    else setWrong((error as { detail?: string } | undefined)?.detail ?? app.failed);
  };
  const open = async (file: File | null) => {
    if (!file) return;
    try {
      await add(JSON.parse(await file.text()));
    } catch {
      setWrong(words.unreadable);
    }
  };
  return (
    <form
      className={classes.fresh}
      onSubmit={(e) => {
        e.preventDefault();
        void start();
      }}
    >
      <h2 className={classes.groupTitle}>{words.newJob}</h2>
      <fieldset className={classes.kinds}>
        <legend>{words.whatIsPoured}</legend>
        {(Object.keys(startKinds) as (keyof typeof startKinds)[]).map((k) => (
          <label key={k} className={classes.kind} data-kind={k}>
            <input
              type="radio"
              name="kind"
              className="visually-hidden"
              value={k}
              checked={k === kind}
              onChange={() => {
                setKind(k);
              }}
            />
            <KindPicture kind={k} />
            <span>{startKinds[k]}</span>
          </label>
        ))}
      </fieldset>
      <TextInput
        label={words.name}
        placeholder={startKinds[kind]}
        value={name}
        maxLength={120}
        error={wrong}
        onChange={(e) => {
          setName(e.currentTarget.value);
        }}
      />
      <Group mt="sm" gap="xs">
        <SegmentedControl
          aria-label={saveWords.units(false)}
          value={units}
          data={[
            { value: 'metric', label: saveWords.units(false) },
            { value: 'us', label: saveWords.units(true) },
          ]}
          onChange={(v) => {
            setUnits(v);
          }}
        />
        <Button type="submit">{words.start}</Button>
      </Group>
      <Group mt="sm" gap="xs">
        <FileButton accept="application/json,.json" onChange={(f) => void open(f)}>
          {(props) => (
            <Button {...props} variant="subtle" size="compact-sm">
              {words.openFile}
            </Button>
          )}
        </FileButton>
        <Button component="a" href="/api/backup" download variant="subtle" size="compact-sm">
          {words.backup}
        </Button>
      </Group>
    </form>
  );
}

function Week() {
  const forecast = api.useQuery('get', '/api/forecast', { params: { query: { timeZone: zone } } });
  if (!forecast.data) return null;
  const format = formatsFor('metric', zone);
  return (
    <section className={classes.week} aria-labelledby="week">
      <h2 className={classes.groupTitle} id="week">
        {words.week}
      </h2>
      <ul className={classes.weekDays}>
        {forecast.data.days.map(({ day: d }) => (
          <li key={d.date} data-dry={d.dry}>
            <b>{calendarDay(d.date).weekday}</b>
            <span>{calendarDay(d.date).day}</span>
            <span>{words.range(format.celsius(d.leastC), format.celsius(d.mostC))}</span>
            <span className={classes.rain}>
              {d.dry ? words.dry : words.rain(format.percent(d.rainChance))}
            </span>
          </li>
        ))}
      </ul>
      {forecast.data.simulated && <p className={classes.simulated}>{app.simulated}</p>}
    </section>
  );
}

/** Jobs that were removed: brought back, or let go for good. */
function RemovedJobs({ onChange }: { onChange: () => Promise<void> }) {
  const removed = api.useQuery('get', '/api/jobs/removed', {}, { staleTime: 0 });
  const [sure, setSure] = useState(false);
  const format = formatsFor('metric', zone);
  const then = async (done: Promise<unknown>) => {
    await done.catch(() => undefined);
    setSure(false);
    await removed.refetch();
    await onChange();
  };
  if (!removed.data || removed.data.length === 0) return null;
  return (
    <details className={classes.gone} data-testid="removed-jobs">
      <summary>{words.removedJobs(number(removed.data.length))}</summary>
      <ul>
        {removed.data.map((j) => (
          <li key={j.id}>
            <span>
              {j.name} <small>{words.removedOn(format.date(j.removedAt))}</small>
            </span>
            <Button
              size="compact-sm"
              variant="default"
              onClick={() =>
                void then(http.POST('/api/jobs/{id}/restore', { params: { path: { id: j.id } } }))
              }
            >
              {words.bringBack}
            </Button>
          </li>
        ))}
      </ul>
      <Group gap="xs">
        {sure && <span role="alert">{words.emptySure}</span>}
        <Button
          size="compact-sm"
          variant="subtle"
          color="red"
          onClick={() => {
            if (sure) void then(http.DELETE('/api/jobs/removed'));
            else setSure(true);
          }}
        >
          {words.emptyRemoved}
        </Button>
      </Group>
    </details>
  );
}

/** What waits on this device, whichever job it is of. */
function Waits({ jobs }: { jobs: JobLine[] }) {
  const { waiting, letGo } = useOutbox();
  const [sure, setSure] = useState<string | null>(null);
  const save = async (job: string) => {
    const { drafts, lines } = await leftOver(job);
    const name = fileName(drafts[0]?.name ?? saveWords.waiting);
    // A change is a job file, that can be opened again; lines of a diary go along beside it.
    if (drafts[0]) saveFile(`${name}.setfirm.json`, 'application/json', JSON.stringify(drafts[0], null, 2));
    if (lines.length > 0) saveFile(`${name}-diary.json`, 'application/json', JSON.stringify(lines, null, 2));
  };
  if (waiting.length === 0) return null;
  return (
    <ul className={classes.waits} role="status" data-testid="waits">
      {waiting.map((w) => (
        <li key={w.job}>
          <Link to={`/jobs/${w.job}/shape`}>{jobs.find((j) => j.id === w.job)?.name ?? words.nameless}</Link>
          {': '}
          {saveWords.waits(
            [w.draft ? saveWords.aDraft : '', w.lines > 0 ? saveWords.someLines(number(w.lines)) : '']
              .filter(Boolean)
              .join(', '),
          )}{' '}
          {w.conflict ? saveWords.waitsConflict : w.why}
          {w.why && (
            <Group gap="xs" mt={4}>
              <Button size="compact-sm" variant="default" onClick={() => void save(w.job)}>
                {saveWords.saveLeft}
              </Button>
              <Button
                size="compact-sm"
                variant="subtle"
                color="red"
                onClick={() => {
                  if (sure === w.job) void letGo(w.job);
                  else setSure(w.job);
                }}
              >
                {saveWords.letGo}
              </Button>
              {sure === w.job && <span role="alert">{saveWords.letGoSure}</span>}
            </Group>
          )}
        </li>
      ))}
    </ul>
  );
}

const ASK_AGAIN_MS = 700;
const RETRY_MS = 2_500;

export function YardPage() {
  const jobs = api.useQuery(
    'get',
    '/api/jobs',
    {},
    {
      staleTime: 0,
      // Lines that are being made come in a moment; a program that is away is asked again.
      refetchInterval: (q) =>
        q.state.status === 'error'
          ? RETRY_MS
          : q.state.data?.some((j) => j.state === 'pending')
            ? ASK_AGAIN_MS
            : false,
    },
  );
  const client = useQueryClient();
  const [removed, setRemoved] = useState<JobLine | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const refresh = async () => {
    await client.invalidateQueries({ queryKey: ['get', '/api/jobs'] });
    await client.invalidateQueries({ queryKey: ['get', '/api/jobs/removed'] });
  };
  const remove = async (job: JobLine) => {
    const gone = await http
      .DELETE('/api/jobs/{id}', {
        params: { path: { id: job.id } },
        headers: { 'If-Match': `"${String(job.version)}"` },
      })
      .catch(() => null);
    setWrong(
      gone?.response.ok
        ? null
        : gone?.response.status === 412
          ? words.changedMeanwhile(job.name)
          : app.failed,
    );
    if (gone?.response.ok) setRemoved(job);
    await refresh();
  };
  const bringBack = async () => {
    if (!removed) return;
    await http.POST('/api/jobs/{id}/restore', { params: { path: { id: removed.id } } });
    setRemoved(null);
    await refresh();
  };
  return (
    <AppFrame page={words.title} title={words.title}>
      <div className={classes.yard}>
        <div className={classes.jobs}>
          {removed && (
            <p className={classes.removed} role="status">
              {words.removed(removed.name)}{' '}
              <Button size="compact-sm" variant="default" onClick={() => void bringBack()}>
                {words.bringBack}
              </Button>
            </p>
          )}
          {wrong !== null && (
            <p className={classes.removed} role="alert">
              {wrong}
            </p>
          )}
          <Waits jobs={jobs.data ?? []} />
          {jobs.isPending && <Loader aria-label={app.loading} />}
          {jobs.isError && <p role="alert">{app.noServer}</p>}
          {jobs.data?.length === 0 && <p className={classes.gist}>{words.empty}</p>}
          {groups.map(({ title, phases }) => {
            const here = jobs.data?.filter((j) => phases.includes(j.phase)) ?? [];
            return here.length === 0 ? null : (
              <section key={title}>
                <h2 className={classes.groupTitle}>{title}</h2>
                <ul className={classes.list}>
                  {here.map((job) => (
                    <JobRow key={job.id} job={job} onRemove={(j) => void remove(j)} />
                  ))}
                </ul>
              </section>
            );
          })}
          <RemovedJobs onChange={refresh} />
        </div>
        <aside className={classes.side}>
          <NewJob />
          <Week />
        </aside>
      </div>
    </AppFrame>
  );
}
