import { useSyncExternalStore } from 'react';
import { onSession, sessionNow, type Role } from './session';

/** What this device may do. */
export const useRole = (): Role => useSyncExternalStore(onSession, () => sessionNow().role);
