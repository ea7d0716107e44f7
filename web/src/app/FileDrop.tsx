import { Button } from '@mantine/core';
import { useState, useSyncExternalStore, type ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import { useLocation, useNavigate } from 'react-router';
import { bring, onWaiting, sendAway, waiting } from '../common/doors';
import { doorOf, type Door } from '../common/fileDoor';
import type { Role } from '../own/session';
import { useRole } from '../own/useRole';
import { app, drop as words } from '../words';
import classes from './FileDrop.module.css';

/** Who may bring such a file, and the step of the job where it is taken; null is the yard. */
const doors: Record<Door, { for: Role[]; step: string | null }> = {
  job: { for: ['plan'], step: null },
  archive: { for: ['plan'], step: null },
  outline: { for: ['plan'], step: 'shape' },
  weather: { for: ['plan'], step: 'day' },
  probe: { for: ['plan', 'crew'], step: 'lookBack' },
};

/** Everything that a file can be let go on: it finds its door by what it is. */
export function FileDrop({ children }: { children: ReactNode }) {
  const role = useRole();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [wrong, setWrong] = useState<string | null>(null);
  const waits = useSyncExternalStore(onWaiting, waiting);
  const found = async (file: File) => {
    const door = await doorOf(file).catch(() => null);
    if (door === null) return words.unknown(file.name);
    if (!doors[door].for.includes(role)) return role === 'plan' ? null : app.mayOnly[role];
    const { step } = doors[door];
    const job = /^\/jobs\/([^/]+)/.exec(pathname)?.[1];
    if (step !== null && job === undefined) return words.needsJob(words.doors[door]);
    const to = step === null ? '/' : `/jobs/${job ?? ''}/${step}`;
    if (to !== pathname) await navigate(to);
    bring(door, file);
    return null;
  };
  const { getRootProps, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDropAccepted: ([file]) => {
      if (file) void found(file).then(setWrong);
    },
    onDropRejected: () => {
      setWrong(words.oneOnly);
    },
  });
  const said = wrong ?? (waits ? words.waits(waits.file.name, words.doors[waits.door]) : null);
  return (
    <div {...getRootProps({ role: 'none' })}>
      {children}
      {isDragActive && <p className={classes.over}>{words.letGo}</p>}
      {said !== null && (
        <p className={classes.said} role="alert" data-testid="dropped">
          {said}{' '}
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              setWrong(null);
              sendAway();
            }}
          >
            {words.leaveIt}
          </Button>
        </p>
      )}
    </div>
  );
}
