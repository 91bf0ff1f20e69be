import { compareDecimalText, unitOfMeasure } from '../../fields/index.js';
import { problem } from '../../problem/index.js';
import type { RowRule } from './rule.js';

/** A bill line is of a material, of a component, or a text to be linked later. */
export const linesAreOfOneItem: RowRule<'billLine'> = {
  kinds: ['billLine'],
  reads: ['materialId', 'componentId', 'text'],
  since: 1,
  problems(_book, { after }) {
    const named = [after.materialId !== null, after.componentId !== null, after.text !== ''].filter(Boolean).length;
    return named === 1
      ? []
      : [problem('line-needs-one-item', { kind: 'billLine', rowId: after.id, field: 'materialId' })];
  },
};

/** A use of equipment is of one machine by time, or of one shared load by space. */
export const usesAreOfOneMachine: RowRule<'equipmentUse'> = {
  kinds: ['equipmentUse'],
  reads: ['equipmentId', 'runId', 'basis'],
  since: 1,
  problems(_book, { after: { id, equipmentId, runId, basis } }) {
    const at = { kind: 'equipmentUse', rowId: id } as const;
    if (equipmentId !== null && runId !== null)
      return [problem('use-needs-one-machine', { ...at, field: 'equipmentId' })];
    if (equipmentId === null && runId === null) return [];
    return (basis === 'space per unit') === (runId !== null)
      ? []
      : [problem('space-needs-a-run', { ...at, field: 'basis' })];
  },
};

/** Of counted pieces no more come out good than were started; what is weighed or measured may swell. */
export const piecesDoNotGrow: RowRule<'product'> = {
  kinds: ['product'],
  reads: ['outputUnit', 'yieldPercent'],
  since: 1,
  problems(_book, { after }) {
    const isCounted = unitOfMeasure(after.outputUnit)?.dimension === 'count';
    return isCounted && compareDecimalText(after.yieldPercent, '100') > 0
      ? [problem('yield-over-100', { kind: 'product', rowId: after.id, field: 'yieldPercent' })]
      : [];
  },
};

/** Waste that is a share of the input leaves something of it. */
export const wasteLeavesSomething: RowRule<'billLine'> = {
  kinds: ['billLine'],
  reads: ['lossPercent', 'lossBasis'],
  since: 1,
  problems(_book, { after }) {
    return after.lossBasis === 'of the input' && compareDecimalText(after.lossPercent, '100') >= 0
      ? [problem('all-of-the-input-lost', { kind: 'billLine', rowId: after.id, field: 'lossPercent' })]
      : [];
  },
};
