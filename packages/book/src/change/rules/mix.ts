import { compareDecimalText } from '../../fields/index.js';
import { problem } from '../../problem/index.js';
import type { StoredRow } from '../stored-row.js';
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

/** What a product is to be made at least is no more than what it is made at most. */
export const mixLimitsAreInOrder: RowRule<'mixProduct'> = {
  kinds: ['mixProduct'],
  reads: ['minimum', 'maximum'],
  since: MIX_SINCE,
  problems(_book, { after: { id, minimum, maximum } }) {
    return maximum !== null && compareDecimalText(minimum, maximum) > 0
      ? [problem('least-above-most', { kind: 'mixProduct', rowId: id, field: 'maximum' })]
      : [];
  },
};

/** What is used, and what counts in a total, is of the same plan. */
export const mixPartsAreOfOnePlan: RowRule<'mixUse' | 'mixTotalProduct'> = {
  kinds: ['mixUse', 'mixTotalProduct'],
  reads: ['resourceId', 'totalId', 'mixProductId'],
  since: MIX_SINCE,
  problems(book, { kind, after }) {
    const product = book.row('mixProduct', after.mixProductId) as StoredRow<'mixProduct'> | undefined;
    const other = (
      kind === 'mixUse'
        ? book.row('mixResource', (after as StoredRow<'mixUse'>).resourceId)
        : book.row('mixTotal', (after as StoredRow<'mixTotalProduct'>).totalId)
    ) as StoredRow<'mixResource' | 'mixTotal'> | undefined;
    return product === undefined || other === undefined || product.planId === other.planId
      ? []
      : [problem('of-another-mix-plan', { kind, rowId: after.id, field: 'mixProductId' })];
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
