import { createContext, useContext } from 'react';
import type { Explanation, Finding, JobDocument, PlanReport, ReadingReport, Remedy } from '../api/client';
import type { Formats } from '../common/format';
import type { Pointer } from './pointer';
import type { Sections } from './usePlan';

/** What a step has to work with. */
export interface JobContextValue {
  document: JobDocument;
  report: PlanReport;
  /** The report's parts; where one cannot be planned just now, the last that could. */
  sections: Sections;
  format: Formats;
  set: (field: Pointer, value: unknown) => void;
  edit: (field: Pointer, job: JobDocument) => void;
  take: (remedy: Remedy) => void;
  /** Which element is looked at, in every step. */
  chosen: number;
  choose: (element: number) => void;
}

export const JobContext = createContext<JobContextValue | null>(null);

export function useJobContext(): JobContextValue {
  const value = useContext(JobContext);
  if (value === null) throw new Error('a step stands outside its job');
  return value;
}

/** The element that is looked at, and how another is chosen. */
export function useChosenElement(): [number, (element: number) => void] {
  const { document, chosen, choose } = useJobContext();
  return [Math.max(0, Math.min(chosen, document.elements.length - 1)), choose];
}

export const findingsAt = (report: PlanReport, pointer: Pointer): Finding[] =>
  report.findings.filter((f) => f.where === pointer);

export const readingAt = (report: PlanReport, pointer: Pointer): ReadingReport | undefined =>
  report.readings.find((r) => r.path === pointer);

export const explanationOf = (
  report: PlanReport,
  code: Explanation['code'],
  of = '',
): Explanation | undefined => report.explanations.find((e) => e.code === code && e.of === of);
