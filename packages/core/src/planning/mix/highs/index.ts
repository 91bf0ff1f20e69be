import highs, { type Highs } from 'highs';

/** Where the binary of the solver is, where it does not lie beside the program. */
export interface SolverPlace {
  readonly locateFile: (file: string) => string;
}

// What is imported is the loader; for Node the package's types take it for a module that holds the loader.
const load = highs as unknown as (place?: SolverPlace) => Promise<Highs>;

/** Loads HiGHS, the solver of mixes. */
export const loadSolver = (place?: SolverPlace): Promise<Highs> => load(place);
