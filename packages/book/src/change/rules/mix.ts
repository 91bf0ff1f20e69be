import { compareDecimalText } from '../../fields/index.js';
import { problem } from '../../problem/index.js';
import { fieldValue } from '../stored-row.js';
import type { RowRule } from './rule.js';

/** The format of book files from which on there are mix plans. */
const MIX_SINCE = 9;

const SOURCES = ['gradeId', 'equipmentId', 'runId', 'materialId', 'componentId'] as const;

/** A resource of a mix plan is of one thing in the book, or bears a name of its own. */
export const resourcesAreOfOneThing: RowRule<'mixResource'> = {
  kinds: ['mixResource'],
  reads: ['name', ...SOURCES],
  since: MIX_SINCE,
  problems(_book, { after }) {
    const named = SOURCES.filter((source) => after[source] !== null).length + (after.name.trim() === '' ? 0 : 1);
    return named === 1
      ? []
      : [problem('resource-needs-one-source', { kind: 'mixResource', rowId: after.id, field: 'name' })];
  },
};

/** A product of a mix plan is one of the book, or bears a name of its own. */
export const mixProductsAreNamed: RowRule<'mixProduct'> = {
  kinds: ['mixProduct'],
  reads: ['name', 'productId'],
  since: MIX_SINCE,
  problems(_book, { after }) {
    return (after.productId !== null) !== (after.name.trim() !== '')
      ? []
      : [problem('mix-product-needs-a-name', { kind: 'mixProduct', rowId: after.id, field: 'productId' })];
  },
};

/** What is asked for at least is no more than what can be had at most. */
export const mixLimitsAreInOrder: RowRule<'mixProduct' | 'mixPeriodProduct'> = {
  kinds: ['mixProduct', 'mixPeriodProduct'],
  reads: ['minimum', 'maximum'],
  since: MIX_SINCE,
  problems(_book, { kind, after: { id, minimum, maximum } }) {
    return maximum !== null && compareDecimalText(minimum, maximum) > 0
      ? [problem('least-above-most', { kind, rowId: id, field: 'maximum' })]
      : [];
  },
};

/** What two parts of a mix plan say together: by its kind, the fields that point to them. */
const PAIRS = {
  mixUse: ['mixProductId', 'resourceId'],
  mixTotalProduct: ['mixProductId', 'totalId'],
  mixPeriodProduct: ['mixProductId', 'periodId'],
  mixPeriodResource: ['resourceId', 'periodId'],
} as const;
const POINTS_TO = {
  mixProductId: 'mixProduct',
  resourceId: 'mixResource',
  totalId: 'mixTotal',
  periodId: 'mixPeriod',
} as const;

/** What is used, what counts in a total, and what is said of a period, is of the same plan. */
export const mixPartsAreOfOnePlan: RowRule<keyof typeof PAIRS> = {
  kinds: Object.keys(PAIRS) as (keyof typeof PAIRS)[],
  reads: ['mixProductId', 'resourceId', 'totalId', 'periodId'],
  since: MIX_SINCE,
  problems(book, { kind, after }) {
    const [first, second] = PAIRS[kind].map((field) => {
      const row = book.row(POINTS_TO[field], fieldValue(after, field) as string);
      return row === undefined ? undefined : fieldValue(row, 'planId');
    });
    return first === undefined || second === undefined || first === second
      ? []
      : [problem('of-another-mix-plan', { kind, rowId: after.id, field: PAIRS[kind][0] })];
  },
};

/** What is scarce in a decision is work or a machine. */
export const oneScarceResource: RowRule<'decision'> = {
  kinds: ['decision'],
  reads: ['gradeId', 'equipmentId'],
  since: MIX_SINCE,
  problems(_book, { after: { id, gradeId, equipmentId } }) {
    return gradeId !== null && equipmentId !== null
      ? [problem('one-scarce-resource', { kind: 'decision', rowId: id, field: 'equipmentId' })]
      : [];
  },
};
