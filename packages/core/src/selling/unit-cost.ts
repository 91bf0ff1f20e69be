import { fullCost } from '../costing/index.js';
import { type Figure, sum } from '../figure/index.js';
import { orderSizeDifference, productOverhead } from '../overhead/index.js';
import { committedCost } from '../production/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import type { UnitCost } from './sale.js';

/**
 * The full cost of a unit by its behaviour: what changes with each unit (cost before overhead without what is committed, and
 * variable running costs), and the rest (what is committed, and fixed overhead). Both together are the full cost.
 */
export const unitBehaviour: Calculation<Pick<UnitCost, 'changingCost' | 'fixedInUnit'>> = {
  name: 'unitBehaviour',
  meanings: {
    changingCost: 'What changes with each unit that is made and sold (variable cost).',
    fixedInUnit: 'What one unit carries of costs that come whatever is made: committed pay and wear, fixed overhead.',
  },
  work(sheet, productId) {
    const { perUnit: committed, changing } = sheet.read(committedCost, productId);
    const overhead = sheet.read(productOverhead, productId);
    const variable = [overhead.variableProduction, overhead.variableNonProduction].filter(isAny);
    const { subject, unit } = changing;
    const fixed = [committed, overhead.production, overhead.nonProduction].filter(isAny);
    return {
      changingCost:
        variable.length === 0 ? changing : sum({ name: 'Variable cost', subject }, unit, [changing, ...variable]),
      fixedInUnit:
        variable.length === 0 && !isAny(committed)
          ? overhead.total
          : sum({ name: 'Fixed cost in a unit', subject }, unit, fixed),
    };
  },
};

const isAny = ({ parts }: Figure) => parts.length > 0;

/** What one unit of a product costs when it is sold in a channel. */
export interface ChannelUnitCost extends UnitCost {
  /** The share of the running costs in one unit that is sold there. */
  readonly overhead: Figure;
}

/**
 * What one unit costs when it is sold in a channel: as on average, but that what comes with each order goes by the order size
 * there. The id is "product@channel", or "product@channel@units" in an order of so many.
 */
export const channelUnitCost: Calculation<ChannelUnitCost> = {
  name: 'channelUnitCost',
  meanings: {
    changingCost: 'What changes with each unit that is made and sold in this channel (variable cost).',
    fixedInUnit: 'What one unit carries in this channel of costs that come whatever is made.',
    overhead: 'The share of the running costs in one unit that is sold in this channel.',
    fullCost: 'What one unit costs in this channel with its share of the running costs (full cost).',
  },
  work(sheet, id) {
    const productId = id.split('@')[0] ?? '';
    const { changingCost, fixedInUnit } = sheet.read(unitBehaviour, productId);
    const { overhead, fullCost: average } = sheet.read(fullCost, productId);
    const { variable, fixed } = sheet.read(orderSizeDifference, id);
    const both = [variable, fixed].filter((figure) => figure !== null);
    const plus = (figure: Figure, more: readonly Figure[]) =>
      more.length === 0
        ? figure
        : sum({ name: `${figure.name}, by order size`, subject: figure.subject }, figure.unit, [figure, ...more]);
    return {
      changingCost: plus(changingCost, variable === null ? [] : [variable]),
      fixedInUnit: plus(fixedInUnit, fixed === null ? [] : [fixed]),
      overhead: plus(overhead, both),
      fullCost: plus(average, both),
    };
  },
};

/** What one unit of a product costs, as the sale of it in a channel needs to know; on average where no channel is named. */
export function unitCostOf(
  sheet: Sheet,
  productId: string,
  channelId: string | null,
  unitsOfOrder: string | null = null,
): UnitCost {
  const order = unitsOfOrder === null ? '' : `@${unitsOfOrder}`;
  if (channelId !== null) return sheet.read(channelUnitCost, `${productId}@${channelId}${order}`);
  return { ...sheet.read(unitBehaviour, productId), fullCost: sheet.read(fullCost, productId).fullCost };
}
