import type { Highs, Model } from 'highs';
import { type MixProgram, modelData } from './program.js';

/** How near to the best a mix is proven to be, of a plan that allows no gap: in parts of the `worth` of its program. */
export const PROVEN_WITHIN = 1e-8;

/** How exact the solver is, in parts of what each program is scaled to. */
const EXACT = {
  output_flag: false,
  small_matrix_value: 1e-12,
  primal_feasibility_tolerance: 1e-9,
  dual_feasibility_tolerance: 1e-9,
  mip_feasibility_tolerance: 1e-9,
  mip_abs_gap: PROVEN_WITHIN,
} as const;

/** Gives a program to the solver, with further options, for as long as `work` runs. */
export const withProgram = <Result>(
  highs: Highs,
  program: MixProgram,
  options: Readonly<Record<string, number>>,
  work: (solver: Model) => Result,
): Result =>
  highs.withModel((solver): Result => {
    solver.options.set({ ...EXACT, ...options });
    // What is too small to count is dropped as a model is taken in, so the options come first.
    solver.passModel(modelData(highs, program));
    return work(solver);
  });
