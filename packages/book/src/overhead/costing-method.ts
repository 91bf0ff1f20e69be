import { Choice, DecimalText, Name, Row, WholeNumber } from '../fields/index.js';
import { ABSORPTION_BASES, type AbsorptionBasis } from './absorption-basis.js';

/** How overhead is shared out over products. */
export const METHOD_TYPES = ['single rate', 'by department', 'activities', 'time-driven activities'] as const;
export type MethodType = (typeof METHOD_TYPES)[number];

export const SERVICE_METHODS = ['direct', 'step-down', 'reciprocal'] as const;
export type ServiceMethod = (typeof SERVICE_METHODS)[number];

/** Over which volume fixed production overhead is shared. */
export const CAPACITIES = ['normal', 'planned', 'actual'] as const;
export type Capacity = (typeof CAPACITIES)[number];

export const METHOD_ROLES = ['comparison', 'book'] as const;
export type MethodRole = (typeof METHOD_ROLES)[number];

/** A method by which the overhead of the book is shared out over its products. */
export class CostingMethod extends Row {
  @Name({ label: 'Method' })
  name!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Choice(METHOD_TYPES, { label: 'Type' })
  type: MethodType = 'single rate';

  /** What a single rate goes by; under departments, what overhead that is not for production goes by. */
  @Choice(ABSORPTION_BASES, { label: 'Absorbed by' })
  basis: AbsorptionBasis = 'labour hours';

  /** For a single rate: normal capacity a month in that basis; where empty, the normal hours of the book, or the plan. */
  @DecimalText({ label: 'Normal capacity a month', above: '0', to: '1000000000', nullable: true })
  normalCapacity: string | null = null;

  @Choice(CAPACITIES, { label: 'Capacity' })
  capacity: Capacity = 'normal';

  @Choice(SERVICE_METHODS, { label: 'Service departments' })
  serviceMethod: ServiceMethod = 'reciprocal';

  /** By the method of the book all cost cards and prices are worked out; the others stand beside it. */
  @Choice(METHOD_ROLES, { label: 'Used for' })
  role: MethodRole = 'comparison';
}
