import { lazy } from 'react';
import type { PlanPart, StepName } from '../api/client';

/** The board stands by itself: it is made for a phone in the hand. */
export type PlannedStep = Exclude<StepName, 'pour'> | Thread;

/** No steps of their own: threads through all of them. */
export type Thread = 'tasks' | 'shop' | 'paper' | 'compare';

interface Row {
  /** Fetched when it is opened. */
  view: React.LazyExoticComponent<() => React.ReactNode>;
  /** Parts of the plan that it draws: nothing else is worked out for it. Null draws all. */
  parts: PlanPart[] | null;
}

/** What a job's page can show, a row each. */
export const rows: Record<PlannedStep, Row> = {
  shape: {
    view: lazy(() => import('./shape/ShapeStep').then((m) => ({ default: m.ShapeStep }))),
    parts: ['shape', 'build'],
  },
  build: {
    view: lazy(() => import('./build/BuildStep').then((m) => ({ default: m.BuildStep }))),
    parts: ['shape', 'build'],
  },
  mix: {
    view: lazy(() => import('./mix/MixStep').then((m) => ({ default: m.MixStep }))),
    parts: ['mix', 'load'],
  },
  load: {
    view: lazy(() => import('./load/LoadStep').then((m) => ({ default: m.LoadStep }))),
    parts: ['load', 'day', 'shape'],
  },
  buy: {
    view: lazy(() => import('./buy/BuyStep').then((m) => ({ default: m.BuyStep }))),
    parts: ['buy'],
  },
  day: {
    view: lazy(() => import('./day/DayStep').then((m) => ({ default: m.DayStep }))),
    parts: ['day', 'load', 'shape'],
  },
  cure: {
    view: lazy(() => import('./cure/CureStep').then((m) => ({ default: m.CureStep }))),
    parts: ['cure', 'day'],
  },
  lookBack: {
    view: lazy(() => import('./lookback/LookBackStep').then((m) => ({ default: m.LookBackStep }))),
    parts: ['day', 'shape'],
  },
  tasks: {
    view: lazy(() => import('./tasks/TasksStep').then((m) => ({ default: m.TasksStep }))),
    parts: [],
  },
  shop: {
    view: lazy(() => import('./shop/ShopStep').then((m) => ({ default: m.ShopStep }))),
    parts: [],
  },
  paper: {
    view: lazy(() => import('./paper/PaperStep').then((m) => ({ default: m.PaperStep }))),
    parts: null,
  },
  compare: {
    view: lazy(() => import('./compare/CompareStep').then((m) => ({ default: m.CompareStep }))),
    parts: null,
  },
};
