import { Button, Checkbox, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'wouter';
import type { Enum, TaskReport, TasksReport } from '../../api/client';
import { calendarDay, duration, number } from '../../format/format';
import { useDiaryOf, useDocument, usePlanned } from '../../job/JobContext';
import { app, paper, taskPhases, tasks as words, workTasks } from '../../words';
import { Faults } from './Faults';
import { Practices } from './Practices';
import { TaskItem } from './TaskItem';
import classes from './TasksStep.module.css';
import { PourStrip } from '../../fields/PourStrip';
import { useDevice } from '../../job/useDevice';
import { useFollow } from '../../job/useFollow';
import { usePour } from '../../job/usePour';
import { useTasks } from '../../job/useTasks';

function onDay(date: string): string {
  const { weekday, day } = calendarDay(date);
  return `${weekday} ${day}`;
}

/** Which of several pours is told of, in a line that opens: what is done for each of them, and all of them to choose from. */
function OfPour({ report }: { report: TasksReport }) {
  const { elements } = useDocument();
  const { several, pour, all } = usePour();
  if (!several || pour === null) return null;
  const series = report.series.map((c) =>
    words.series(
      elements[c.element]?.name ?? '',
      number(c.casting),
      number(c.of),
      c.everyDays === null ? '' : words.everyDays(number(c.everyDays), c.everyDays === 1),
      c.last === null ? '' : onDay(c.last),
    ),
  );
  const work = report.tasks.filter((t) => t.eachPour && t.minutes !== null);
  const each = [...new Set(work.map((t) => workTasks[t.task].title.toLowerCase()))];
  return (
    <details className={classes.ofPour} data-testid="of-pour">
      <summary>
        {series.length > 0 ? series.join(' ') : words.ofPour(number(pour.number), number(all.length))}
      </summary>
      <p>{words.eachTime(each.join(', '))}</p>
      <PourStrip />
    </details>
  );
}

/** What to do, in which order, with this job's numbers: a thread through all steps. */
export function TasksStep() {
  const report = useTasks();
  const { id = '' } = useParams();
  const planned = usePlanned().report;
  const document = useDocument();
  const { tell, lines } = useDiaryOf();
  const device = useDevice();
  useFollow();
  const [onlyOpen, setOnlyOpen] = useState(false);
  const [view, setView] = useState<keyof typeof words.views>('list');
  const all = report?.tasks ?? [];
  const named = (t: TaskReport) =>
    t.element === null || document.elements.length < 2
      ? workTasks[t.task].title
      : `${workTasks[t.task].title}: ${document.elements[t.element]?.name ?? ''}`;
  const byKey = new Map(all.map((t) => [t.key, t]));
  const done = all.filter((t) => t.state === 'done').length;
  const next = all.find((t) => t.state === 'ready');
  const pour = planned.pour ?? '';
  const tick = (t: TaskReport) => {
    const told = lines.findLast((l) => l.kind === 'taskDone' && l.task === t.key);
    if (t.state !== 'done') tell({ kind: 'taskDone', task: t.key, pour }, { device });
    else if (told) tell({ kind: 'withdrawn', line: told.id, pour });
  };
  const begin = report?.beginOn ?? null;
  const earliest = report?.earliestPour ?? null;
  const { start, change } = usePour();
  return (
    <section className={classes.page} aria-labelledby="tasks-title">
      <header className={classes.head}>
        <div>
          <h2 id="tasks-title">{words.title}</h2>
          <p data-testid="sentence">
            {report === null
              ? app.loading
              : all.length === 0
                ? words.blocked
                : words.sentence(number(done), number(all.length), next ? named(next) : '')}{' '}
            {earliest && <span className={classes.before}>{words.past(onDay(earliest))}</span>}{' '}
            {begin && report && done === 0 && earliest === null && (
              <span className={classes.before}>
                {words.before(duration(report.beforeMinutes), onDay(begin))}
              </span>
            )}
          </p>
          {report && <OfPour report={report} />}
        </div>
        <div className={classes.tools} data-off-paper>
          {earliest !== null && (
            <Button
              onClick={() => {
                change({ date: earliest, start });
              }}
            >
              {words.moveThere(onDay(earliest))}
            </Button>
          )}
          <SegmentedControl
            size="xs"
            aria-label={words.viewsLabel}
            value={view}
            data={Object.entries(words.views).map(([value, label]) => ({ value, label }))}
            onChange={(v) => {
              setView(v as keyof typeof words.views);
            }}
          />
          {view === 'list' && (
            <Checkbox
              label={words.open}
              checked={onlyOpen}
              onChange={(e) => {
                setOnlyOpen(e.currentTarget.checked);
              }}
            />
          )}
          <Button component={Link} to={`/jobs/${id}/paper`} variant="default" disabled={false}>
            {paper.link}
          </Button>
        </div>
      </header>
      {view === 'differ' ? (
        <Practices />
      ) : view === 'faults' ? (
        <Faults />
      ) : (
        <div className={classes.phases} data-testid="tasks">
          <div className={classes.columns}>
            {(Object.keys(taskPhases) as Enum<'TaskPhase'>[]).map((phase) => {
              const here = all.filter((t) => t.phase === phase && !(onlyOpen && t.state === 'done'));
              return here.length === 0 ? null : (
                <section key={phase} aria-label={taskPhases[phase]}>
                  <h3>{taskPhases[phase]}</h3>
                  <ul className={classes.list}>
                    {here.map((t) => (
                      <TaskItem
                        key={t.key}
                        task={t}
                        name={named(t)}
                        waits={t.waitsFor
                          .flatMap((k) => byKey.get(k) ?? [])
                          .map((w) => workTasks[w.task].title)}
                        onTick={() => {
                          tick(t);
                        }}
                      />
                    ))}
                  </ul>
                </section>
              );
            })}
          </div>
        </div>
      )}
      <p className={classes.foot}>{words.nobodyDoes}</p>
    </section>
  );
}
