import type { Highs, Model } from 'highs';
import type { MixProgram } from './program.js';
import { gapOf, type Solved, solveModel } from './solved.js';
import { withProgram } from './with-program.js';

/**
 * How much work each step of the start is given: nodes of its search, and tries of opening or closing. It is not counted in time, so
 * that the same plan begins with the same mix on a slow machine and on a quick one; time only ends it where none is left.
 */
const NODES_OF_CHOOSING = 15;
const TRIES_OF_TURNING = 400;
const NODES_OF_ROUNDING = 40;
/** What part of the time that is left the choosing may take at most, so that some is left to round what it finds. */
const PART_OF_CHOOSING = 0.5;
/** How far from the best of its own a step may end, where the plan allows less. */
const GAP = 0.002;

/**
 * A good mix to begin the search for whole numbers with. First what is made at all, over continuous quantities: begun with what
 * the relaxation makes, one product is opened or closed at a time, those first whose reduced cost promises most, as long as the
 * goal rises; where that is not near enough, the same once more from a search over all those of which the relaxation was not sure.
 * Last the whole numbers next to the quantities so found (RENS: T. Berthold, 2014). Null where
 * nothing was found. It only saves time: the search that follows proves what is best.
 */
export function startOf(highs: Highs, program: MixProgram, secondsAtMost: number): Start {
  const solving: Solving = { highs, secondsAtMost, spent: 0, bound: null };
  const values = program.isContinuous ? null : startValues(solving, program);
  return { values, bound: solving.bound, seconds: solving.spent };
}

/** A mix to begin with, and how long it took to find. */
export interface Start {
  /** By column of the program. */
  readonly values: readonly number[] | null;
  /** What the relaxation reaches: no mix can beat it. Null where it was not solved. */
  readonly bound: number | null;
  readonly seconds: number;
}

/** The solver, how long the whole search may take, and how much of that is spent. */
interface Solving {
  readonly highs: Highs;
  readonly secondsAtMost: number;
  spent: number;
  bound: number | null;
}

function startValues(solving: Solving, program: MixProgram): readonly number[] | null {
  const relaxed = withColumns(program, (column) => ({ ...column, isWhole: false }));
  const first = solved(solving, relaxed, {});
  if (first === null) return null;
  solving.bound = first.status === 'best' ? first.goal : null;
  const switches = program.columns.flatMap(({ of }, column) => (of === 'made' ? [column] : []));
  const chosen = switches.length === 0 ? first : chosenMix(solving, program, relaxed, first, switches);
  if (chosen === null) return null;
  const hasSteps = program.columns.some(({ of, isWhole }) => of !== 'made' && isWhole);
  return hasSteps
    ? (solved(solving, nearTo(program, chosen), { mip_max_nodes: NODES_OF_ROUNDING })?.values ?? null)
    : chosen.values;
}

/** What is made at all, over continuous quantities. */
function chosenMix(
  solving: Solving,
  program: MixProgram,
  relaxed: MixProgram,
  first: Solved,
  switches: readonly number[],
): Solved | null {
  const turned = turnedMix(solving, relaxed, first, switches);
  const { isLeast, gapPercent } = program.model;
  // No mix can beat the relaxation: where this one is near enough to it, nothing better is looked for.
  if (turned !== null && gapOf(turned.goal, first.goal) <= gapPercent) return turned;
  const searched = solved(solving, unsureAlone(program, first), {
    mip_max_nodes: NODES_OF_CHOOSING,
    time_limit: timeLeft(solving) * PART_OF_CHOOSING,
  });
  const again = searched === null ? null : turnedMix(solving, relaxed, searched, switches);
  const turn = isLeast ? -1 : 1;
  return turned === null || (again !== null && turn * (again.goal - turned.goal) > 0) ? again : turned;
}

type Column = MixProgram['columns'][number];

const withColumns = (program: MixProgram, change: (column: Column, index: number) => Column): MixProgram => {
  const columns = program.columns.map(change);
  return { ...program, columns, isContinuous: columns.every(({ isWhole }) => !isWhole) };
};

const timeLeft = ({ secondsAtMost, spent }: Solving): number => Math.max(0, secondsAtMost - spent);

/** Solves a program by itself, with further options; null where nothing was found. */
function solved(solving: Solving, program: MixProgram, further: Readonly<Record<string, number>>): Solved | null {
  const { highs } = solving;
  const options = {
    time_limit: timeLeft(solving),
    mip_rel_gap: Math.max(GAP, program.model.gapPercent / 300),
    ...further,
  };
  return withProgram(highs, program, options, (solver) => {
    const found = solveModel(highs, solver, program);
    solving.spent += solver.getRunTime();
    return found.values.length === 0 ? null : found;
  });
}

const isOpen = (value: number | undefined) => (value ?? 0) > 1e-6;

/** Opens and closes products one at a time, as long as the goal rises. */
function turnedMix(solving: Solving, relaxed: MixProgram, chosen: Solved, switches: readonly number[]): Solved | null {
  const { highs } = solving;
  return withProgram(highs, relaxed, {}, (solver) => {
    const isMade = new Map(switches.map((column) => [column, isOpen(chosen.values[column])]));
    for (const [column, made] of isMade) fix(solver, relaxed, column, made);
    let best = solveModel(highs, solver, relaxed);
    let tries = 0;
    const end = timeLeft(solving);
    const turn = relaxed.model.isLeast ? -1 : 1;
    const rises = (column: number): boolean => {
      tries += 1;
      const made = isMade.get(column) !== true;
      fix(solver, relaxed, column, made);
      const tried = solveModel(highs, solver, relaxed);
      if (tried.status === 'best' && turn * (tried.goal - best.goal) > 1e-7 * Math.abs(best.goal)) {
        best = tried;
        isMade.set(column, made);
        return true;
      }
      fix(solver, relaxed, column, !made);
      return false;
    };
    const hasTime = () => tries < TRIES_OF_TURNING && solver.getRunTime() < end;
    if (best.status !== 'best') return null;
    while (promising(best, isMade, turn).some((column) => hasTime() && rises(column)));
    solving.spent += solver.getRunTime();
    return best;
  });
}

function fix(solver: Model, { columns }: MixProgram, column: number, isMade: boolean): void {
  const value = isMade || (columns[column]?.lower ?? 0) > 0 ? 1 : 0;
  solver.changeColBounds(column, value, value);
}

/** The switches whose turning could raise the goal, by their reduced costs, those that promise most first. */
function promising({ columnDuals }: Solved, isMade: ReadonlyMap<number, boolean>, turn: number): number[] {
  return [...isMade]
    .map(([column, made]) => ({ column, promise: turn * (columnDuals[column] ?? 0) * (made ? -1 : 1) }))
    .filter(({ promise }) => promise > 1e-9)
    .sort((one, other) => other.promise - one.promise)
    .map(({ column }) => column);
}

/** The program over continuous quantities in which only those switches are open of which its relaxation was not sure. */
const unsureAlone = (program: MixProgram, { values }: Solved): MixProgram =>
  withColumns(program, (column, index) => {
    if (column.of !== 'made') return { ...column, isWhole: false };
    const value = values[index] ?? 0;
    if (!isOpen(value)) return { ...column, upper: column.lower };
    return value > 1 - 1e-6 ? { ...column, lower: 1 } : column;
  });

/** The program with only those whole numbers next to the values of a continuous mix, and the same products made. */
const nearTo = (program: MixProgram, { values }: Solved): MixProgram =>
  withColumns(program, (column, index) => {
    if (!column.isWhole) return column;
    const value = values[index] ?? 0;
    const [below, above] = [Math.floor(value + 1e-7), Math.ceil(value - 1e-7)];
    return { ...column, lower: Math.max(column.lower, below), upper: Math.min(column.upper, above) };
  });
