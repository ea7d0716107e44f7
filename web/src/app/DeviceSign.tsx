import { Button } from '@mantine/core';
import { useSyncExternalStore } from 'react';
import { useLocation } from 'wouter';
import { zone } from '../common/zone';
import { formatsFor } from '../format/format';
import { keptSince, onKept } from '../own/kept';
import { asking } from '../planner/ask';
import { newerWaits, onNewer, takeNewer } from '../planner/install';
import { app } from '../words';
import classes from './DeviceSign.module.css';

/** Pages that nobody is asked to leave, and that say for themselves that there is no connection. */
const atWork = /\/(pour|rehearse)$/;

/** What this device does by itself: it plans while the program does not answer; and that a newer program waits. */
export function DeviceSign() {
  const here = useSyncExternalStore(asking.subscribe, asking.planned);
  const since = useSyncExternalStore(onKept, keptSince);
  const newer = useSyncExternalStore(onNewer, newerWaits);
  const [pathname] = useLocation();
  return (
    <div className={classes.signs} role="status" data-off-paper>
      {here && !atWork.test(pathname) && (
        <span className={classes.sign} data-testid="planned-here" title={app.plannedHereLong}>
          {app.plannedHere}
        </span>
      )}
      {!here && since !== null && !atWork.test(pathname) && (
        <span className={classes.sign} data-testid="kept-since">
          {app.keptSince(formatsFor('metric', zone).dateTime(since))}
        </span>
      )}
      {newer && !atWork.test(pathname) && (
        <span className={classes.sign}>
          {app.newer}{' '}
          <Button size="compact-xs" variant="default" onClick={takeNewer}>
            {app.takeNewer}
          </Button>
        </span>
      )}
    </div>
  );
}
