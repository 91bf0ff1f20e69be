import type { MethodType } from '@nuvar/book';
import { activities } from './activities.js';
import { byDepartment } from './by-department.js';
import type { OverheadMethod } from './method.js';
import { singleRate } from './single-rate.js';
import { timeDriven } from './time-driven.js';

/** The methods by their type. */
export const METHODS: Readonly<Record<MethodType, OverheadMethod>> = {
  'single rate': singleRate,
  'by department': byDepartment,
  activities,
  'time-driven activities': timeDriven,
};

export { methodOf, methodOfTheBook, STANDARD_METHOD } from './method-of.js';
export type { MethodRow } from './method.js';
