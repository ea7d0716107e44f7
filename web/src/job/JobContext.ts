import { createContext, useContext, type Context } from 'react';
import type {
  Explanation,
  Finding,
  JobDocument,
  PlanReport,
  ReadingReport,
  Remedy,
  Why,
} from '../api/client';
import type { Formats } from '../format/format';
import type { Pointer } from './pointer';
import type { Refused } from './sending';
import type { DiaryHandle } from './useDiary';
import type { Edit } from './useJob';
import type { Sections } from './sections';

/** How a step changes the job and says what it sees: the same for as long as the job is open. */
export interface Editing {
  set: (field: Pointer, value: unknown) => void;
  edit: Edit;
  take: (remedy: Remedy) => void;
  format: Formats;
  /** Which element is looked at, in every step. */
  chosen: number;
  choose: (element: number) => void;
  /** Which pour is looked at, in every step; null is the first. */
  choosePour: (id: string) => void;
}

/** What was worked out last. */
export interface Planned {
  report: PlanReport;
  /** The report's parts; where one cannot be planned just now, the last that could. */
  sections: Sections;
  /** What the program will not have, and why; null where it has all. */
  refused: Refused | null;
}

// Three, so that a key pressed redraws what shows the job, and an answer what shows the plan.
export const EditingContext = createContext<Editing | null>(null);
export const PlannedContext = createContext<Planned | null>(null);
export const DocumentContext = createContext<JobDocument | null>(null);

export const DiaryContext = createContext<DiaryHandle | null>(null);

function useInJob<T>(context: Context<T | null>): T {
  const value = useContext(context);
  if (value === null) throw new Error('a step stands outside its job');
  return value;
}

export const useEditing = (): Editing => useInJob(EditingContext);

export const usePlanned = (): Planned => useInJob(PlannedContext);

/** What was told of the job. */
export const useDiaryOf = (): DiaryHandle => useInJob(DiaryContext);

/** The job as it is typed. */
export const useDocument = (): JobDocument => useInJob(DocumentContext);

/** The element that is looked at, and how another is chosen. */
export function useChosenElement(): [number, (element: number) => void] {
  const { elements } = useDocument();
  const { chosen, choose } = useEditing();
  return [Math.max(0, Math.min(chosen, elements.length - 1)), choose];
}

export const findingsAt = (report: PlanReport, pointer: Pointer): Finding[] =>
  report.findings.filter((f) => f.where === pointer);

export const readingAt = (report: PlanReport, pointer: Pointer): ReadingReport | undefined =>
  report.readings.find((r) => r.path === pointer);

export const explanationOf = (report: PlanReport, code: Why['code'], of = ''): Explanation | undefined =>
  report.explanations.find((e) => e.says.code === code && e.of === of);
