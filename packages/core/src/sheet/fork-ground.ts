import type { Calculation, Sheet } from './calculation.js';
import type { Cell, Source } from './cell.js';
import { type Cells, newCells, type Touched } from './cells.js';
import { forgetFrom, type Graph } from './graph.js';
import { type ForkGround, type Ground, lastRead, sheetOf, sourceRead, touch } from './ground.js';
import { type Layer, layerOver, type Relaid, type RowName } from './layer.js';
import { memoryLike } from './memory.js';
import { overriddenInput } from './overridden-input.js';
/** Whether the overrides of a layer reach a cell: remembered for as long as the cell has not been looked at anew. */
class Reach {
  private readonly known = new Map<Cell, { readonly at: number; readonly isReached: boolean }>();

  constructor(private readonly layer: Layer) {}

  has(cell: Cell): boolean {
    if (cell.calculation === null) return this.layer.isTouched(cell.of as Source, cell.id);
    const known = this.known.get(cell);
    if (known?.at === cell.checkedAt) return known.isReached;
    const isReached = cell.dependencies.some((each) => this.has(each));
    this.known.set(cell, { at: cell.checkedAt, isReached });
    return isReached;
  }

  forget(): void {
    this.known.clear();
  }
}

/** The cells that a fork has of its own. */
class OwnCells {
  private cells: Cells;

  constructor(
    private readonly graph: Graph,
    private readonly sheet: () => Sheet,
  ) {
    this.cells = newCells(sheet);
  }

  get all(): Cells {
    return this.cells;
  }

  /** The cell of a calculation; where it is made, it begins with what the parent's remembers. */
  of(calculation: Calculation<unknown>, id: string, above: Cell): Cell {
    const cell = this.cells.of(calculation, id);
    if (cell.checkedAt === 0) cell.memory = memoryLike(above.memory);
    this.graph.refresh(cell);
    return cell;
  }

  letGo(): void {
    for (const cell of this.cells.all()) {
      forgetFrom(cell, 0);
      // A fork of this one may have read it.
      this.graph.touch(cell);
      cell.dropped = true;
    }
    this.cells = newCells(this.sheet);
  }
}

/**
 * The ground of a fork: its parent's results wherever nothing that they depend on is overridden, and cells of its own for
 * the others.
 */
export function forkGround(graph: Graph, parent: Ground, asOf: string): ForkGround {
  const layer = layerOver(parent.rows);
  const reach = new Reach(layer);
  const own = new OwnCells(graph, () => sheet);
  /** What did not depend on overrides and may do so now cannot be told by its dependencies: then all begins anew. */
  const settle = (relaid: Relaid, rows: readonly RowName[], touched: readonly Touched[]) => {
    if (relaid.isWider) own.letGo();
    if (relaid.touched.length > 0) reach.forget();
    touch(graph, own.all, touched);
    for (const fork of ground.forks) fork.follow(rows, touched);
  };
  const ground: ForkGround = {
    rows: layer.rows,
    forks: new Set(),
    cellOf(calculation, id, before) {
      if (layer.isEmpty) return parent.cellOf(calculation, id);
      const last = stillThere(before ?? lastRead(graph, calculation, id));
      if (last?.sheet === sheet) {
        if (last.stale) graph.refresh(last);
        return last;
      }
      const above = parent.cellOf(calculation, id, last?.sheet === parent.sheet ? last : null);
      return reach.has(above) ? own.of(calculation, id, above) : above;
    },
    source: (source, id, fill) =>
      layer.isTouched(source, id)
        ? sourceRead(graph, ground, own.all, source, id, fill)
        : parent.source(source, id, fill),
    input(kind, row, field, leaf) {
      const laid = layer.laid(row.id);
      return laid?.overrides.has(field)
        ? overriddenInput(parent, laid, field, leaf)
        : parent.input(kind, row, field, leaf);
    },
    lay(overrides) {
      graph.advance();
      const relaid = layer.lay(overrides);
      settle(relaid, relaid.rows, relaid.touched);
    },
    follow(rows, touchedBelow) {
      const relaid = layer.follow(rows);
      settle(relaid, rows, [...touchedBelow, ...relaid.touched]);
    },
    end() {
      parent.forks.delete(ground);
      graph.advance();
      own.letGo();
      layer.lay([]);
    },
    get sheet() {
      return sheet;
    },
  };
  const sheet = sheetOf(graph, ground, asOf);
  parent.forks.add(ground);
  return ground;
}

const stillThere = (cell: Cell | null | undefined) => (cell?.dropped ? undefined : cell);
