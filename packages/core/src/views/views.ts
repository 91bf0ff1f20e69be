import type { Kind } from '@nuvar/book';
import type { Evaluation } from '../sheet/index.js';
import { GENERAL_VIEWS } from './general/general-views.js';
import { PURCHASING_VIEWS } from './purchasing/purchasing-views.js';
import { PRODUCTION_VIEWS } from './production/production-views.js';
import { COSTING_VIEWS } from './costing/costing-views.js';
import { OVERHEAD_VIEWS } from './overhead/overhead-views.js';
import { SELLING_VIEWS } from './selling/selling-views.js';
import { PLANNING_VIEWS } from './planning/planning-views.js';
import { WHAT_IF_VIEWS } from './what-if/what-if-views.js';

/** Every view, by the trade that it is of. */
const ALL = {
  ...GENERAL_VIEWS,
  ...PURCHASING_VIEWS,
  ...PRODUCTION_VIEWS,
  ...COSTING_VIEWS,
  ...OVERHEAD_VIEWS,
  ...SELLING_VIEWS,
  ...PLANNING_VIEWS,
  ...WHAT_IF_VIEWS,
} as const;

type All = typeof ALL;
export type ViewName = keyof All;
export type ViewOf<Name extends ViewName> = ReturnType<All[Name]['show']>;

const each = <Of>(of: (name: ViewName) => Of) =>
  Object.fromEntries((Object.keys(ALL) as ViewName[]).map((name) => [name, of(name)]));

/** Everything that can be asked of an evaluation as plain data: by screens through the worker, by scripts over HTTP. */
export const VIEWS = each((name) => ALL[name].show) as {
  readonly [Name in ViewName]: (evaluation: Evaluation, id: string) => ViewOf<Name>;
};

/** The kind of row whose id each view is asked with, alone or first; null for views over the whole book, or of no row. */
export const ASKED_WITH = each((name) => ALL[name].askedWith) as Readonly<Record<ViewName, Kind | null>>;

/** True for the name of a view that can be asked for. */
export function isViewName(value: string): value is ViewName {
  return Object.hasOwn(VIEWS, value);
}
