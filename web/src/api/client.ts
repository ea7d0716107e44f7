import createFetchClient from 'openapi-fetch';
import createClient from 'openapi-react-query';
import { asking, Posted } from '../planner/ask';
import { questions, type QuestionName } from '../planner/questions';
import type { components, paths } from './schema';

type Schemas = components['schemas'];

export type JobDocument = Schemas['JobDocument'];
export type ElementDocument = JobDocument['elements'][number];
export type ElementKind = ElementDocument['kind'];
export type ElementOf<K extends ElementKind> = Extract<ElementDocument, { kind: K }>;
/** The kinds that are drawn by an outline. */
export type OutlinedDocument = Extract<ElementDocument, { openings: unknown }>;
/** The kinds that follow a path. */
export type PathDocument = Extract<ElementDocument, { path: unknown }>;
export type OutlineDocument = OutlinedDocument['outline'];
export type SideDocument = Extract<OutlineDocument, { kind: 'walked' }>['sides'][number];
export type StretchDocument = PathDocument['path'][number];
export type EdgeDocument = OutlinedDocument['edges'][number];
export type JointDocument = NonNullable<OutlinedDocument['joints']>[number];
export type OpeningDocument = Schemas['OpeningDocument'];
export type MixDocument = Schemas['MixDocument'];
export type Job = Schemas['JobDto'];
export type JobLine = Schemas['JobLineDto'];
export type PlanReport = Schemas['PlanReport'];
export type PlanPart = Schemas['PlanPart'];
export type ElementReport = Schemas['ElementReport'];
export type JointLineReport = Schemas['JointLineReport'];
export type BuildReport = Schemas['BuildReport'];
export type ElementBuildReport = Schemas['ElementBuildReport'];
export type CutListReport = Schemas['CutListReport'];
export type BatchReport = Schemas['BatchReport'];
export type BatchRecipe = Schemas['BatchRecipe'];
export type Additive = keyof MixDocument['additives'];
export type ContainerKind = Schemas['ContainerKind'];
export type Measure = Schemas['Measure'];
export type Way = Schemas['Way'];
export type WayReport = Schemas['WayReport'];
export type MixReport = Schemas['MixReport'];
export type BuyReport = Schemas['BuyReport'];
export type BuyLine = Schemas['BuyLineReport'];
export type BuyDocument = Schemas['BuyDocument'];
export type StartHour = Schemas['StartHour'];
export type DayReport = Schemas['DayReport'];
export type PassReport = Schemas['PassReport'];
export type RehearsalReport = Schemas['RehearsalReport'];
export type CureReport = Schemas['CureReport'];
/** Something that was done or seen, as it was told. */
export type JobEvent = Schemas['JobEvent'];
export type EventKind = JobEvent['kind'];
export type LogLine = Schemas['LogLine'];
export type Pour = Schemas['PourReport'];
export type PourDocument = Schemas['PourDocument'];
export type PartDocument = Schemas['PartDocument'];
export type TaskReport = Schemas['TaskReport'];
export type TasksReport = Schemas['TasksReport'];
export type TaskPart = Schemas['TaskPart'];
export type PracticeReport = Schemas['PracticeReport'];
export type ChoiceEffect = Schemas['ChoiceEffect'];
export type FaultReport = Schemas['FaultReport'];
export type LookBackReport = Schemas['LookBackReport'];
export type Standout = Schemas['Standout'];
export type LearntReport = Schemas['LearntReport'];
export type LearntValue = Schemas['LearntValue'];
export type LearntKey = Schemas['LearntKey'];
export type LearntEffect = Schemas['LearntEffect'];
export type PourInRecord = Schemas['PourInRecord'];
export type YardThings = Schemas['YardThings'];
export type ShopReport = Schemas['ShopReport'];
export type ShopLine = Schemas['ShopLineReport'];
export type GearReport = Schemas['GearReport'];
export type CalendarReport = Schemas['CalendarReport'];
export type WorkDay = Schemas['WorkDayReport'];
export type PourDates = Schemas['PourDates'];
export type CoatDocument = Schemas['CoatDocument'];
export type WeatherFileInfo = Schemas['WeatherFileDto'];
export type Finding = Schemas['Finding'];
export type Remedy = Schemas['Remedy'];
export type Explanation = Schemas['Explanation'];
export type Notice = Schemas['Notice'];
export type Mend = Schemas['Mend'];
export type Why = Schemas['Why'];
/** A member of a closed family, by its code. */
export type Says<Family extends { code: string }, Code extends Family['code']> = Extract<
  Family,
  { code: Code }
>;
export type ReadingReport = Schemas['TextRead'];
export type StepName = Schemas['Step'];
export type StepState = Schemas['StepState'];
export type Units = Schemas['UnitSystem'];
export type Meets = Schemas['Meets'];
export type PlanPoint = Schemas['PlanPoint'];
export type Bag = Schemas['BagDto'];
export type Problem = Schemas['ProblemDetails'];
export type ForecastDay = Schemas['ForecastDay'];

export const http = createFetchClient<paths>({
  baseUrl: window.location.origin,
  fetch: asking.fetch,
  Request: Posted,
});
export const api = createClient(http);

/** Enumerations of the contract, for lists that must be complete. */
export type Enum<Name extends keyof Schemas> = Schemas[Name];

/** Paths of the contract that take a request to the planner. */
type PlanPath = {
  [P in keyof paths]: paths[P] extends {
    post: { requestBody: { content: { 'application/json': infer Body } } };
  }
    ? [Body, Schemas['PlanRequest']] extends [Schemas['PlanRequest'], Body]
      ? P
      : never
    : never;
}[keyof paths];

// What this device can be asked is what the program can be: one that either lacks does not compile.
questions satisfies Record<PlanPath extends `/api/${infer Name}` ? Name : never, unknown>;
null as unknown as QuestionName satisfies PlanPath extends `/api/${infer Name}` ? Name : never;
