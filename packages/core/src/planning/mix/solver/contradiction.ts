import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { limitsOf, type MixLimit, withLimits } from './limits.js';
import { mixProgram } from './program.js';
import { hasRun } from './solved.js';
import { withProgram } from './with-program.js';

/**
 * A smallest set of limits that cannot hold together: take any of them away, and some mix fits. Found by halving (QuickXplain:
 * U. Junker, Preferred explanations and relaxations for over-constrained problems, AAAI 2004), so that few of many limits are
 * tried. Empty where all limits can hold.
 */
export function contradiction(highs: Highs, model: MixModel): MixLimit[] {
  const fits = (limits: readonly MixLimit[]) => isFeasible(highs, withLimits(model, limits));
  const all = limitsOf(model);
  return fits(all) ? [] : smallest(fits, [], false, all);
}

type Fits = (limits: readonly MixLimit[]) => boolean;

function smallest(fits: Fits, held: readonly MixLimit[], hasGrown: boolean, limits: readonly MixLimit[]): MixLimit[] {
  if (hasGrown && !fits(held)) return [];
  if (limits.length <= 1) return [...limits];
  const middle = Math.floor(limits.length / 2);
  const [first, second] = [limits.slice(0, middle), limits.slice(middle)];
  const ofSecond = smallest(fits, [...held, ...first], true, second);
  const ofFirst = smallest(fits, [...held, ...ofSecond], ofSecond.length > 0, first);
  return [...ofFirst, ...ofSecond];
}

/** True where some mix fits the limits of a model, whatever it brings. */
function isFeasible(highs: Highs, model: MixModel): boolean {
  const indifferent = {
    ...model,
    products: model.products.map((each) => ({ ...each, gain: 0, setUpCost: each.setUpCost && 1e-6 })),
  };
  const program = mixProgram(indifferent);
  if (program.columns.some(({ lower, upper }) => lower > upper + 1e-9)) return false;
  const options = { time_limit: model.secondsAtMost, mip_max_improving_sols: 1 };
  return withProgram(highs, program, options, (solver) => {
    // Limits of which the solver cannot say anything are not blamed.
    if (!hasRun(solver, () => solver.run())) return true;
    const { modelStatus } = highs.constants;
    const status = solver.getModelStatus();
    return status !== modelStatus.infeasible && status !== modelStatus.unboundedOrInfeasible;
  });
}
