import { Button, Loader, TextInput, UnstyledButton } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useLocation } from 'wouter';
import { api, http, type JobLine } from '../api/client';
import { zone } from '../common/zone';
import { useYardEnglish } from '../common/useYardEnglish';
import { AppFrame } from '../frame/AppFrame';
import { formatsFor, number, type Formats } from '../format/format';
import { useRole } from '../own/useRole';
import {
  app,
  household as householdWords,
  pours as pourWords,
  season as seasonWords,
  yard as words,
} from '../words';
import { NewJob } from './NewJob';
import { Practise } from './Practise';
import { RemovedJobs } from './RemovedJobs';
import { SmallPlan } from './SmallPlan';
import { Today } from './Today';
import { Waits } from './Waits';
import { Week } from './Week';
import classes from './YardPage.module.css';

const groups: { title: string; phases: JobLine['phase'][] }[] = [
  { title: words.wetNow, phases: ['pouring', 'keepWet'] },
  { title: words.coming, phases: ['wentBy', 'planned', 'unfinished'] },
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
    case 'wentBy':
      return [job.start ? words.wasIt(f.date(job.start)) : '', which].filter(Boolean).join(' ');
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

interface JobRowProps {
  job: JobLine;
  plans: boolean;
  onAway: (job: JobLine) => void;
  onRemove: (job: JobLine) => void;
  onCopy: (job: JobLine) => void;
}

function JobRow({ job, plans, onAway, onRemove, onCopy }: JobRowProps) {
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
      {plans && (
        <div className={classes.acts}>
          <UnstyledButton
            className={classes.remove}
            aria-label={`${words.copy}: ${job.name}`}
            onClick={() => {
              onCopy(job);
            }}
          >
            {words.copy}
          </UnstyledButton>
          <UnstyledButton
            className={classes.remove}
            aria-label={`${job.putAway ? words.takeOut : words.putAway}: ${job.name}`}
            onClick={() => {
              onAway(job);
            }}
          >
            {job.putAway ? words.takeOut : words.putAway}
          </UnstyledButton>
          <UnstyledButton
            className={classes.remove}
            aria-label={`${words.remove}: ${job.name}`}
            onClick={() => {
              onRemove(job);
            }}
          >
            {words.remove}
          </UnstyledButton>
        </div>
      )}
    </li>
  );
}

/** With no more jobs than this one sees them all. */
const FEW = 6;
const MOST_NAME = 120;

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Every word that is sought is in it, accents and capitals aside. */
const holds = (name: string, sought: string): boolean =>
  plain(sought)
    .split(/\s+/)
    .every((word) => plain(name).includes(word));

const ASK_AGAIN_MS = 700;
const RETRY_MS = 2_500;

export function YardPage() {
  useYardEnglish();
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
  const [, navigate] = useLocation();
  const [sought, setSought] = useState('');
  const found = (jobs.data ?? []).filter((j) => holds(j.name, sought));
  const kept = found.filter((j) => j.putAway);
  const plans = useRole() === 'plan';
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
  const away = async (job: JobLine) => {
    const path = { params: { path: { id: job.id } } };
    const done = await (
      job.putAway ? http.DELETE('/api/jobs/{id}/away', path) : http.POST('/api/jobs/{id}/away', path)
    ).catch(() => null);
    setWrong(done?.response.ok ? null : app.failed);
    await refresh();
  };
  // First use is led by doing: a job that is all there, to change as one likes.
  const play = async () => {
    const { data } = await http.GET('/api/jobs/example', { params: { query: { timeZone: zone } } });
    const made =
      data && (await http.POST('/api/jobs', { body: { ...data, name: words.toPlayWith(data.name) } }));
    if (made?.data) navigate(`/jobs/${made.data.id}/shape`);
    else setWrong(app.failed);
  };
  // As it was said; what was told of the first is not of the second.
  const copy = async (job: JobLine) => {
    const { data } = await http.GET('/api/jobs/{id}', { params: { path: { id: job.id } } });
    const made =
      data &&
      (await http.POST('/api/jobs', {
        body: { ...data.document, name: words.copyOf(job.name).slice(0, MOST_NAME) },
      }));
    setWrong(made?.data ? null : app.failed);
    await refresh();
  };
  const bringBack = async () => {
    if (!removed) return;
    await http.POST('/api/jobs/{id}/restore', { params: { path: { id: removed.id } } });
    setRemoved(null);
    await refresh();
  };
  const row = (job: JobLine) => (
    <JobRow
      key={job.id}
      job={job}
      plans={plans}
      onAway={(j) => void away(j)}
      onRemove={(j) => void remove(j)}
      onCopy={(j) => void copy(j)}
    />
  );
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
          <Today jobs={(jobs.data ?? []).filter((j) => !j.putAway)} />
          {jobs.isPending && <Loader aria-label={app.loading} />}
          {jobs.isError && <p role="alert">{app.noServer}</p>}
          {(jobs.data?.length ?? 0) > FEW && (
            <TextInput
              className={classes.search ?? ''}
              type="search"
              aria-label={words.search}
              placeholder={words.search}
              value={sought}
              onChange={(e) => {
                setSought(e.currentTarget.value);
              }}
            />
          )}
          {sought !== '' && found.length === 0 && <p className={classes.gist}>{words.notFound(sought)}</p>}
          {jobs.data?.length === 0 && (
            <>
              <p className={classes.gist}>{words.empty}</p>
              {plans && (
                <Button variant="default" onClick={() => void play()}>
                  {words.play}
                </Button>
              )}
            </>
          )}
          {groups.map(({ title, phases }) => {
            const here = found.filter((j) => !j.putAway && phases.includes(j.phase));
            return here.length === 0 ? null : (
              <section key={title}>
                <h2 className={classes.groupTitle}>{title}</h2>
                <ul className={classes.list}>{here.map(row)}</ul>
              </section>
            );
          })}
          {kept.length > 0 && (
            <details className={classes.gone} data-testid="put-away" open={sought !== ''}>
              <summary>{words.putAwayJobs(number(kept.length))}</summary>
              <ul className={classes.list}>{kept.map(row)}</ul>
            </details>
          )}
          {plans && <RemovedJobs onChange={refresh} />}
        </div>
        <aside className={classes.side}>
          {plans && <NewJob />}
          <Week />
          <Practise />
          <p className={classes.season}>
            <Link to="/season">{seasonWords.link}</Link>
            {plans && (
              <>
                <br />
                <Link to="/household">{householdWords.link}</Link>
              </>
            )}
          </p>
        </aside>
      </div>
    </AppFrame>
  );
}
