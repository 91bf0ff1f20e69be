import type { AbsorptionBasis, ActivityDriver, ActivityLevel, Capacity, MethodType, ServiceMethod } from '@nuvar/book';

export const BASIS_WORDS: Readonly<Record<AbsorptionBasis, string>> = {
  'labour hours': 'labour hours',
  'machine hours': 'machine hours',
  'labour cost': 'labour cost',
  'material cost': 'material cost',
  'prime cost': 'prime cost',
  'production cost': 'production cost before overhead',
  'sales value': 'sales value',
  units: 'units',
};

export const METHOD_TYPE_WORDS: Readonly<Record<MethodType, string>> = {
  'single rate': 'single rate',
  'by department': 'by department',
  activities: 'activity-based',
  'time-driven activities': 'time-driven',
};

export const SERVICE_WORDS: Readonly<Record<ServiceMethod, string>> = {
  direct: 'direct',
  'step-down': 'step-down',
  reciprocal: 'reciprocal',
};

export const CAPACITY_WORDS: Readonly<Record<Capacity, string>> = {
  normal: 'normal capacity',
  planned: 'budgeted volume',
  actual: 'actual volume',
};

export const DEPARTMENT_TYPE_WORDS = { production: 'production', service: 'service' } as const;

export const LEVEL_WORDS: Readonly<Record<ActivityLevel, string>> = {
  unit: 'unit',
  batch: 'batch',
  product: 'product',
  facility: 'facility',
};

export const ACTIVITY_DRIVER_WORDS: Readonly<Record<ActivityDriver, string>> = {
  typed: 'entered by product',
  units: 'units sold',
  batches: 'batches',
  orders: 'orders',
  'bill lines': 'bill lines',
  'labour hours': 'labour hours',
  'machine hours': 'machine hours',
};

export const POOL_USE_WORDS = { production: 'production', 'non-production': 'selling and office' } as const;
