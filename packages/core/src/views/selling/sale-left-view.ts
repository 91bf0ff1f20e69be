import type { Figure } from '../../figure/index.js';
import { decimal } from '../../number/index.js';
import {
  chargedParcel,
  dearerOrder,
  fulfillerOf,
  markupBases,
  orderThresholds,
  perBottleneck,
  returnsInAll,
  type ReturnsInAll,
  saleFee,
  sameResult,
  saleLines,
  type SaleLines,
  setPrice,
} from '../../selling/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** What the lines are for: a unit, an order of so many units ("order-24"), the planned month. */
export type SaleColumn = 'unit' | 'month' | `order-${string}`;

/** How a line stands in the sum: the start, added, taken off, or what is left so far. */
export type SaleLineRole = 'start' | 'plus' | 'minus' | 'total';

export interface SaleLine {
  readonly id: keyof SaleLines | `fee-${string}`;
  /** The name of a fee; null where the line is named by its id. */
  readonly name: string | null;
  readonly role: SaleLineRole;
  readonly figures: Readonly<Record<string, FigureView | null>>;
}

/** An order that is smaller than one at a better price, and costs the customer more. */
export interface DearerOrder {
  /** As stored: the quantity with the better price. */
  readonly fromQuantity: string;
  readonly dearerFrom: FigureView;
}

/** What is left of a sale, line by line: for a unit, for orders of one to three and of each quantity with a price of its own, and for the planned month. */
export interface SaleLeftView {
  readonly columns: readonly SaleColumn[];
  readonly lines: readonly SaleLine[];
  /** By column. */
  readonly margins: Readonly<Record<string, FigureView>>;
  readonly dearerOrders: readonly DearerOrder[];
  readonly margin: FigureView;
  readonly markup: FigureView;
  readonly markups: Readonly<Record<(typeof MARKUPS)[number], FigureView>>;
  /** The weight that is charged for one unit, by each carrier and each fee that goes by weight. */
  readonly parcels: readonly ParcelView[];
  readonly thresholds: Readonly<Record<(typeof THRESHOLDS)[number], FigureView>> & {
    readonly smallestForMargin: FigureView | null;
  };
  /** What returns and taxes on fees make of a unit; those that there are. */
  readonly returns: readonly { readonly id: keyof ReturnsInAll; readonly figure: FigureView }[];
  /** Contribution for each paid hour, the owner's own time left out. */
  readonly perPaidHour: FigureView;
}

/** The weight of one unit by a carrier table or a fee; by volume where that counts. */
export interface ParcelView {
  readonly name: string;
  readonly weight: FigureView;
  readonly byVolume: FigureView | null;
  readonly charged: FigureView;
}

const MARKUPS = ['onMaterials', 'onVariableCost', 'onProductionCost'] as const;

const BEFORE_FEES: readonly (readonly [keyof SaleLines, SaleLineRole])[] = [
  ['listPrice', 'start'],
  ['discount', 'minus'],
  ['coupon', 'minus'],
  ['tax', 'minus'],
  ['beforeTax', 'total'],
  ['postageCharged', 'plus'],
  ['refunds', 'minus'],
  ['netRevenue', 'total'],
];
const AFTER_FEES: readonly (readonly [keyof SaleLines, SaleLineRole])[] = [
  ['packing', 'minus'],
  ['postagePaid', 'minus'],
  ['returnsCost', 'minus'],
  ['afterFees', 'total'],
  ['materials', 'minus'],
  ['labour', 'minus'],
  ['other', 'minus'],
  ['equipment', 'minus'],
  ['otherVariable', 'minus'],
  ['asNew', 'plus'],
  ['contribution', 'total'],
  ['fixed', 'minus'],
  ['periodFees', 'minus'],
  ['profit', 'total'],
];

const THRESHOLDS = [
  'perOrder',
  'perOrderCharged',
  'contributionShare',
  'smallestOrder',
  'smallestWithTax',
  'smallestCharged',
  'advertisingBreakEven',
] as const;

const RETURNS = [
  'returnCost',
  'perReturn',
  'feesKept',
  'costKept',
  'contributionPerKept',
  'profitPerKept',
  'feeTax',
] as const;

/** A unit, orders of one to three, orders of each quantity with a price of its own, and the month. */
function columnsOf({ sheet }: Evaluation, pointId: string): SaleColumn[] {
  const quantities = sheet
    .rowsOf('quantityBreak', 'pricePointId', pointId)
    .map(({ fromQuantity }) => decimal(fromQuantity));
  const orders = [...['1', '2', '3'].map((each) => decimal(each)), ...quantities]
    .sort((one, other) => one.comparedTo(other))
    .map((units) => units.toFixed());
  return ['unit', ...[...new Set(orders)].map((units): SaleColumn => `order-${units}`), 'month'];
}

export function saleLeftView(evaluation: Evaluation, pointId: string): SaleLeftView {
  const columns = columnsOf(evaluation, pointId);
  const byScale = <T>(of: (scale: SaleColumn) => T): Readonly<Record<string, T>> =>
    Object.fromEntries(columns.map((scale) => [scale, of(scale)]));
  const at = (scale: SaleColumn) => `${pointId}@${scale}`;
  const line = ([id, role]: readonly [keyof SaleLines, SaleLineRole]): SaleLine => ({
    id,
    role,
    name: null,
    figures: byScale((scale) =>
      evaluation.read(saleLines, at(scale))[id] === null ? null : shown(evaluation, saleLines, at(scale), id),
    ),
  });
  const { sheet } = evaluation;
  const { taken } = evaluation.read(setPrice, pointId);
  const fees = taken.map(({ terms }): SaleLine => ({
    id: `fee-${terms.id}`,
    role: 'minus',
    name: terms.name,
    figures: byScale((scale) => shown(evaluation, saleFee, `${at(scale)}@${terms.id}`, 'amount')),
  }));
  const isThere = ({ figures }: SaleLine) => Object.values(figures).some((figure) => figure !== null);
  return {
    lines: [...BEFORE_FEES.map(line), ...fees, ...AFTER_FEES.map(line)].filter(isThere),
    ...shownAll(evaluation, saleLines, at('unit'), ['margin', 'markup']),
    markups: shownAll(evaluation, markupBases, pointId, MARKUPS),
    parcels: parcelsOf(evaluation, pointId),
    columns,
    margins: byScale((scale) => shown(evaluation, saleLines, at(scale), 'margin')),
    dearerOrders: sheet.rowsOf('quantityBreak', 'pricePointId', pointId).flatMap(({ id, fromQuantity }) => {
      const isDearer = evaluation.read(dearerOrder, id).dearerFrom !== null;
      return isDearer ? [{ fromQuantity, dearerFrom: shown(evaluation, dearerOrder, id, 'dearerFrom') }] : [];
    }),
    thresholds: {
      ...shownAll(evaluation, orderThresholds, pointId, THRESHOLDS),
      smallestForMargin:
        evaluation.read(orderThresholds, pointId).smallestForMargin &&
        shown(evaluation, orderThresholds, pointId, 'smallestForMargin'),
    },
    returns: RETURNS.flatMap((id) =>
      evaluation.read(returnsInAll, pointId)[id] === null
        ? []
        : [
            {
              id,
              figure: shown(evaluation, returnsInAll as Calculation<Record<keyof ReturnsInAll, Figure>>, pointId, id),
            },
          ],
    ),
    perPaidHour: shown(evaluation, perBottleneck, `${pointId}@paid`, 'contribution'),
  };
}

const BY_WEIGHT = new Set(['weight', 'size']);

function parcelsOf(evaluation: Evaluation, pointId: string): ParcelView[] {
  const { sheet } = evaluation;
  const { sold, taken } = evaluation.read(setPrice, pointId);
  const channel = sold && sheet.row('channel', sold.point.channelId);
  if (!sold || !channel) return [];
  const tables = sheet
    .rowsOf('postageShare', 'channelId', fulfillerOf(sheet, channel).id)
    .map(({ tableId }) => tableId);
  const rules = taken.flatMap(({ terms: { id } }) =>
    BY_WEIGHT.has(sheet.row('feeRule', id)?.takenOf ?? '') ? [`feeRule.${id}`] : [],
  );
  return [...new Set(tables)]
    .map((id) => `carrierTable.${id}`)
    .concat(rules)
    .map((source) => {
      const [kind, rowId = ''] = source.split('.');
      const id = `${sold.product.id}@${source}`;
      const { byVolume } = evaluation.read(chargedParcel, id);
      return {
        name: sheet.row(kind === 'feeRule' ? 'feeRule' : 'carrierTable', rowId)?.name ?? '',
        ...shownAll(evaluation, chargedParcel, id, ['weight', 'charged']),
        byVolume: byVolume && shown(evaluation, chargedParcel as Calculation<{ byVolume: Figure }>, id, 'byVolume'),
      };
    });
}

/** Units that earn the same after a change; the id is "point@price%@cost@fixed". */
export const sameResultView = (evaluation: Evaluation, id: string) =>
  shownAll(evaluation, sameResult, id, ['contribution', 'exactUnits', 'units', 'change']);

/** What a sale leaves for each hour of a bottleneck; the id is "point@equipment.id" or "point@labourGrade.id". */
export const bottleneckView = (evaluation: Evaluation, id: string) =>
  shownAll(evaluation, perBottleneck, id, ['hours', 'contribution']);
