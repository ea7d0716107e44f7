import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'wouter';
import type { JobLine } from '../api/client';
import { fileName, saveFile } from '../common/saveFile';
import { number } from '../format/format';
import { leftOver, useOutbox } from '../job/outbox';
import { save as saveWords, yard as words } from '../words';
import classes from './YardPage.module.css';

/** What waits on this device, whichever job it is of. */
export function Waits({ jobs }: { jobs: JobLine[] }) {
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
