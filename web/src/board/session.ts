import { createContext, useContext } from 'react';
import type { JobDocument, JobEvent, PlanReport, RehearsalReport } from '../api/client';
import type { Formats } from '../format/format';
import type { Telling } from '../job/useDiary';
import type { Role } from './thing';

/** Somebody who has the board open. */
export interface Here {
  device: string;
  role: Role;
  clockOffS: number;
}

/** A pour's day that is under way, real or rehearsed: what the board shows, and how it is told. */
export interface BoardSession {
  /** Id of the job; null where the day is only played. */
  job: string | null;
  document: JobDocument;
  report: PlanReport;
  lines: JobEvent[];
  /** Ids of lines that wait on this device. */
  waiting: ReadonlySet<string>;
  /** Milliseconds; moves by itself. */
  now: number;
  /** Tells of something done just now. @returns The id of the line. */
  tell: (what: Telling, note?: string) => string;
  pour: string;
  format: Formats;
  online: boolean;
  /** When what is shown was planned, where nobody can plan it anew; null while it is of now. */
  plannedAt: string | null;
  here: Here[];
  role: Role;
  device: string;
  chooseRole: (role: Role) => void;
  /** Seconds by which this device's clock is off. */
  clockOffS: number;
  /** Only played: nothing of it is kept. What is seen of the made-up slab; null on a real day. */
  rehearsal: RehearsalReport | null;
  /** What a rehearsed lesson is about; empty on any other day. */
  about: string;
  /** Where whoever leaves the board goes. */
  back: string;
}

export const BoardContext = createContext<BoardSession | null>(null);

export function useBoard(): BoardSession {
  const session = useContext(BoardContext);
  if (session === null) throw new Error('a part of the board stands outside it');
  return session;
}
