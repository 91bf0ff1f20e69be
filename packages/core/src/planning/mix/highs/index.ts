import highs, { type Highs } from 'highs';

type Loader = typeof highs.default;

// By its types the package is CommonJS, in which the loader is a member; what is imported is an ES module, and is the loader.
const load = highs as unknown as Loader;

/** Loads HiGHS, the solver of mixes; where it does not lie beside the program, the options say where its binary is. */
export const loadSolver = (options?: Parameters<Loader>[0]): Promise<Highs> => load(options);
