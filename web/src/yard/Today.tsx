import { Link } from 'wouter';
import type { JobLine } from '../api/client';
import { duration } from '../format/format';
import { workTasks, yard as words } from '../words';
import classes from './YardPage.module.css';

/** What can be done today, over all jobs: a line a job, to its order of work. */
export function Today({ jobs }: { jobs: JobLine[] }) {
  const due = jobs.filter((j) => j.today.length > 0);
  if (due.length === 0) return null;
  return (
    <section aria-labelledby="today" data-testid="today">
      <h2 className={classes.groupTitle} id="today">
        {words.today}
      </h2>
      <ul className={classes.today}>
        {due.map((job) => (
          <li key={job.id}>
            <Link to={`/jobs/${job.id}/tasks`}>{job.name === '' ? words.nameless : job.name}</Link>{' '}
            {job.today
              .map((t) =>
                words.todayOf(
                  workTasks[t.task].title,
                  t.element,
                  t.minutes === null ? '' : duration(t.minutes),
                ),
              )
              .join(' · ')}
          </li>
        ))}
      </ul>
    </section>
  );
}
