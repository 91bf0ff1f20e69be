import type { RowOf } from '@nuvar/book';
import { difference, type Figure, multiplied, percentOf, quotient, sum } from '../../figure/index.js';
import { decimal } from '../../number/index.js';
import { batch, costItems, type CostItem } from '../../production/index.js';
import { PERCENT } from '../../quantity/index.js';
import { BATCH, HOUR, money, type Sheet } from '../../sheet/index.js';
import { THE_WHOLE } from '../../price/index.js';
import { averageTime } from './learning.js';

/** What learning saves in a job. */
export interface Learnt {
  /** The average time of a unit, in percent of that of the first. */
  readonly average: Figure;
  readonly saved: Figure;
  /** Of that, what changes with each unit: committed pay is paid however fast the work goes. */
  readonly variableSaved: Figure;
  readonly hoursSaved: Figure;
}

/**
 * What learning saves in a job: the time saved x the labour that learns. That is the labour of the job itself that grows with its
 * units; set-up is done once and learns nothing, and components are made apart. Null where nothing is learnt.
 */
export function learntIn(
  sheet: Sheet,
  option: RowOf<'quoteOption'>,
  product: RowOf<'product'>,
  units: Figure,
): Learnt | null {
  if (option.learningPercent === null || option.learningPercent === '100') return null;
  const subject = product.name;
  const rate = sheet.input('quoteOption', option, 'learningPercent', { name: 'Learning rate', subject, unit: PERCENT });
  const average = averageTime(rate, decimal(option.units));
  const less = difference('Time saved, of that of the first', THE_WHOLE, average);
  const { good } = sheet.read(batch, product.id);
  const learning = sheet.read(costItems, product.id).filter(learns);
  const ofJob = (name: string, perBatch: Figure) => {
    const inUnit = quotient({ name: `${name}, in a unit`, subject }, perBatch, good);
    return percentOf({ name, subject }, less, multiplied({ name: `${name}, of the job`, subject }, inUnit, units));
  };
  const costs = (items: readonly CostItem[]) =>
    sum(
      { name: 'Labour that learns', subject },
      money(sheet).per(BATCH),
      items.flatMap(({ labour }) => labour ?? []),
    );
  const hours = learning.flatMap(({ taking }) => taking.hours ?? []);
  return {
    average,
    saved: ofJob('Labour saved by learning', costs(learning)),
    variableSaved: ofJob('Variable labour saved', costs(learning.filter((item) => isVariable(sheet, item)))),
    hoursSaved: ofJob('Hours saved', sum({ name: 'Hours that learn', subject }, HOUR.per(BATCH), hours)),
  };
}

const learns = ({ taking, labour }: CostItem): boolean =>
  labour !== null && taking.of?.kind !== 'product' && taking.basis !== 'batch';

function isVariable(sheet: Sheet, { taking: { of } }: CostItem): boolean {
  const grade = of?.kind === 'labourGrade' ? sheet.row('labourGrade', of.id) : undefined;
  return grade === undefined || grade.behaviour === 'variable';
}
