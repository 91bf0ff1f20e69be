import { constant, type Figure, largest, ofMissingRow } from '../../figure/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { netRealisableValue, type Output, type Process, valueAt } from './joint-basis.js';

/** What is best done with an output of a joint batch. */
export type OutputUse = 'sold at split-off' | 'taken further' | 'left';

export interface BestUse {
  /** Null while it is not known what it brings. */
  readonly use: OutputUse | null;
  readonly worth: Figure;
}

/**
 * The best use of an output of a joint batch: sold at split-off, or taken further where what it then sells for less the further
 * cost is more; left where neither brings anything. The joint cost counts for nothing in it: it is spent by then. Ties go to
 * split-off. Gap: neither price. Source: sell or process further, Horngren, Datar & Rajan, Cost Accounting.
 */
export const bestUse: Calculation<BestUse> = {
  name: 'bestUse',
  meanings: { worth: 'What this output brings by its best use, before the joint cost.' },
  work(sheet, outputId) {
    const output = sheet.row('jointOutput', outputId);
    const process = output && sheet.row('jointProcess', output.processId);
    if (output === undefined || process === undefined)
      return { use: null, worth: ofMissingRow({ name: 'Best use', unit: money(sheet).per(BATCH) }, 'a joint batch') };
    const uses = usesOf(sheet, process, output);
    const called = { name: 'By its best use', subject: output.name };
    const note = 'the better of split-off and going further, and no less than nothing';
    const worth = largest(called, Object.values(uses), note);
    const isKnown = worth.gaps.length === 0;
    const [use] = Object.entries(uses).find(([, { amount }]) => amount?.eq(worth.amount ?? Number.NaN)) ?? [];
    return { use: isKnown && use !== undefined ? (use as OutputUse) : null, worth };
  },
};

function usesOf(sheet: Sheet, process: Process, output: Output): Partial<Record<OutputUse, Figure>> {
  const atSplitOff =
    output.splitOffPrice === null ? {} : { 'sold at split-off': valueAt(sheet, process, output, 'splitOffPrice') };
  const goesFurther = output.finalPrice !== null || output.splitOffPrice === null;
  return {
    ...atSplitOff,
    ...(goesFurther ? { 'taken further': netRealisableValue(sheet, process, output) } : {}),
    left: constant('Left', '0', money(sheet).per(BATCH), 'nothing is sold and nothing is spent'),
  };
}
