import type { ReactNode } from 'react';
import { OutboxContext, useSending } from '../job/outbox';

/** Whichever page stands: what waits on this device is sent, and known. */
export function OutboxProvider({ children }: { children: ReactNode }) {
  return <OutboxContext value={useSending()}>{children}</OutboxContext>;
}
