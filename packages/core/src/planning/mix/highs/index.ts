import highs, { type Highs } from 'highs';

/** Where the binary of the solver is, where it does not lie beside the program. */
export interface SolverPlace {
  readonly locateFile: (file: string) => string;
}

// What is imported is the loader; for Node the package's types take it for a module that holds the loader.
const load = highs as unknown as (place?: SolverPlace) => Promise<Highs>;

/** Loads HiGHS, the solver of mixes. */
export const loadSolver = (place?: SolverPlace): Promise<Highs> => load(place);

const [COLUMNS, ROWS] = [90, 30];

/** Solves something of a fair size with whole numbers: what follows is quicker once the solver has run. Gives the solver back. */
export function warmSolver(solver: Highs): Highs {
  const { variableType, objectiveSense } = solver.constants;
  const columns = Array.from({ length: COLUMNS }, (_each, at) => at);
  const rows = Array.from({ length: ROWS }, (_each, at) => at);
  // Numbers without a pattern that a solver could see through; the same each time.
  const mixed = (one: number, other: number) => (one * 7919 + other * 104729) % 97;
  solver.withModel(
    {
      numCols: COLUMNS,
      numRows: ROWS,
      sense: objectiveSense.maximize,
      colCost: columns.map((at) => 40 + mixed(at, 1)),
      colLower: columns.map(() => 0),
      colUpper: columns.map(() => 9),
      rowLower: rows.map(() => Number.NEGATIVE_INFINITY),
      rowUpper: rows.map((at) => 2000 + 10 * mixed(at, 2)),
      matrix: {
        format: 'csr',
        numRows: ROWS,
        numCols: COLUMNS,
        starts: [0, ...rows.map((at) => (at + 1) * COLUMNS)],
        indices: rows.flatMap(() => columns),
        values: rows.flatMap((row) => columns.map((column) => 1 + mixed(row + 3, column))),
      },
      integrality: columns.map(() => variableType.integer),
    },
    (model) => {
      model.options.set({ output_flag: false, mip_max_nodes: 30, time_limit: 1.5 });
      model.run();
    },
  );
  return solver;
}
