import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { mixProgram, type MixProgram, modelData } from './program.js';

/** A mix model as files that any solver reads. */
export const MIX_FILE_FORMATS = ['lp', 'mps'] as const;
export type MixFileFormat = (typeof MIX_FILE_FORMATS)[number];

/**
 * Writes a mix model as an LP file (CPLEX LP format) or as an MPS file, with the names of the plan: letters and digits as they
 * are, all else as an underscore, and a number behind a name that is there already.
 */
export function mixFile(highs: Highs, model: MixModel, format: MixFileFormat): string {
  const { rows, ...rest } = mixProgram(model);
  // A row of nothing, which always holds, is no row to other solvers.
  const program = { ...rest, rows: rows.filter(({ columns, lower }) => columns.length > 0 || lower > 0) };
  const data = modelData(highs, program, { model: plainName(model.name, 'mix'), ...namesOf(program) });
  return highs.withModel(data, (solver) =>
    format === 'lp' ? inFull(solver.exportModel('lp')) : new TextDecoder().decode(solver.exportModel('mps')),
  );
}

/** Section names written out, and none that is empty: some readers of the format know no others. */
const inFull = (lp: string): string =>
  lp
    .replace(/^max$/m, 'Maximize')
    .replace(/^min$/m, 'Minimize')
    .replace(/^st$/m, 'Subject To')
    .replace(/^bounds$/m, 'Bounds')
    .replace(/^bin$/m, 'Binaries')
    .replace(/^gen$/m, 'Generals')
    .replace(/^semi\n(?=end)/m, '')
    .replace(/^end$/m, 'End');

const PREFIX = { quantity: '', made: 'made_', extra: 'extra_' } as const;
const ROW_PREFIX = { resource: '', total: 'total_', 'set-up': 'set_up_', lot: 'lot_' } as const;

function namesOf({ model, columns, rows }: MixProgram): {
  readonly columns: readonly string[];
  readonly rows: readonly string[];
} {
  const product = (at: number) => plainName(model.products[at]?.name ?? '', 'product');
  const resource = (at: number) => plainName(model.resources[at]?.name ?? '', 'resource');
  return {
    columns: eachOnce(
      columns.map(({ of, at, isWhole, step }) => {
        const name = of === 'extra' ? resource(at) : product(at);
        return `${of === 'quantity' && isWhole && step !== 1 ? 'batches_of_' : PREFIX[of]}${name}`;
      }),
    ),
    rows: eachOnce(
      rows.map(({ of, at }) => {
        const name =
          of === 'resource'
            ? resource(at)
            : of === 'total'
              ? plainName(model.totals[at]?.name ?? '', 'total')
              : product(at);
        return `${ROW_PREFIX[of]}${name}`;
      }),
    ),
  };
}

/** A name as the files allow it. One that begins with a digit, or with an e that could be read as a number, gets a letter before it. */
function plainName(name: string, otherwise: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '_')
    .replace(/^_+|_+$/g, '')
    .slice(0, 100);
  if (plain === '') return otherwise;
  return /^[0-9eE]/.test(plain) ? `x_${plain}` : plain;
}

function eachOnce(names: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return names.map((name) => {
    const times = seen.get(name) ?? 0;
    seen.set(name, times + 1);
    return times === 0 ? name : `${name}_${times + 1}`;
  });
}
