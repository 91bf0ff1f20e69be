import {
  columnFilteringFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
  createFilteredRowModel,
  createSortedRowModel,
  functionalUpdate,
  globalFilteringFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
  type Updater,
} from '@tanstack/react-table';
import { useCallback, useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { useSettings } from '../../book/use-book.js';
import { decimalSign } from '../../figures/format.js';
import { useSessionQuery } from '../../state/api.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { measured, sharedOut, USUAL_WHOLE_DIGITS } from './column-sizes.js';
import { keepLayout, keptLayout, type GridLayout } from './grid-layout.js';
import { type Column, isInput, type ListFilter } from './grid-model.js';
import { orderBy, type Order } from './grid-order.js';
import { textWidth } from './text-width.js';

const features = tableFeatures({
  columnFilteringFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
});

interface Sorting {
  readonly column: string;
  readonly descending: boolean;
  readonly order: Order;
}

interface GridTableOptions<Row, Patch> {
  readonly title: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row, Patch>[];
  readonly moreColumns: readonly Column<Row, Patch>[];
  readonly filter: ListFilter<Row> | undefined;
  /** The pixels that there are for the columns. */
  readonly room: number;
}

/**
 * Columns, their widths and whether they are shown, the filter and the order of a grid: what TanStack Table keeps for it.
 * Widths follow the content until somebody drags them; what a person has dragged or hidden is kept for them.
 */
export function useGridTable<Row extends { readonly id: string }, Patch>({
  title,
  rows,
  columns,
  moreColumns,
  filter,
  room,
}: GridTableOptions<Row, Patch>) {
  const all = useMemo(() => [...columns, ...moreColumns], [columns, moreColumns]);
  const [layout, setLayout] = useKeptLayout(title);
  const { sorting, sortBy } = useOrder(all, rows);
  const goneTo = useColumnGoneTo(all, rows);
  const visible = useMemo(
    () => ({
      ...Object.fromEntries(moreColumns.map(({ id }) => [id, false])),
      ...layout.visible,
      ...(goneTo === null ? {} : { [goneTo]: true }),
    }),
    [moreColumns, layout.visible, goneTo],
  );
  const [wholeDigits, widen] = useWholeDigits();
  // Measured when rows come or go, and not at every letter: nothing is to move under the hand.
  const natural = useMemo(
    () => measured(all, rows, textWidth, wholeDigits),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the count stands for the rows
    [all, rows.length, wholeDigits],
  );
  const sizes = useMemo(() => {
    const shown = natural.filter(({ id }) => visible[id] !== false);
    const fixed = shown.map((each) => {
      const dragged = layout.sizes[each.id];
      return dragged === undefined ? each : { ...each, natural: dragged, least: dragged, grows: false };
    });
    return sharedOut(fixed, room);
  }, [natural, visible, layout.sizes, room]);
  const definitions = useMemo(
    () =>
      all.map(({ id, header }): ColumnDef<typeof features, Row> => ({
        id,
        header,
        accessorFn: (row) => row,
        size: sizes[id] ?? 0,
        minSize: 40,
        sortFn: (one, other) => {
          const place = (row: Row) => sorting?.order.get(row.id) ?? Number.POSITIVE_INFINITY;
          const [first, second] = [place(one.original), place(other.original)];
          return first === second ? 0 : first < second ? -1 : 1;
        },
      })),
    [all, sizes, sorting],
  );
  const words = filter?.words;
  const wanted = useMemo(() => (words === undefined ? undefined : { words }), [words]);
  const table = useTable({
    features,
    columns: definitions,
    data: rows,
    getRowId: (row) => row.id,
    columnResizeMode: 'onChange',
    // The order has its direction in it already.
    state: {
      columnSizing: layout.sizes,
      columnVisibility: visible,
      sorting: useMemo(() => (sorting === null ? [] : [{ id: sorting.column, desc: false }]), [sorting]),
      globalFilter: wanted,
    },
    onColumnSizingChange: (change: Updater<Record<string, number>>) =>
      setLayout((known) => ({ ...known, sizes: functionalUpdate(change, known.sizes) })),
    onColumnVisibilityChange: (change: Updater<Record<string, boolean>>) =>
      setLayout((known) => ({ ...known, visible: functionalUpdate(change, known.visible) })),
    getColumnCanGlobalFilter: ({ id }) => id === all[0]?.id,
    globalFilterFn: (row) => filter?.matches(row.original, filter.words) ?? true,
  });
  const shown = useMemo(() => all.filter(({ id }) => visible[id] !== false), [all, visible]);
  const models = table.getRowModel().rows;
  return {
    table,
    /** The columns that are shown, and all that could be. */
    shown,
    all,
    visible,
    rows: useMemo(() => models.map(({ original }) => original), [models]),
    sorting,
    sortBy,
    /** Told by a figure that is drawn how many digits it has before the point. */
    widen,
    show: (id: string, isShown: boolean) => table.getColumn(id)?.toggleVisibility(isShown),
    /** Lets all widths follow the content again, and shows what is shown at first. */
    resetLayout: () => setLayout(() => ({ sizes: {}, visible: {} })),
    width: table.getTotalSize(),
  };
}

/** The column of the field that the address goes to: it is shown then, whether it is hidden at other times or not. Null for none here. */
function useColumnGoneTo<Row extends { readonly id: string }, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
): string | null {
  const at = new URLSearchParams(useLocation().search).get('at');
  return useMemo(() => {
    const row = at === null ? undefined : rows.find(({ id }) => at.startsWith(`${id}.`));
    if (row === undefined) return null;
    return columns.find((column) => isInput(column) && column.place?.(row) === at)?.id ?? null;
  }, [at, columns, rows]);
}

/** The most digits before the point that the figures of each column were seen with: columns grow with them, and stay. */
function useWholeDigits(): [Readonly<Record<string, number>>, (column: string, digits: number) => void] {
  const [known, setKnown] = useState<Readonly<Record<string, number>>>({});
  const widen = useCallback(
    (column: string, digits: number) =>
      setKnown((before) =>
        (before[column] ?? USUAL_WHOLE_DIGITS) >= digits ? before : { ...before, [column]: digits },
      ),
    [],
  );
  return [known, widen];
}

/** What the person has made of the grid, kept on this machine. */
function useKeptLayout(title: string): [GridLayout, (change: (known: GridLayout) => GridLayout) => void] {
  const { data: session } = useSessionQuery();
  const personId = session?.user?.id ?? '';
  const [layout, setLayout] = useState(() => keptLayout(personId, title));
  const change = (next: (known: GridLayout) => GridLayout) => {
    const changed = next(layout);
    setLayout(changed);
    keepLayout(personId, title, changed);
  };
  return [layout, change];
}

/** The order that a click on a header asked for, as it was at the click: rows do not jump while they are typed into. */
function useOrder<Row extends { readonly id: string }, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
) {
  const [sorting, setSorting] = useState<Sorting | null>(null);
  const dispatch = useAppDispatch();
  const { locale } = useSettings();
  const sortBy = async (id: string): Promise<void> => {
    const column = columns.find((each) => each.id === id);
    const isSame = sorting?.column === id;
    if (column === undefined || (isSame && sorting.descending)) {
      setSorting(null);
      return;
    }
    try {
      const order = await orderBy(column, rows, isSame, decimalSign(locale));
      setSorting({ column: id, descending: isSame, order });
    } catch (error) {
      dispatch(noticed({ sentence: error instanceof Error ? error.message : String(error), tone: 'problem' }));
    }
  };
  return { sorting, sortBy };
}
