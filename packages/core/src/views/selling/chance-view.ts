import type { Override } from '@nuvar/book';
import { unitItems } from '../../costing/index.js';
import { type Figure, isWhole } from '../../figure/index.js';
import { decimal } from '../../number/index.js';
import { plannedAt } from '../../production/index.js';
import { priceInForce } from '../../purchasing/index.js';
import {
  besideThePrice,
  type ChanceModel,
  type ChanceRanges,
  rangesOf,
  type SaleTerms,
  setPrice,
  unitBehaviour,
  unitCostOf,
} from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** What a simulation of a price begins with; null while something of it is not known. */
export interface ChanceView {
  readonly model: ChanceModel | null;
  readonly ranges: ChanceRanges;
}

/** A price as a model for a simulation, with the ranges that are typed for it. How the cost moves is tried out, not assumed. */
export function chanceView(evaluation: Evaluation, pointId: string): ChanceView {
  const ranges = rangesOf(evaluation.sheet.rowsOf('inputRange', 'pricePointId', pointId));
  return { model: modelOf(evaluation, pointId), ranges };
}

function modelOf(evaluation: Evaluation, pointId: string): ChanceModel | null {
  const { sheet } = evaluation;
  const set = evaluation.read(setPrice, pointId);
  if (set.sold === null) return null;
  const { point, product, terms } = set.sold;
  const { changingCost, fixedInUnit } = unitCostOf(sheet, product.id, point.channelId);
  const curve = terms.curve();
  const planned = plannedAt(sheet, point);
  const { costs, brings } = besideThePrice(terms, product.name);
  const carried = terms.periodFee === null ? [fixedInUnit] : [fixedInUnit, terms.periodFee];
  const known = [set.price, changingCost, planned, ...carried, ...costs];
  if (curve === null || !known.every(isWhole)) return null;
  const cost = plain(changingCost);
  const units = plain(planned);
  return {
    ...priceOf(plain(set.price), terms),
    fees: curve.map(({ upTo, slope, level }) => ({
      upTo: upTo?.toNumber() ?? null,
      slope: slope.toNumber(),
      level: level.toNumber(),
    })),
    dispatch: costs.reduce((so, figure) => so + plain(figure), 0),
    postageBrought: plain(brings),
    ...costParts(evaluation, product.id, cost),
    mostYield: Number(product.yieldPercent) >= 100 ? 1 : 100 / Number(product.yieldPercent),
    unitsPerMonth: units,
    fixedPerMonth: carried.reduce((total, figure) => total + plain(figure), 0) * units,
  };
}

/** The amount of a figure as a plain number; what there is nothing of is zero, or what is given. */
const plain = (figure: Figure | null, otherwise = 0): number => figure?.amount?.toNumber() ?? otherwise;

type PriceParts = 'price' | 'keptAfterDiscount' | 'coupon' | 'taxTimes' | 'keptAfterReturns' | 'spent';

function priceOf(price: number, terms: SaleTerms): Pick<ChanceModel, PriceParts> {
  return {
    price,
    keptAfterDiscount: plain(terms.keptAfterDiscount, 100) / 100,
    coupon: plain(terms.coupon?.own ?? null),
    taxTimes: terms.taxInside ? plain(terms.beside.priceWithTax, 100) / 100 : 1,
    keptAfterReturns: plain(terms.returns?.kept ?? null, 100) / 100,
    spent: 1 - plain(terms.returns?.asNew ?? null) / 100,
  };
}

type CostParts = 'materials' | 'labour' | 'otherVariable' | 'byYield';

function costParts(evaluation: Evaluation, productId: string, cost: number): Pick<ChanceModel, CostParts> {
  const materials = materialsOf(evaluation, productId);
  const inMaterials = materials.reduce((so, { amount }) => so + amount, 0);
  const labour = (tried(evaluation, productId, timesOf(evaluation, productId)) - cost) * TRIED_TIMES;
  return {
    materials,
    labour,
    otherVariable: Math.max(0, cost - inMaterials - labour),
    byYield: cost === 0 ? 0 : yieldPart(evaluation, productId, cost) / cost,
  };
}

/** One hundredth more of a time is tried, and what it does counted a hundred times. */
const TRIED_TIMES = 100;
const FEWER_AN_HOUR = decimal('1').div('1.01').toDecimalPlaces(20).toFixed();

const timesOf = (evaluation: Evaluation, productId: string): Override[] =>
  evaluation.sheet
    .rowsOf('labourStep', 'productId', productId)
    .filter(({ time }) => time !== null)
    .map(({ id, timeBasis }) => ({
      kind: 'labourStep',
      id,
      field: 'time',
      how: 'scale' as const,
      by: timeBasis === 'units per hour' ? FEWER_AN_HOUR : '1.01',
    }));

function tried(evaluation: Evaluation, productId: string, overrides: readonly Override[]): number {
  if (overrides.length === 0) return evaluation.read(unitBehaviour, productId).changingCost.amount?.toNumber() ?? 0;
  const fork = evaluation.fork(overrides);
  try {
    return fork.read(unitBehaviour, productId).changingCost.amount?.toNumber() ?? 0;
  } finally {
    fork.end();
  }
}

/** What of the cost is divided by the yield: of cost = a + b / yield, b / yield, found from a second yield. */
function yieldPart(evaluation: Evaluation, productId: string, cost: number): number {
  const lower = tried(evaluation, productId, [
    { kind: 'product', id: productId, field: 'yieldPercent', how: 'scale', by: '0.9' },
  ]);
  return Math.min(cost, Math.max(0, (lower - cost) / (1 / 0.9 - 1)));
}

/** What the materials in one unit cost, each with who supplies it. */
function materialsOf(evaluation: Evaluation, productId: string): ChanceModel['materials'][number][] {
  const { sheet } = evaluation;
  return unitItems(sheet, productId).flatMap(({ source, quantity, price }) => {
    const [kind, id = ''] = source.split('.');
    if (kind !== 'material' || quantity.amount === null || price.amount === null) return [];
    const { priceId } = evaluation.read(priceInForce, id);
    const supplier = sheet.row('supplierPrice', priceId ?? '')?.supplierId ?? id;
    return [{ supplier, amount: quantity.amount.mul(price.amount).toNumber() }];
  });
}
