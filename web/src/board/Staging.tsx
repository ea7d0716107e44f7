import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { http } from '../api/client';
import { figureText } from '../common/taskFigures';
import { number } from '../format/format';
import { board as words, workTasks } from '../words';
import { useBoard } from './session';
import classes from './Staging.module.css';

/** Before the first water: what of making ready is still open, to be ticked here, and what was left before it. */
export function Staging() {
  const { job, document, lines: log, pour, format, tell } = useBoard();
  const { data } = useQuery({
    queryKey: ['staging', document, log, pour],
    queryFn: async ({ signal }) => {
      const answer = await http.POST('/api/tasks', { body: { document, log, pour }, signal });
      if (!answer.data) throw new Error('what is to be made ready is not known');
      return answer.data.tasks;
    },
    enabled: job !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  if (!data) return null;
  const open = data.filter((t) => t.phase === 'stage' && t.state !== 'done');
  const before = data.filter((t) => (t.phase === 'ground' || t.phase === 'build') && t.state !== 'done');
  return (
    <section className={classes.staging} aria-label={words.staging.title} data-testid="staging">
      <h2>{words.staging.title}</h2>
      {open.length === 0 ? (
        <p>{words.staging.ready}</p>
      ) : (
        <ul>
          {open.map((t) => (
            <li key={t.key}>
              <button
                type="button"
                data-task={t.task}
                onClick={() => tell({ kind: 'taskDone', task: t.key, pour })}
              >
                <b>{workTasks[t.task].title}</b>
                <span>
                  {t.figures.map((f) => figureText(f.figure, f.value, format)).join(', ')}
                  {t.figures.length > 0 ? '. ' : ''}
                  {words.staging.when(workTasks[t.task].sign)}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {before.length > 0 && (
        <p>
          {words.staging.before(
            number(before.length),
            before
              .slice(0, 3)
              .map((t) => workTasks[t.task].title.toLowerCase())
              .join(', '),
          )}
        </p>
      )}
    </section>
  );
}
