import type { Highs, ModelData } from 'highs';
import type { MixModel, ModelProduct, ModelResource, ModelTotal, ModelUse } from '../mix-model.js';
import { groupedBy } from './grouped-by.js';
import { BEYOND_ALL_NEED, boundsByProduct, makeable } from './product-limits.js';

/**
 * A variable of the program: how much of a product (in its steps), whether it is made at all, how many batches all its lines
 * together are, how much extra is had, or how much of a component is made beyond its stock.
 */
export interface ProgramColumn {
  readonly of: 'quantity' | 'made' | 'batches' | 'extra' | 'component';
  /** The place of the product or the resource in the model. */
  readonly at: number;
  /** What one of it adds to the goal, in parts of `worth`. */
  readonly cost: number;
  readonly lower: number;
  readonly upper: number;
  readonly isWhole: boolean;
  /** What one of it stands for: a step of a product that is counted whole, else about as much as there can be of it. */
  readonly step: number;
}

export interface ProgramRow {
  readonly of: 'resource' | 'total' | 'set-up' | 'lot' | 'batch';
  readonly at: number;
  readonly lower: number;
  readonly upper: number;
  readonly columns: readonly number[];
  readonly values: readonly number[];
  /** The row was divided by this, so that its largest coefficient is about one. */
  readonly scale: number;
}

/** A mix model as a linear program, continuous or with whole numbers. */
export interface MixProgram {
  readonly model: MixModel;
  readonly columns: readonly ProgramColumn[];
  readonly rows: readonly ProgramRow[];
  /** What the goal is without any of it, in parts of `worth`. */
  readonly offset: number;
  /** The goal was divided by this, so that what each column can add is neither very large nor very small. */
  readonly worth: number;
  readonly isContinuous: boolean;
}

const WHOLE = 1e-9;

/**
 * Writes a mix model as a program: maximise gain x quantity - set-up cost x made - premium x extra, under what is available. A
 * product with a set-up or a minimum lot is linked to whether it is made at all - in any of its lines, where it is sold in several
 * channels: they share one set-up and one lot - by the tightest bound that its limits give:
 * the least of its maximum and, over all resources, (available + extra - use of the set-up) / use of a unit. Quantities, extra, rows
 * and the goal are each scaled to about one, by powers of two, which lose no digits: so very small and very large amounts stand
 * side by side, and what the solver takes for equal is so in parts of each.
 */
export function mixProgram(model: MixModel): MixProgram {
  const builder: Builder = {
    model,
    columns: [],
    rows: [],
    quantities: [],
    mades: [],
    components: [],
    bounds: boundsByProduct(model),
    takesForSetUp: new Set(model.uses.flatMap(({ product, forSetUp }) => (forSetUp > 0 ? [product] : []))),
  };
  model.products.forEach((product, at) => builder.quantities.push(addQuantity(builder, product, at)));
  const heads = model.products.map((product, at) => (product.setUpWith === at ? addMade(builder, product, at) : null));
  model.products.forEach(({ setUpWith }) => builder.mades.push(heads[setUpWith] ?? null));
  model.resources.forEach((resource, at) => builder.components.push(addComponent(builder, resource, at)));
  const usesOf = groupedBy(model.uses, ({ resource }) => resource);
  model.resources.forEach((resource, at) => addResource(builder, resource, at, usesOf.get(at) ?? []));
  model.totals.forEach((total, at) => addTotal(builder, total, at));
  model.products.forEach((product, at) => addSetUp(builder, product, at));
  model.products.forEach((product, at) => addBatches(builder, product, at));
  const { rows } = builder;
  const worth = worthOf(builder.columns.map(({ cost }) => Math.abs(cost)));
  return {
    model,
    rows,
    worth,
    columns: builder.columns.map((column) => ({ ...column, cost: column.cost / worth })),
    offset: (model.isLeast ? model.fixed : 0 - model.fixed) / worth,
    isContinuous: builder.columns.every(({ isWhole }) => !isWhole),
  };
}

/** What the goal is divided by: so that the largest cost is about one; where others are far smaller, up to ten thousand. */
function worthOf(costs: readonly number[]): number {
  const largest = costs.reduce((so, cost) => Math.max(so, cost), 0);
  const smallest = costs.reduce((so, cost) => (cost > 0 ? Math.min(so, cost) : so), largest);
  return powerOfTwo(largest / Math.min(MOST_COST, smallest === 0 ? 1 : largest / smallest));
}

const MOST_COST = 1e4;

/** The power of two next to an amount; one for nothing, or for what has no end. */
const powerOfTwo = (amount: number): number =>
  amount > 0 && Number.isFinite(amount) ? 2 ** Math.round(Math.log2(amount)) : 1;

/** A program as it is written. */
interface Builder {
  readonly model: MixModel;
  readonly columns: ProgramColumn[];
  readonly rows: ProgramRow[];
  /** The column of the quantity of each product. */
  readonly quantities: number[];
  /** The column that says whether it is made at all, shared by all lines of a product; null where that does not matter. */
  readonly mades: (number | null)[];
  /** By resource: the column of what is made of a component beyond its stock; null where it is none, or is not made. */
  readonly components: (number | null)[];
  /** How much of each product there can be at most. */
  readonly bounds: readonly number[];
  /** The products whose set-up takes something. */
  readonly takesForSetUp: ReadonlySet<number>;
}

type Term = readonly [column: number, value: number];

const addColumn = ({ columns }: Builder, column: ProgramColumn): number => columns.push(column) - 1;

function addRow(
  { rows, columns: all }: Builder,
  of: ProgramRow['of'],
  at: number,
  bounds: readonly [number, number],
  terms: readonly Term[],
) {
  // What a resource does not suffice for even once has no part in it: its use would dwarf those of all others.
  const canBe = (column: number) => of !== 'resource' || all[column]?.isWhole !== true || (all[column]?.upper ?? 0) > 0;
  const there = terms.filter(([column, value]) => value !== 0 && canBe(column));
  const scale = powerOfTwo(there.reduce((so, [, value]) => Math.max(so, Math.abs(value)), 0));
  rows.push({
    of,
    at,
    scale,
    lower: bounds[0] / scale,
    upper: bounds[1] / scale,
    columns: there.map(([column]) => column),
    values: there.map(([, value]) => value / scale),
  });
}

function addQuantity(builder: Builder, product: ModelProduct, at: number): number {
  const { step, least, gain } = product;
  const bound = builder.bounds[at] ?? 1;
  // What nothing limits, and nobody asks for, is not made: its size does not matter.
  const size = step ?? powerOfTwo(bound === BEYOND_ALL_NEED ? 1 : bound);
  const highest = highestOf(product, bound);
  return addColumn(builder, {
    of: 'quantity',
    at,
    step: size,
    isWhole: step !== null,
    cost: gain * size,
    lower: step === null ? least / size : Math.ceil(least / size - WHOLE),
    upper: step === null ? highest / size : Math.floor(highest / size + WHOLE),
  });
}

/** How much there can be of a product at most: where it is counted whole, as far as its limits go, so that what cannot be made at all is left out of them. */
function highestOf({ step, least, most, useful }: ModelProduct, bound: number): number {
  const own = Math.min(most ?? Number.POSITIVE_INFINITY, useful ?? Number.POSITIVE_INFINITY);
  if (bound < LEAST_SAID && least === 0) return 0;
  return step === null || bound === BEYOND_ALL_NEED ? own : Math.min(own, Math.max(bound, least));
}

/** Less of a product than this is none: a quantity has twelve places. */
const LEAST_SAID = 1e-9;

function addMade(builder: Builder, { setUpCost, lot }: ModelProduct, at: number): number | null {
  // Otherwise it does not matter whether it is made at all.
  if (setUpCost === 0 && lot === null && !builder.takesForSetUp.has(at)) return null;
  const cost = taken(builder.model, setUpCost);
  const isMadeAnyway = builder.model.products.some(({ least, setUpWith }) => setUpWith === at && least > 0);
  return addColumn(builder, { of: 'made', at, step: 1, isWhole: true, cost, lower: isMadeAnyway ? 1 : 0, upper: 1 });
}

function addResource(builder: Builder, resource: ModelResource, at: number, uses: readonly ModelUse[]): void {
  const { available, extra, premium } = resource;
  const terms = uses.flatMap(({ product, perUnit, forSetUp }): Term[] => {
    const made = builder.mades[product];
    const ofUnits = quantityTerm(builder, product, perUnit);
    return made == null ? [ofUnits] : [ofUnits, [made, forSetUp]];
  });
  const had = extra > 0 ? [extraTerm(builder, resource, at)] : [];
  // Extra that is cheaper than the normal supply would be had without end, used or not: only what is used can be extra.
  const least = extra > 0 && premium < 0 ? 0 : Number.NEGATIVE_INFINITY;
  addRow(builder, 'resource', at, [least, available], [...terms, ...had, ...componentTerms(builder, at)]);
}

/** What is made of a component beyond its stock: its cost is in the contributions. */
function addComponent(builder: Builder, { making }: ModelResource, at: number): number | null {
  if (making === null) return null;
  const step = powerOfTwo(makeable(builder.model, making));
  const upper = Number.POSITIVE_INFINITY;
  return addColumn(builder, { of: 'component', at, step, isWhole: false, cost: 0, lower: 0, upper });
}

/** What components that are made add to a resource, of themselves, and take of it, of others. */
const componentTerms = ({ components, columns, model }: Builder, at: number): Term[] =>
  components.flatMap((column, component): Term[] => {
    if (column === null) return [];
    const { step } = columns[column] as ProgramColumn;
    if (component === at) return [[column, -step]];
    const use = model.resources[component]?.making?.find(({ resource }) => resource === at);
    return use === undefined ? [] : [[column, use.perUnit * step]];
  });

/** The extra that is used of a resource, as a term of a column of its own. */
function extraTerm(builder: Builder, { extra, premium }: ModelResource, at: number): Term {
  const step = powerOfTwo(extra);
  const cost = taken(builder.model, premium) * step;
  return [addColumn(builder, { of: 'extra', at, step, isWhole: false, cost, lower: 0, upper: extra / step }), -step];
}

/** So much for each unit of a product, as a term of its column. */
function quantityTerm({ columns, quantities }: Builder, product: number, perUnit: number): Term {
  const column = quantities[product] as number;
  return [column, perUnit * (columns[column] as ProgramColumn).step];
}

function addTotal(builder: Builder, { rule, units, terms }: ModelTotal, at: number): void {
  const lower = rule === 'at most' ? Number.NEGATIVE_INFINITY : units;
  const upper = rule === 'at least' ? Number.POSITIVE_INFINITY : units;
  addRow(
    builder,
    'total',
    at,
    [lower, upper],
    terms.map(([product, by]) => quantityTerm(builder, product, by)),
  );
}

function addSetUp(builder: Builder, product: ModelProduct, at: number): void {
  const made = builder.mades[at];
  if (made == null) return;
  const quantity = quantityTerm(builder, at, 1);
  addRow(
    builder,
    'set-up',
    at,
    [Number.NEGATIVE_INFINITY, 0],
    [quantity, [made, -(builder.bounds[at] ?? BEYOND_ALL_NEED)]],
  );
  const least = product.lot ?? leastWhereMade(builder, product, at);
  if (least > 0)
    addRow(builder, 'lot', at, [0, Number.POSITIVE_INFINITY], [...linesTogether(builder, at), [made, -least]]);
}

/** All lines of a product together are whole batches. */
function addBatches(builder: Builder, { batch }: ModelProduct, at: number): void {
  if (batch === null) return;
  const upper = Number.POSITIVE_INFINITY;
  const batches = addColumn(builder, { of: 'batches', at, step: 1, isWhole: true, cost: 0, lower: 0, upper });
  addRow(builder, 'batch', at, [0, 0], [...linesTogether(builder, at), [batches, -batch]]);
}

/** All lines that share the set-up of a product, as terms. */
const linesTogether = (builder: Builder, head: number): Term[] =>
  builder.model.products.flatMap(({ setUpWith }, index) =>
    setUpWith === head ? [quantityTerm(builder, index, 1)] : [],
  );

/** What of a product must be made so that its set-up is one, where setting up alone would bring something: of extra that is cheaper than the normal supply. Else nothing. */
function leastWhereMade({ model, bounds }: Builder, { step }: ModelProduct, at: number): number {
  const pays = model.uses.some(({ product, resource, forSetUp }) => {
    const { extra = 0, premium = 0 } = model.resources[resource] ?? {};
    return product === at && forSetUp > 0 && extra > 0 && premium < 0;
  });
  return pays ? (step ?? Math.max(LEAST_SAID, PART * (bounds[at] ?? 1))) : 0;
}

/** As small a part of what could be made as still counts as made. */
const PART = 1e-5;

const taken = ({ isLeast }: MixModel, cost: number) => (isLeast ? cost : -cost);

/** The program in the arrays of the solver. */
export function modelData(highs: Highs, { model, columns, rows, offset, isContinuous }: MixProgram): ModelData {
  const starts = [0];
  for (const { columns: of } of rows) starts.push((starts.at(-1) as number) + of.length);
  const { variableType, objectiveSense } = highs.constants;
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: model.isLeast ? objectiveSense.minimize : objectiveSense.maximize,
    offset,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(({ lower }) => lower),
    colUpper: columns.map(({ upper }) => upper),
    rowLower: rows.map(({ lower }) => lower),
    rowUpper: rows.map(({ upper }) => upper),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices: rows.flatMap(({ columns: of }) => of),
      values: rows.flatMap(({ values }) => values),
    },
    ...(isContinuous
      ? {}
      : { integrality: columns.map(({ isWhole }) => (isWhole ? variableType.integer : variableType.continuous)) }),
  };
}
