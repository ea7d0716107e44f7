import type { DayReport } from '../api/client';

type Stage = DayReport['zones'][number]['stages'][number];

/** What a zone is ready for at a moment, milliseconds. */
export const stageOf = (stages: Stage[], at: number): Stage | undefined =>
  stages.findLast((s) => Date.parse(s.from) <= at) ?? stages[0];
