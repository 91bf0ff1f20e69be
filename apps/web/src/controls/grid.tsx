import { newId } from '@nuvar/book';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch } from '../state/store.js';
import { useEdit, useMayEdit } from '../book/use-book.js';
import { ChangeMany } from './change-many.js';
import { blockOf } from './csv.js';
import { exportCells } from './export-cells.js';
import { GridExport } from './grid-export.js';
import { isInput, type Column, type GridWriter } from './grid-model.js';
import { GridRow } from './grid-row.js';
import { moveInColumn } from './move-on.js';
import { PasteDialog, type PasteTarget } from './paste-dialog.js';

interface GridProps<Row extends { readonly id: string }, Patch extends object> {
  /** What the grid lists, for its heading, its file name and those who hear it. */
  readonly title: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row, Patch>[];
  /** Columns that are not shown: they go out with an export, and can be changed for many rows in one go. */
  readonly moreColumns?: readonly Column<Row, Patch>[];
  /** Absent where rows are only read. */
  readonly writer?: GridWriter<Row, Patch>;
  /** How a row is called where it is acted upon: "Remove White slip". */
  readonly nameOf: (row: Row) => string;
  readonly selected?: string | undefined;
  /** Opens what belongs to a row beside the grid. */
  readonly onSelect?: (row: Row) => void;
  /** Told of a row that was made in the empty row. */
  readonly onCreate?: (id: string) => void;
  readonly tools?: ReactNode;
  readonly empty?: string;
}

const ROW_HEIGHT = 34;
const MOST_WITHOUT_WINDOW = 60;

/**
 * A table that is worked in: cells are edited where they stand, the last, empty row makes new ones, Ctrl+D duplicates,
 * Ctrl+Delete removes, arrows go up and down, and blocks are pasted from and copied to spreadsheets. Of long lists only
 * the rows in sight are drawn.
 */
export function Grid<Row extends { readonly id: string }, Patch extends object>(props: GridProps<Row, Patch>) {
  const {
    title,
    rows: given,
    columns,
    moreColumns = [],
    writer,
    nameOf,
    selected,
    onSelect,
    onCreate,
    tools,
    empty,
  } = props;
  const mayEdit = useMayEdit();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const scroller = useRef<HTMLDivElement>(null);
  const [blank, setBlank] = useState(() => ({ id: newId(), patch: {} as Patch, texts: {} as Record<string, string> }));
  const [paste, setPaste] = useState<PasteTarget<Row, Patch> | null>(null);
  const { rows, sortMark, sortBy } = useSorted(given, columns);
  const canWrite = writer !== undefined && mayEdit;
  const windowed = rows.length > MOST_WITHOUT_WINDOW;
  // eslint-disable-next-line react-hooks/incompatible-library -- the compiler that cannot take it is not in use here
  const virtual = useVirtualizer({
    count: windowed ? rows.length : 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 10,
  });
  const items = virtual.getVirtualItems();
  const [first, last] = windowed ? [items[0]?.index ?? 0, (items.at(-1)?.index ?? -1) + 1] : [0, rows.length];

  const write = (row: Row, text: string, column: Column<Row, Patch>): string | null => {
    if (!isInput(column) || writer === undefined) return null;
    const reading = column.read(text, row);
    if ('refusal' in reading) return reading.refusal;
    return edit(writer.update(row, reading.patch, []))[0]?.sentence ?? null;
  };
  const writeBlank = (text: string, column: Column<Row, Patch>): string | null => {
    if (!isInput(column) || writer === undefined) return null;
    const reading = column.read(text, null);
    if ('refusal' in reading) return reading.refusal;
    const patch = { ...blank.patch, ...reading.patch };
    const operations = writer.create(blank.id, patch, []);
    if (operations === null) {
      setBlank({ ...blank, patch, texts: { ...blank.texts, [column.id]: text } });
      return null;
    }
    const problem = edit(operations)[0];
    if (problem === undefined) {
      setBlank({ id: newId(), patch: {} as Patch, texts: {} });
      onCreate?.(blank.id);
    }
    return problem?.sentence ?? null;
  };
  const act = (row: Row, what: 'remove' | 'duplicate') => {
    const problem = edit(writer?.[what]?.(row) ?? [])[0];
    if (problem === undefined) return;
    const { kind, rowId, code, sentence } = problem;
    const canArchive = code === 'still-used' && (kind === 'material' || kind === 'product') && rowId !== undefined;
    dispatch(
      noticed({ sentence, tone: 'problem', ...(canArchive ? { question: { action: 'archive', kind, rowId } } : {}) }),
    );
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const target = event.target as HTMLElement;
    const place = target.closest<HTMLElement>('[data-grid-row]');
    const row = rows.find((each) => each.id === place?.dataset.gridRow);
    if (place === null) return;
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0 && !(target instanceof HTMLSelectElement) && target.getAttribute('aria-expanded') !== 'true') {
      if (moveInColumn(target, place, step)) event.preventDefault();
    } else if (row !== undefined && canWrite && event.ctrlKey && event.key.toLowerCase() === 'd' && writer.duplicate) {
      event.preventDefault();
      act(row, 'duplicate');
    } else if (row !== undefined && canWrite && event.ctrlKey && event.key === 'Delete') {
      event.preventDefault();
      act(row, 'remove');
    }
  };
  const onPaste = (event: ClipboardEvent<HTMLElement>) => {
    const text = event.clipboardData.getData('text/plain');
    const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-column]');
    const place = cell?.closest<HTMLElement>('[data-grid-row]');
    if (!canWrite || !/[\t\n]/.test(text.trim()) || cell == null || place == null) return;
    event.preventDefault();
    const from = rows.findIndex((row) => row.id === place.dataset.gridRow);
    const inputs = columns.slice(columns.findIndex((column) => column.id === cell.dataset.column)).filter(isInput);
    setPaste({ block: blockOf(text), columns: inputs, rows: from < 0 ? [] : rows.slice(from) });
  };
  const rowProps = {
    columns,
    canWrite,
    nameOf,
    onSelect,
    act: canWrite ? act : undefined,
    canDuplicate: writer?.duplicate !== undefined,
  };

  return (
    <section className="flex min-h-0 flex-col" aria-label={title}>
      <div className="grid-head">
        <h2 className="section-title">{title}</h2>
        {tools}
        <span className="grow" />
        {canWrite && rows.length > 1 && (
          <ChangeMany
            title={title}
            rows={rows}
            columns={[...columns, ...moreColumns]}
            writer={writer}
            nameOf={nameOf}
          />
        )}
        <GridExport title={title} table={() => exportCells([...columns, ...moreColumns], rows)} />
      </div>
      <div ref={scroller} className="grid-scroll" tabIndex={-1}>
        <table className="grid-table" onKeyDown={onKeyDown} onPaste={onPaste}>
          <thead>
            <tr>
              {columns.map((column) => (
                <th
                  key={column.id}
                  scope="col"
                  style={{ width: column.width }}
                  className={column.type === 'number' || column.type === 'figure' ? 'text-right' : ''}
                  aria-sort={sortMark(column.id)}
                >
                  {isInput(column) ? (
                    <button type="button" className="sort-button" onClick={() => sortBy(column.id)}>
                      {column.header}
                      {sortMark(column.id) === 'ascending' ? ' ↑' : sortMark(column.id) === 'descending' ? ' ↓' : ''}
                    </button>
                  ) : (
                    column.header
                  )}
                </th>
              ))}
              {canWrite && (
                <th style={{ width: '1.75rem' }}>
                  <span className="sr-only">Actions</span>
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {first > 0 && <tr style={{ height: first * ROW_HEIGHT }} />}
            {[
              ...rows
                .slice(first, last)
                .map((row) => (
                  <GridRow
                    key={row.id}
                    row={row}
                    id={row.id}
                    {...rowProps}
                    selected={row.id === selected}
                    write={(text, column) => write(row, text, column)}
                  />
                )),
              last < rows.length && <tr key="below" style={{ height: (rows.length - last) * ROW_HEIGHT }} />,
              // One list with the rows above: the empty row becomes one of them under its key, and keeps the focus.
              canWrite && (
                <GridRow
                  key={blank.id}
                  row={null}
                  id={blank.id}
                  {...rowProps}
                  selected={false}
                  texts={blank.texts}
                  write={writeBlank}
                />
              ),
            ]}
          </tbody>
        </table>
        {rows.length === 0 && empty !== undefined && <p className="empty">{empty}</p>}
      </div>
      {paste !== null && writer !== undefined && (
        <PasteDialog target={paste} writer={writer} onClose={() => setPaste(null)} />
      )}
    </section>
  );
}

interface Sorting {
  readonly column: string;
  readonly descending: boolean;
}

/** The rows in the order that a click on a header asked for; as they came where none did. */
function useSorted<Row, Patch>(given: readonly Row[], columns: readonly Column<Row, Patch>[]) {
  const [sorting, setSorting] = useState<Sorting | null>(null);
  const rows = useMemo(() => {
    const column = columns.find((each) => each.id === sorting?.column);
    if (sorting === null || column === undefined || !isInput(column)) return given;
    const compare = new Intl.Collator(undefined, { numeric: true }).compare;
    const sorted = given
      .map((row) => ({ row, text: column.text(row) }))
      .sort((one, other) => compare(one.text, other.text));
    return (sorting.descending ? sorted.reverse() : sorted).map(({ row }) => row);
  }, [given, columns, sorting]);
  const sortBy = (column: string) =>
    setSorting(
      sorting?.column !== column
        ? { column, descending: false }
        : sorting.descending
          ? null
          : { column, descending: true },
    );
  const sortMark = (column: string) =>
    sorting?.column !== column ? undefined : sorting.descending ? ('descending' as const) : ('ascending' as const);
  return { rows, sortBy, sortMark };
}
