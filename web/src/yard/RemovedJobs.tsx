import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import { api, http } from '../api/client';
import { formatsFor, number } from '../format/format';
import { yard as words } from '../words';
import classes from './YardPage.module.css';
import { zone } from '../common/zone';

/** Jobs that were removed: brought back, or let go for good. */
export function RemovedJobs({ onChange }: { onChange: () => Promise<void> }) {
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
