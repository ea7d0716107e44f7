import { Button, Checkbox } from '@mantine/core';
import { useState } from 'react';
import type { Enum, TaskReport } from '../../api/client';
import { number } from '../../format/format';
import { useDiaryOf, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { app, gear, mistakes, taskPhases, tasks as words, workTasks } from '../../words';
import { figureText } from './figures';
import classes from './TasksStep.module.css';
import { useTasks } from './useTasks';

/** What to do, in which order, with this job's numbers: a thread through all steps. */
export function TasksStep() {
  const tasks = useTasks();
  const { report } = usePlanned();
  const document = useDocument();
  const { format } = useEditing();
  const { tell, lines } = useDiaryOf();
  const [onlyOpen, setOnlyOpen] = useState(false);
  const all = tasks ?? [];
  const named = (t: TaskReport) =>
    t.element === null || document.elements.length < 2
      ? workTasks[t.task].title
      : `${workTasks[t.task].title}: ${document.elements[t.element]?.name ?? ''}`;
  const byKey = new Map(all.map((t) => [t.key, t]));
  const done = all.filter((t) => t.state === 'done').length;
  const next = all.find((t) => t.state === 'ready');
  const tick = (t: TaskReport) => {
    const told = lines.findLast((l) => l.kind === 'taskDone' && l.task === t.key);
    if (t.state !== 'done') tell({ kind: 'taskDone', task: t.key, pour: report.pour ?? '' });
    else if (told) tell({ kind: 'withdrawn', line: told.id, pour: report.pour ?? '' });
  };
  const when = (t: TaskReport) =>
    t.doneAt
      ? [words.doneAt(format.dateTime(t.doneAt), t.doneBy), t.ticked ? '' : words.toldElsewhere]
          .filter(Boolean)
          .join(', ')
      : t.from && t.by
        ? words.between(format.dateTime(t.from), format.dateTime(t.by))
        : t.from
          ? words.from(format.dateTime(t.from))
          : t.by
            ? words.by(format.dateTime(t.by))
            : '';
  return (
    <section className={classes.page} aria-labelledby="tasks-title">
      <header className={classes.head}>
        <div>
          <h2 id="tasks-title">{words.title}</h2>
          <p data-testid="sentence">
            {tasks === null
              ? app.loading
              : all.length === 0
                ? words.blocked
                : words.sentence(number(done), number(all.length), next ? named(next) : '')}
          </p>
        </div>
        <div className={classes.tools}>
          <Checkbox
            label={words.open}
            checked={onlyOpen}
            onChange={(e) => {
              setOnlyOpen(e.currentTarget.checked);
            }}
          />
          <Button
            variant="default"
            onClick={() => {
              window.print();
            }}
          >
            {words.print}
          </Button>
        </div>
      </header>
      <div className={classes.phases} data-testid="tasks">
        <div className={classes.columns}>
          {(Object.keys(taskPhases) as Enum<'TaskPhase'>[]).map((phase) => {
            const here = all.filter((t) => t.phase === phase && !(onlyOpen && t.state === 'done'));
            return here.length === 0 ? null : (
              <section key={phase} aria-label={taskPhases[phase]}>
                <h3>{taskPhases[phase]}</h3>
                <ul className={classes.list}>
                  {here.map((t) => {
                    const waits = t.waitsFor
                      .flatMap((k) => byKey.get(k) ?? [])
                      .map((w) => workTasks[w.task].title);
                    return (
                      <li key={t.key} data-state={t.state} data-task={t.task}>
                        <Checkbox
                          aria-label={named(t)}
                          checked={t.state === 'done'}
                          disabled={t.state === 'done' && !t.ticked}
                          onChange={() => {
                            tick(t);
                          }}
                        />
                        <details>
                          <summary>
                            <b>{named(t)}</b>
                            <span className={classes.figures}>
                              {t.figures.map((f) => figureText(f.figure, f.value, format)).join(', ')}
                            </span>
                            <span className={classes.when}>
                              {[
                                when(t),
                                t.people > 1 ? words.people(number(t.people)) : '',
                                t.state === 'waits'
                                  ? waits.length > 0
                                    ? words.waits([...new Set(waits)].join(', '))
                                    : words.early
                                  : '',
                              ]
                                .filter(Boolean)
                                .join(' · ')}
                            </span>
                          </summary>
                          <dl>
                            <dt>{words.sign}</dt>
                            <dd>{workTasks[t.task].sign}</dd>
                            {t.meets !== null && (
                              <>
                                <dt>{words.mistake}</dt>
                                <dd>{mistakes[t.meets]}</dd>
                              </>
                            )}
                            {t.gear.length > 0 && (
                              <>
                                <dt>{words.gear}</dt>
                                <dd>{t.gear.map((g) => gear[g]).join(', ')}</dd>
                              </>
                            )}
                          </dl>
                        </details>
                      </li>
                    );
                  })}
                </ul>
              </section>
            );
          })}
        </div>
      </div>
      <p className={classes.foot}>{words.nobodyDoes}</p>
    </section>
  );
}
