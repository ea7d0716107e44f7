import { Checkbox } from '@mantine/core';
import { IconHandStop } from '@tabler/icons-react';
import type { TaskPart, TaskReport } from '../../api/client';
import { calendarDay, duration, number, type Formats } from '../../format/format';
import { useEditing } from '../../job/JobContext';
import { coatName, gear, goodById, mistakes, tasks as words, workTasks } from '../../words';
import { findingText } from '../../words/told';
import { amountText } from '../../common/goodText';
import { figureText } from '../../common/taskFigures';
import classes from './TasksStep.module.css';

function partText(part: TaskPart, format: Formats): string {
  if (part.kind === 'grit') return words.grit(number(part.number), part.edges, duration(part.minutes));
  if (part.kind === 'rubOnce') return words.rubOnce(number(part.number), format.time(part.at));
  return [
    words.coatOn(coatName(part.product), number(part.number), format.dateTime(part.at)),
    words.coatMix(
      format.litres(part.productL),
      part.waterL > 0 ? format.litres(part.waterL) : '',
      part.lots > 1 ? number(part.lots) : '',
    ),
    part.potLifeMin != null ? words.potLife(duration(part.potLifeMin)) : '',
    part.scuff ? words.scuff : part.closes ? words.closes(format.dateTime(part.closes)) : '',
    part.keepWetH > 0 ? words.keepWet(`${number(part.keepWetH, 1)} h`) : '',
  ]
    .filter(Boolean)
    .join('; ');
}

function whenText(task: TaskReport, format: Formats): string {
  if (task.doneAt)
    return [words.doneAt(format.dateTime(task.doneAt), task.doneBy), task.ticked ? '' : words.toldElsewhere]
      .filter(Boolean)
      .join(', ');
  if (task.from && task.by) return words.between(format.dateTime(task.from), format.dateTime(task.by));
  if (task.at) return words.from(format.dateTime(task.at));
  if (task.on !== null && task.task !== 'dampen') {
    const { weekday, day } = calendarDay(task.on);
    return words.aboutOn(`${weekday} ${day}`);
  }
  return task.by ? words.by(format.dateTime(task.by)) : '';
}

interface TaskItemProps {
  task: TaskReport;
  name: string;
  /** Titles of what it waits for. */
  waits: string[];
  onTick: () => void;
}

/** One task: its numbers and its day at a glance, the rest opened. What can hurt stands in the open. */
export function TaskItem({ task: t, name, waits, onTick }: TaskItemProps) {
  const { format } = useEditing();
  return (
    <li data-state={t.state} data-task={t.task}>
      <Checkbox
        aria-label={name}
        checked={t.state === 'done'}
        disabled={(t.state === 'done' && !t.ticked) || undefined}
        onChange={onTick}
      />
      <details>
        <summary>
          <b>{name}</b>
          <span className={classes.figures}>
            {t.figures.map((f) => figureText(f.figure, f.value, format)).join(', ')}
          </span>
          <span className={classes.when}>
            {[
              t.late ? words.late : '',
              whenText(t, format),
              t.minutes !== null && t.state !== 'done' ? words.takes(duration(t.minutes)) : '',
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
          {t.state !== 'done' &&
            t.cautions.map((c) => (
              <span key={c.code} className={classes.caution} data-code={c.code}>
                <IconHandStop size={16} aria-hidden /> <b>{words.caution}</b> {findingText(c, format)}
              </span>
            ))}
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
          {t.parts.length > 0 && (
            <>
              <dt>{words.turns}</dt>
              {t.parts.map((p, i) => (
                <dd key={i}>{partText(p, format)}</dd>
              ))}
            </>
          )}
          {t.gear.length > 0 && (
            <>
              <dt>{words.gear}</dt>
              <dd>{t.gear.map((g) => gear[g]).join(', ')}</dd>
            </>
          )}
          {t.goods.length > 0 && (
            <>
              <dt>{words.goods}</dt>
              <dd>
                {t.goods
                  .map((g) => words.uses(amountText(g, g.amount, format), goodById(g.good).toLowerCase()))
                  .join(', ')}
              </dd>
            </>
          )}
        </dl>
      </details>
    </li>
  );
}
