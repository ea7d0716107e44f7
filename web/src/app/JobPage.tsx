import { ActionIcon, Button, Loader, MantineThemeProvider, Text, createTheme } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp, IconArrowForwardUp, IconDownload, IconHistory } from '@tabler/icons-react';
import { Suspense, lazy, useCallback, useMemo, useState, useSyncExternalStore } from 'react';
import { Link, Redirect, useLocation, useParams } from 'wouter';
import { api, type Job, type JobDocument, type PlanReport, type Remedy, type StepName } from '../api/client';
import { AppFrame } from '../frame/AppFrame';
import { lookOnly, looksOnly } from './lookOnly';
import { formatsFor } from '../format/format';
import { fileName, saveFile } from '../common/saveFile';
import { zone } from '../common/zone';
import { app, save as saveWords, speak, stepStates, steps, threads } from '../words';
import { DiaryContext, DocumentContext, EditingContext, PlannedContext } from '../job/JobContext';
import classes from './JobPage.module.css';
import { setAt, told } from '../job/pointer';
import type { Saver } from '../job/saver';
import { useDiary } from '../job/useDiary';
import { useRole } from '../own/useRole';
import { useJob } from '../job/useJob';
import { useLeft, type Left } from '../job/useLeft';
import { tryAgain } from '../job/sending';
import { usePlan, usePlanAhead } from '../job/usePlan';
import { rows, type PlannedStep, type Thread } from '../steps/registry';

const titleOf = (step: PlannedStep): string =>
  step in threads ? threads[step as Thread].title : steps[step as StepName];

const VersionSheet = lazy(() => import('./VersionSheet').then((m) => ({ default: m.VersionSheet })));

const order: StepName[] = ['shape', 'build', 'mix', 'load', 'buy', 'day', 'pour', 'cure', 'lookBack'];

/** Before the system changes, bare numbers get the unit they were read in: nothing may change its size. */
function swapUnits(document: JobDocument, report: PlanReport): JobDocument {
  const spelled = report.readings
    .filter((r) => r.bare)
    .reduce((job, r) => setAt(job, told(r.path), r.exact), document);
  return { ...spelled, units: document.units === 'us' ? 'metric' : 'us' };
}

function takeRemedy(document: JobDocument, remedy: Remedy): JobDocument {
  return remedy.edits.reduce(
    (job, e) => setAt(job, told(e.path), e.text ?? e.number ?? e.yes ?? null),
    document,
  );
}

function Rail({ id, step, report }: { id: string; step: PlannedStep; report: PlanReport | undefined }) {
  // The board is of the pour that is looked at.
  const ofPour = report?.pour && report.pours.length > 1 ? `?pour=${encodeURIComponent(report.pour)}` : '';
  return (
    <nav className={classes.rail} aria-label={app.steps}>
      <ol>
        {order.map((of, i) => {
          const state = report?.steps.find((s) => s.step === of)?.state ?? 'settled';
          return (
            <li key={of}>
              <Link
                to={`/jobs/${id}/${of}${of === 'pour' ? ofPour : ''}`}
                aria-current={of === step ? 'page' : undefined}
                className={classes.link ?? ''}
                data-state={state}
              >
                <span className={classes.key} aria-hidden>
                  {i + 1}
                </span>
                <span className={classes.step}>{steps[of]}</span>
                <span className={classes.state}>{state === 'settled' ? '' : stepStates[state]}</span>
                {state === 'settled' && <span className="visually-hidden">{stepStates[state]}</span>}
              </Link>
            </li>
          );
        })}
      </ol>
      {(Object.keys(threads) as Thread[]).map((t) => (
        <Link
          key={t}
          to={`/jobs/${id}/${t}`}
          aria-current={t === step ? 'page' : undefined}
          className={classes.thread ?? ''}
        >
          {threads[t].link}
        </Link>
      ))}
    </nav>
  );
}

const nothing = () => undefined;
const nothingElse = createTheme({});

const useSaveState = (saver: Saver) => useSyncExternalStore(saver.subscribe, saver.current);

function SaveBadge({ saver }: { saver: Saver }) {
  const state = useSaveState(saver);
  const text =
    state.kind === 'refused'
      ? `${saveWords.refused} ${state.why}`
      : state.kind === 'waiting' && !state.kept
        ? saveWords.notKept
        : saveWords[state.kind];
  return (
    <span className={classes.save} role="status" data-testid="save" data-state={state.kind}>
      {text}
    </span>
  );
}

/** Two have changed the job: one's own change or the other's is chosen. */
function Conflict({ saver, onTheirs }: { saver: Saver; onTheirs: () => void }) {
  const state = useSaveState(saver);
  if (state.kind !== 'conflict') return null;
  return (
    <div className={classes.conflict} role="alert">
      {saveWords.conflictLong}
      <Button
        size="compact-sm"
        onClick={() => {
          saver.keepMine();
        }}
      >
        {saveWords.keepMine}
      </Button>
      <Button size="compact-sm" variant="default" onClick={onTheirs}>
        {saveWords.takeTheirs}
      </Button>
    </div>
  );
}

const download = (document: JobDocument) => {
  saveFile(`${fileName(document.name)}.setfirm.json`, 'application/json', JSON.stringify(document, null, 2));
};

interface HeadButtonProps {
  label: string;
  icon: typeof IconDownload;
  onClick: () => void;
  disabled?: boolean;
}

function HeadButton({ label, icon: Icon, onClick, disabled = false }: HeadButtonProps) {
  return (
    <ActionIcon variant="subtle" color="gray.2" aria-label={label} disabled={disabled} onClick={onClick}>
      <Icon size={19} aria-hidden />
    </ActionIcon>
  );
}

function OpenJob({ job, left, step }: { job: Job; left: Left; step: PlannedStep }) {
  const diary = useDiary(job.id, left.lines);
  const [pour, choosePour] = useState<string | null>(null);
  const { view: View, parts } = rows[step];
  const edited = useJob(job, left.drafts, usePlanAhead(diary.lines, pour, parts));
  const role = useRole();
  const plans = role === 'plan';
  // A device that only looks or tells changes nothing: its page shows what stands.
  const { document } = edited;
  speak(document.units);
  const { edit, set } = plans ? edited : { edit: nothing, set: nothing };
  const { report, sections, refused, failed, seenAt } = usePlan(job.id, document, diary.lines, pour, parts);
  const [chosen, choose] = useState(0);
  const [past, setPast] = useState(false);
  const [, navigate] = useLocation();
  const swap = useCallback(() => {
    if (report) edit('/units', (job) => swapUnits(job, report));
  }, [edit, report]);
  const go = (i: number) => () => {
    navigate(`/jobs/${job.id}/${order[i] ?? step}`);
  };
  useHotkeys([
    ...order.map((_, i) => [String(i + 1), go(i)] as [string, () => void]),
    ['u', swap],
    [
      'y',
      () => {
        navigate('/');
      },
    ],
  ]);
  useHotkeys(
    [
      ['mod+Z', edited.undo],
      ['mod+shift+Z', edited.redo],
      ['mod+Y', edited.redo],
    ],
    [], // also while typing: every field belongs to the one history
  );
  const take = useCallback(
    (remedy: Remedy) => {
      edit(null, (job) => takeRemedy(job, remedy));
    },
    [edit],
  );
  const format = useMemo(
    () => formatsFor(document.units, document.timeZone, document.buy.currency),
    [document.units, document.timeZone, document.buy.currency],
  );
  const editing = useMemo(
    () => ({ set, edit, take, format, chosen, choose, choosePour }),
    [set, edit, take, format, chosen],
  );
  const unsaved = useSyncExternalStore(edited.saver.subscribe, () =>
    edited.saver.state.kind === 'refused' ? edited.saver.state : null,
  );
  const nowhere = useSyncExternalStore(
    edited.saver.subscribe,
    () => edited.saver.state.kind === 'waiting' && !edited.saver.state.kept,
  );
  const planned = useMemo(
    () => (report && sections ? { report, sections, refused: unsaved ?? refused } : null),
    [report, sections, unsaved, refused],
  );

  return (
    <AppFrame
      page={`${document.name}: ${titleOf(step)}`}
      title={
        <input
          className={classes.name}
          aria-label={app.jobName}
          value={document.name}
          maxLength={120}
          readOnly={!plans}
          onChange={(e) => {
            set('/name', e.currentTarget.value);
          }}
        />
      }
      tools={
        <>
          <SaveBadge saver={edited.saver} />
          <HeadButton
            label={saveWords.undo}
            icon={IconArrowBackUp}
            onClick={edited.undo}
            disabled={!plans || !edited.canUndo}
          />
          <HeadButton
            label={saveWords.redo}
            icon={IconArrowForwardUp}
            onClick={edited.redo}
            disabled={!plans || !edited.canRedo}
          />
          <Button
            size="compact-sm"
            variant="outline"
            color="gray.2"
            aria-label={saveWords.unitsSwap(document.units === 'us')}
            disabled={!plans}
            onClick={swap}
          >
            {saveWords.units(document.units === 'us')}
          </Button>
          <HeadButton
            label={saveWords.versions}
            icon={IconHistory}
            onClick={() => {
              setPast(true);
            }}
          />
          <HeadButton
            label={saveWords.download}
            icon={IconDownload}
            onClick={() => {
              download(edited.read());
            }}
          />
        </>
      }
      rail={<Rail id={job.id} step={step} report={report} />}
    >
      {past && (
        <Suspense>
          <VersionSheet
            job={job.id}
            format={format}
            onTake={(was) => {
              edit(null, was);
            }}
            onClose={() => {
              setPast(false);
            }}
          />
        </Suspense>
      )}
      {!plans && (
        <div className={classes.conflict} role="note">
          {app.mayOnly[role]}
        </div>
      )}
      <Conflict saver={edited.saver} onTheirs={() => void edited.takeTheirs()} />
      {(failed || refused !== null || seenAt !== null) && (
        <div className={classes.conflict} role="alert">
          {refused?.why ??
            (seenAt === null
              ? app.noServer
              : app.lastSeen(
                  formatsFor(document.units, zone, document.buy.currency).dateTime(
                    new Date(seenAt).toISOString(),
                  ),
                ))}
        </div>
      )}
      {diary.refused !== null && (
        <div className={classes.conflict} role="alert">
          {saveWords.lineRefused(diary.refused)}
        </div>
      )}
      {nowhere && (
        <div className={classes.conflict} role="alert">
          {saveWords.notKeptLong}
        </div>
      )}
      {!diary.kept && (
        <div className={classes.conflict} role="alert">
          {saveWords.lineNotKept}
        </div>
      )}
      {planned ? (
        <EditingContext value={editing}>
          <DocumentContext value={document}>
            <DiaryContext value={diary}>
              <PlannedContext value={planned}>
                <Suspense fallback={<Loader m="lg" aria-label={app.loading} />}>
                  <MantineThemeProvider theme={looksOnly(role, step) ? lookOnly : nothingElse}>
                    {/* In another English it is drawn anew. */}
                    <View key={document.units} />
                  </MantineThemeProvider>
                </Suspense>
              </PlannedContext>
            </DiaryContext>
          </DocumentContext>
        </EditingContext>
      ) : (
        !failed && refused === null && <Loader m="lg" aria-label={app.loading} />
      )}
    </AppFrame>
  );
}

const RETRY_MS = 2_500;

/** The program answered that there is no such job, or that it cannot be read; not that it is in trouble itself. */
const isGone = (problem: unknown): boolean => {
  const status = (problem as { status?: number } | null)?.status;
  return status !== undefined && !tryAgain(status);
};

export function JobPage() {
  const { id = '', step } = useParams();
  const job = api.useQuery(
    'get',
    '/api/jobs/{id}',
    { params: { path: { id } } },
    {
      staleTime: 0,
      gcTime: 0,
      retry: false,
      refetchInterval: (q) => (q.state.status === 'error' && !isGone(q.state.error) ? RETRY_MS : false),
    },
  );
  const left = useLeft(id, job.data?.document.version ?? null, true);
  if (step === undefined || !(step in rows)) return <Redirect to={`/jobs/${id}/shape`} replace />;
  // What is open stays open, whatever comes of asking for it again.
  if (job.data && left)
    return <OpenJob key={job.data.id} job={job.data} left={left} step={step as PlannedStep} />;
  return (
    <AppFrame page={app.name} title={app.name}>
      {job.isError ? (
        <Text m="lg" role="alert">
          {isGone(job.error) ? app.notFound : app.noServer} <Link to="/">{app.backToYard}</Link>
        </Text>
      ) : (
        <Loader m="lg" aria-label={app.loading} />
      )}
    </AppFrame>
  );
}
