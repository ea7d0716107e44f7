import createFetchClient from 'openapi-fetch';
import createClient from 'openapi-react-query';
import type { components, paths } from './schema';

type Schemas = components['schemas'];

export type JobDocument = Schemas['JobDocument'];
export type SlabDocument = Schemas['ElementDocumentSlabDocument'];
export type EdgeDocument = Schemas['EdgeDocument'];
export type OpeningDocument = Schemas['OpeningDocument'];
export type MixDocument = Schemas['MixDocument'];
export type Job = Schemas['JobDto'];
export type JobLine = Schemas['JobLineDto'];
export type PlanReport = Schemas['PlanReport'];
export type SlabReport = Schemas['SlabReport'];
export type BatchReport = Schemas['BatchReport'];
export type DayReport = Schemas['DayReport'];
export type PassReport = Schemas['PassReport'];
export type CureReport = Schemas['CureReport'];
export type Finding = Schemas['Finding'];
export type Remedy = Schemas['Remedy'];
export type Explanation = Schemas['Explanation'];
export type ReadingReport = Schemas['ReadingReport'];
export type StepName = Schemas['Step'];
export type StepState = Schemas['StepState'];
export type Units = Schemas['UnitSystem'];
export type Meets = Schemas['Meets'];
export type Bag = Schemas['BagDto'];
export type Problem = Schemas['ProblemDetails'];
export type WeatherDay = Schemas['WeatherDay'];

export const http = createFetchClient<paths>({ baseUrl: window.location.origin });
export const api = createClient(http);

/** Enumerations of the contract, for lists that must be complete. */
export type Enum<Name extends keyof Schemas> = Schemas[Name];
