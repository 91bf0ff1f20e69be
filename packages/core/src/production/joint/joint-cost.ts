import type { Figure } from '../../figure/index.js';
import { BATCH, money, type Sheet } from '../../sheet/index.js';
import { productionGap } from '../gaps.js';
import type { Process } from './joint-basis.js';

/** The joint cost of a batch as it is typed. Gap: neither a product that it is costed by, nor an amount. */
export const typedJointCost = (sheet: Sheet, process: Process): Figure =>
  sheet.input('jointProcess', process, 'jointCost', {
    name: 'Joint cost',
    subject: process.name,
    unit: money(sheet).per(BATCH),
    whenEmpty: (place) => productionGap('no-joint-cost', place, { subject: process.name }),
  });
