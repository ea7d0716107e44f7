import type { PlanPart, PlanReport } from '../api/client';

/** The parts of the report that steps draw, and whether one is from before the last edits because those cannot be planned yet. */
export type Sections = Pick<PlanReport, Exclude<PlanPart, 'board'>>;

const SECTIONS = ['shape', 'build', 'mix', 'load', 'buy', 'day', 'cure'] as const;

const NONE: Sections = { shape: null, build: null, mix: null, load: null, buy: null, day: null, cure: null };

/** What is told anew stands over what stood; what was not asked for stays. */
export function overlay(before: Sections | null, now: Sections, parts: PlanPart[] | null): Sections {
  const told = SECTIONS.filter((key) => (parts === null || parts.includes(key)) && now[key] !== null);
  return { ...NONE, ...before, ...Object.fromEntries(told.map((key) => [key, now[key]])) };
}
