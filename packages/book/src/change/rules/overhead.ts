import { compareDecimalText, sumOfDecimalTexts } from '../../fields/index.js';
import { type Kind, labelOfKind } from '../../kinds.js';
import { problem } from '../../problem/index.js';
import { fieldValue, type StoredRow } from '../stored-row.js';
import type { RowRule } from './rule.js';

/** The format of book files from which on overhead is shared out by methods. */
const OVERHEAD_SINCE = 7;

/** The two fields of a kind that may stand together once only: a product is planned once in a channel. */
const ONCE: Partial<Readonly<Record<Kind, readonly [of: string, and: string]>>> = {
  plannedVolume: ['productId', 'channelId'],
  plannedMonth: ['volumeId', 'month'],
  departmentMeasure: ['departmentId', 'apportionmentBasisId'],
  serviceUse: ['departmentId', 'serviceId'],
  poolActivity: ['activityId', 'poolId'],
  activityUse: ['productId', 'activityId'],
  costIncrease: ['runningCostId', 'validFrom'],
  costStep: ['runningCostId', 'upTo'],
  feeBand: ['ruleId', 'upTo'],
  datedPrice: ['pricePointId', 'startsOn'],
  quantityBreak: ['pricePointId', 'fromQuantity'],
  inputRange: ['pricePointId', 'input'],
  mixUse: ['resourceId', 'mixProductId'],
  mixTotalProduct: ['totalId', 'mixProductId'],
  mixPeriodProduct: ['periodId', 'mixProductId'],
  mixPeriodResource: ['periodId', 'resourceId'],
};

/** What two rows say together is entered once. */
export const pairsDiffer: RowRule = {
  kinds: Object.keys(ONCE) as Kind[],
  reads: [...new Set(Object.values(ONCE).flat())],
  since: OVERHEAD_SINCE,
  problems(book, { kind, after }) {
    const [of, and] = ONCE[kind] as readonly [string, string];
    const second = book
      .rowsWith(kind, of, fieldValue(after, of) as string)
      .find((other) => other.id !== after.id && fieldValue(other, and) === fieldValue(after, and));
    if (second === undefined) return [];
    return [problem('entered-twice', { kind, rowId: after.id, field: and, values: { kind: labelOfKind(kind) } })];
  },
};

/** A cost, a season of opening days, or a fee does not end before it begins. */
export const endsAfterItBegins: RowRule<'runningCost' | 'openSeason' | 'feeRule'> = {
  kinds: ['runningCost', 'openSeason', 'feeRule'],
  reads: ['startsOn', 'endsOn'],
  since: OVERHEAD_SINCE,
  problems(_book, { kind, after }) {
    const { startsOn, endsOn } = after;
    return startsOn !== null && endsOn !== null && endsOn < startsOn
      ? [problem('ends-before-it-begins', { kind, rowId: after.id, field: 'endsOn' })]
      : [];
  },
};

/** Services are used of service departments. */
export const servicesAreOfServices: RowRule<'serviceUse' | 'department'> = {
  kinds: ['serviceUse', 'department'],
  reads: ['serviceId', 'type'],
  since: OVERHEAD_SINCE,
  problems(book, { kind, after }) {
    const service = (
      kind === 'department' ? after : book.row('department', (after as StoredRow<'serviceUse'>).serviceId)
    ) as StoredRow<'department'> | undefined;
    const isUsed = kind === 'serviceUse' || book.rowsWith('serviceUse', 'serviceId', after.id).length > 0;
    if (service === undefined || service.type === 'service' || !isUsed) return [];
    const field = kind === 'department' ? 'type' : 'serviceId';
    return [problem('not-a-service-department', { kind, rowId: after.id, field, values: { name: service.name } })];
  },
};

/** The activities of a pool take up no more than all of it. */
export const poolsHoldTheirShares: RowRule<'poolActivity'> = {
  kinds: ['poolActivity'],
  reads: ['poolId', 'percent'],
  since: OVERHEAD_SINCE,
  problems(book, { after }) {
    const shares = (book.rowsWith('poolActivity', 'poolId', after.poolId) as readonly StoredRow<'poolActivity'>[]).map(
      ({ percent }) => percent,
    );
    const inAll = sumOfDecimalTexts(shares);
    if (compareDecimalText(inAll, '100') <= 0) return [];
    const pool = book.row('costPool', after.poolId) as StoredRow<'costPool'> | undefined;
    const values = { pool: pool?.name ?? 'this pool', percent: inAll };
    return [problem('pool-over-100', { kind: 'poolActivity', rowId: after.id, field: 'percent', values })];
  },
};

/** A book has one method of its own: a change that makes another the method of the book takes it from the one before. */
export const oneMethodOfTheBook: RowRule<'costingMethod'> = {
  kinds: ['costingMethod'],
  reads: ['role'],
  since: OVERHEAD_SINCE,
  problems(book, { after }) {
    if (after.role !== 'book') return [];
    const others = book.rowsWith('costingMethod', 'role', 'book').filter(({ id }) => id !== after.id);
    return others.length === 0
      ? []
      : [problem('two-methods-of-the-book', { kind: 'costingMethod', rowId: after.id, field: 'role' })];
  },
};
