import type { Enum } from '../../api/client';
import { figureText } from '../../common/taskFigures';
import { calendarDay, duration } from '../../format/format';
import { useDocument, useEditing } from '../../job/JobContext';
import { useTasks } from '../../job/useTasks';
import { taskPhases, tasks as taskWords, workTasks } from '../../words';
import { findingText } from '../../words/told';
import classes from './Paper.module.css';
import { Sheet } from './Sheet';

/** The order of work, with boxes, days, signs and what can hurt. */
export function TaskSheet() {
  const report = useTasks();
  const { elements } = useDocument();
  const { format } = useEditing();
  if (!report || report.tasks.length === 0) return null;
  return (
    <Sheet sheet="tasks">
      {(Object.keys(taskPhases) as Enum<'TaskPhase'>[]).map((phase) => {
        const here = report.tasks.filter((t) => t.phase === phase);
        return here.length === 0 ? null : (
          <section key={phase}>
            <h3>{taskPhases[phase]}</h3>
            <ul className={classes.tasks}>
              {here.map((t) => {
                const on = t.on === null ? null : calendarDay(t.on);
                return (
                  <li key={t.key}>
                    <b>
                      {t.state === 'done' ? '☑' : '☐'} {workTasks[t.task].title}
                      {t.element !== null && elements.length > 1 && `: ${elements[t.element]?.name ?? ''}`}
                    </b>{' '}
                    {t.figures.map((f) => figureText(f.figure, f.value, format)).join(', ')}
                    <small>
                      {[
                        on ? `${on.weekday} ${on.day}` : '',
                        t.minutes === null ? '' : taskWords.takes(duration(t.minutes)),
                        `${taskWords.sign.toLowerCase()}: ${workTasks[t.task].sign}`,
                      ]
                        .filter(Boolean)
                        .join(' · ')}
                    </small>
                    {t.cautions.map((c) => (
                      <em key={c.code}>
                        {taskWords.caution}: {findingText(c, format)}
                      </em>
                    ))}
                  </li>
                );
              })}
            </ul>
          </section>
        );
      })}
    </Sheet>
  );
}
