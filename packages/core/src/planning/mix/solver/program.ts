import type { Highs, ModelData } from 'highs';
import type { MixModel, ModelProduct, ModelResource, ModelTotal, ModelUse } from '../mix-model.js';

/** A variable of the program: how much of a product (in its steps), whether it is made at all, or how much extra is had. */
export interface ProgramColumn {
  readonly of: 'quantity' | 'made' | 'extra';
  /** The place of the product or the resource in the model. */
  readonly at: number;
  readonly cost: number;
  readonly lower: number;
  readonly upper: number;
  readonly isWhole: boolean;
  /** What one of it stands for: a step of a product that is counted whole, else one. */
  readonly step: number;
}

export interface ProgramRow {
  readonly of: 'resource' | 'total' | 'set-up' | 'lot';
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
  readonly isContinuous: boolean;
}

const BEYOND_ALL_NEED = 1e9;
const WHOLE = 1e-9;

/**
 * Writes a mix model as a program: maximise gain x quantity - set-up cost x made - premium x extra, under what is available. A
 * product with a set-up or a minimum lot is linked to whether it is made at all - in any of its lines, where it is sold in several
 * channels: they share one set-up and one lot - by the tightest bound that its limits give:
 * the least of its maximum and, over all resources, (available + extra - use of the set-up) / use of a unit. Each row is scaled
 * by its largest coefficient, so that very small and very large uses stand side by side.
 */
export function mixProgram(model: MixModel): MixProgram {
  const builder: Builder = {
    model,
    columns: [],
    rows: [],
    quantities: [],
    mades: [],
    bounds: boundsByProduct(model),
    takesForSetUp: new Set(model.uses.flatMap(({ product, forSetUp }) => (forSetUp > 0 ? [product] : []))),
  };
  model.products.forEach((product, at) => builder.quantities.push(addQuantity(builder, product, at)));
  const heads = model.products.map((product, at) => (product.setUpWith === at ? addMade(builder, product, at) : null));
  model.products.forEach(({ setUpWith }) => builder.mades.push(heads[setUpWith] ?? null));
  const usesOf = groupedBy(model.uses, ({ resource }) => resource);
  model.resources.forEach((resource, at) => addResource(builder, resource, at, usesOf.get(at) ?? []));
  model.totals.forEach((total, at) => addTotal(builder, total, at));
  model.products.forEach((product, at) => addSetUp(builder, product, at));
  const { columns, rows } = builder;
  return { model, columns, rows, isContinuous: columns.every(({ isWhole }) => !isWhole) };
}

/** A program as it is written. */
interface Builder {
  readonly model: MixModel;
  readonly columns: ProgramColumn[];
  readonly rows: ProgramRow[];
  /** The column of the quantity of each product. */
  readonly quantities: number[];
  /** The column that says whether it is made at all, shared by all lines of a product; null where that does not matter. */
  readonly mades: (number | null)[];
  /** How much of each product there can be at most. */
  readonly bounds: readonly number[];
  /** The products whose set-up takes something. */
  readonly takesForSetUp: ReadonlySet<number>;
}

type Term = readonly [column: number, value: number];

const addColumn = ({ columns }: Builder, column: ProgramColumn): number => columns.push(column) - 1;

function addRow(
  { rows }: Builder,
  of: ProgramRow['of'],
  at: number,
  bounds: readonly [number, number],
  terms: readonly Term[],
) {
  const there = terms.filter(([, value]) => value !== 0);
  const scale = there.reduce((so, [, value]) => Math.max(so, Math.abs(value)), 0) || 1;
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

function addQuantity(builder: Builder, { step, least, most, gain }: ModelProduct, at: number): number {
  const size = step ?? 1;
  const highest = most ?? Number.POSITIVE_INFINITY;
  return addColumn(builder, {
    of: 'quantity',
    at,
    step: size,
    isWhole: step !== null,
    cost: gain * size,
    lower: step === null ? least : Math.ceil(least / size - WHOLE),
    upper: step === null ? highest : Math.floor(highest / size + WHOLE),
  });
}

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
  const had: Term[] =
    extra > 0
      ? [
          [
            addColumn(builder, {
              of: 'extra',
              at,
              step: 1,
              isWhole: false,
              cost: taken(builder.model, premium),
              lower: 0,
              upper: extra,
            }),
            -1,
          ],
        ]
      : [];
  addRow(builder, 'resource', at, [Number.NEGATIVE_INFINITY, available], [...terms, ...had]);
}

/** So much for each unit of a product, as a term of its column. */
function quantityTerm({ columns, quantities }: Builder, product: number, perUnit: number): Term {
  const column = quantities[product] as number;
  return [column, perUnit * (columns[column] as ProgramColumn).step];
}

function addTotal(builder: Builder, { rule, units, products }: ModelTotal, at: number): void {
  const lower = rule === 'at most' ? Number.NEGATIVE_INFINITY : units;
  const upper = rule === 'at least' ? Number.POSITIVE_INFINITY : units;
  const terms = products.map((product) => quantityTerm(builder, product, 1));
  addRow(builder, 'total', at, [lower, upper], terms);
}

function addSetUp(builder: Builder, { lot }: ModelProduct, at: number): void {
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
  if (lot === null) return;
  const together = builder.model.products.flatMap(({ setUpWith }, index) =>
    setUpWith === at ? [quantityTerm(builder, index, 1)] : [],
  );
  addRow(builder, 'lot', at, [0, Number.POSITIVE_INFINITY], [...together, [made, -lot]]);
}

const taken = ({ isLeast }: MixModel, cost: number) => (isLeast ? cost : -cost);

function groupedBy<Of>(all: readonly Of[], by: (one: Of) => number): ReadonlyMap<number, readonly Of[]> {
  const groups = new Map<number, Of[]>();
  for (const one of all) {
    const group = groups.get(by(one));
    if (group === undefined) groups.set(by(one), [one]);
    else group.push(one);
  }
  return groups;
}

/** How much of each product its limits allow at most, by itself; infinite where nothing limits it. */
export function limitsByProduct({ products, resources, uses, totals }: MixModel): number[] {
  const limits = products.map(({ most }) => most ?? Number.POSITIVE_INFINITY);
  const lower = (at: number, limit: number) => {
    limits[at] = Math.min(limits[at] ?? limit, limit);
  };
  for (const { product, resource, perUnit, forSetUp } of uses) {
    const { available = 0, extra = 0 } = resources[resource] ?? {};
    if (perUnit > 0) lower(product, Math.max(0, available + extra - forSetUp) / perUnit);
  }
  for (const { rule, units, products: members } of totals)
    if (rule !== 'at least') for (const member of members) lower(member, units);
  return limits;
}

/** The same as a number in any case: nobody makes more than all that is asked for, where more brings nothing. */
function boundsByProduct(model: MixModel): number[] {
  const asked = model.totals.reduce((so, { rule, units }) => (rule === 'at most' ? so : so + units), 0);
  return limitsByProduct(model).map((limit, at) => {
    if (Number.isFinite(limit)) return limit;
    const { least, lot, step } = model.products[at] as ModelProduct;
    return asked > 0 || least > 0 ? Math.max(asked, least, lot ?? 0) + (step ?? 0) : BEYOND_ALL_NEED;
  });
}

/** The products that bring more without end: nothing limits them. Uses are never below zero, so no other mix is endless. */
export function unlimitedProducts(model: MixModel): number[] {
  if (model.isLeast) return [];
  return limitsByProduct(model).flatMap((limit, at) =>
    limit === Number.POSITIVE_INFINITY && (model.products[at]?.gain ?? 0) > 0 ? [at] : [],
  );
}

/** The program in the arrays of the solver; with names, as its files need them, the rows as people know them and not scaled. */
export function modelData(
  highs: Highs,
  { model, columns, rows, isContinuous }: MixProgram,
  names?: ProgramNames,
): ModelData {
  const times = ({ scale }: ProgramRow) => (names === undefined ? 1 : scale);
  const starts = [0];
  for (const { columns: of } of rows) starts.push((starts.at(-1) as number) + of.length);
  const { variableType, objectiveSense } = highs.constants;
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: model.isLeast ? objectiveSense.minimize : objectiveSense.maximize,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(({ lower }) => lower),
    colUpper: columns.map(({ upper }) => upper),
    rowLower: rows.map((row) => row.lower * times(row)),
    rowUpper: rows.map((row) => row.upper * times(row)),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices: rows.flatMap(({ columns: of }) => of),
      values: rows.flatMap((row) => row.values.map((value) => value * times(row))),
    },
    ...(isContinuous
      ? {}
      : { integrality: columns.map(({ isWhole }) => (isWhole ? variableType.integer : variableType.continuous)) }),
    ...(names === undefined ? {} : { colNames: names.columns, rowNames: names.rows, modelName: names.model }),
  };
}

export interface ProgramNames {
  readonly model: string;
  readonly columns: readonly string[];
  readonly rows: readonly string[];
}
