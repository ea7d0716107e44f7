import { Button } from '@mantine/core';
import {
  Suspense,
  lazy,
  useEffect,
  useState,
  useSyncExternalStore,
  type HTMLAttributes,
  type ReactNode,
} from 'react';
import { useLocation } from 'wouter';
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

const FileZone = lazy(() => import('./FileZone'));

/** Nobody lets go of a file before the page stands. */
const STANDS_MS = 700;

/** The page has stood for a moment, or something is held over it already. */
function useQuiet(): boolean {
  const [quiet, setQuiet] = useState(false);
  useEffect(() => {
    const now = () => {
      setQuiet(true);
    };
    const stands = setTimeout(now, STANDS_MS);
    window.addEventListener('dragenter', now, { once: true });
    return () => {
      clearTimeout(stands);
      window.removeEventListener('dragenter', now);
    };
  }, []);
  return quiet;
}

/** Everything that a file can be let go on: it finds its door by what it is. */
export function FileDrop({ children }: { children: ReactNode }) {
  const role = useRole();
  const [, navigate] = useLocation();
  const [pathname] = useLocation();
  const [wrong, setWrong] = useState<string | null>(null);
  const waits = useSyncExternalStore(onWaiting, waiting);
  const [zone, setZone] = useState<HTMLAttributes<HTMLDivElement> | null>(null);
  const quiet = useQuiet();
  const found = async (file: File) => {
    const door = await doorOf(file).catch(() => null);
    if (door === null) return words.unknown(file.name);
    if (!doors[door].for.includes(role)) return role === 'plan' ? null : app.mayOnly[role];
    const { step } = doors[door];
    const job = /^\/jobs\/([^/]+)/.exec(pathname)?.[1];
    if (step !== null && job === undefined) return words.needsJob(words.doors[door]);
    const to = step === null ? '/' : `/jobs/${job ?? ''}/${step}`;
    if (to !== pathname) navigate(to);
    bring(door, file);
    return null;
  };
  const said = wrong ?? (waits ? words.waits(waits.file.name, words.doors[waits.door]) : null);
  return (
    <div {...zone} data-takes-files={zone !== null}>
      {children}
      {quiet && (
        <Suspense>
          <FileZone
            onZone={setZone}
            onFile={(file) => void found(file).then(setWrong)}
            onOther={() => {
              setWrong(words.oneOnly);
            }}
          />
        </Suspense>
      )}
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
