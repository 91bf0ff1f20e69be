import { useVirtualizer } from '@tanstack/react-virtual';
import {
  useCallback,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type ClipboardEvent,
  type FocusEvent,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { useLocation } from 'react-router';
import { useEdit, useMayEdit } from '../../book/use-book.js';
import { useStyle } from '../../figures/use-style.js';
import { Empty } from '../../figures/empty.js';
import { ChangeManyDialog } from './change-many.js';
import { byHeadings, pastedAt } from './by-headings.js';
import { blockOf } from './csv.js';
import { copiedCells, exportedTable } from './export-table.js';
import { FilterBox } from './filter-box.js';
import { GridMenu } from './grid-menu.js';
import { GridHeader } from './grid-header.js';
import { isInput, type Column, type GridWriter, type ListFilter } from './grid-model.js';
import { GridRow } from './grid-row.js';
import { moveInColumn } from './move-on.js';
import type { PasteTarget } from './paste.js';
import { PasteDialog } from './paste-dialog.js';
import { newScrollWatch } from './scroll-watch.js';
import { useGridTable } from './use-grid-table.js';
import { useNewRow } from './use-new-row.js';
import { focusCell, useRowActions } from './use-row-actions.js';
import { usePrinting } from './use-printing.js';
import { useWordFilter } from './use-word-filter.js';
import { useRoom } from './use-room.js';
import { useViewsAhead } from './use-views-ahead.js';

export interface GridProps<Row extends { readonly id: string }, Patch extends object> {
  /** What the grid lists, for its heading, its file name and those who hear it. */
  readonly title: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row, Patch>[];
  /** Columns that are hidden at first: they go out with an export, and can be changed for many rows in one go. */
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
  /** Reads a file into a table: where it is given, rows can be added from a file. Throws a sentence. */
  readonly fromFile?: (file: File) => Promise<readonly (readonly string[])[]>;
  /** False where rows are made elsewhere, and only looked at from another side here. */
  readonly hasNewRow?: boolean;
  /** False where rows are taken away elsewhere. */
  readonly canRemove?: boolean;
  readonly filter?: ListFilter<Row>;
  readonly tools?: ReactNode;
  readonly empty?: ReactNode;
}

const ROW_HEIGHT = 34;
const ACTIONS_WIDTH = 30;
/** Where there are fewer pixels than that, the tools of a grid have a line of their own. */
const NARROW = 420;
const MOST_WITHOUT_WINDOW = 60;
const NO_COLUMNS: readonly never[] = [];

/**
 * A table that is worked in: cells are edited where they stand, the last, empty row makes new ones, Ctrl+D duplicates,
 * Ctrl+Delete removes, arrows go up and down, and blocks are pasted from and copied to spreadsheets. Of long lists only
 * the rows in sight are drawn.
 */
export function Grid<Row extends { readonly id: string }, Patch extends object>(props: GridProps<Row, Patch>) {
  const style = useStyle();
  const { title, columns, moreColumns = NO_COLUMNS, writer, nameOf, selected, onSelect, tools, empty } = props;
  const ownFilter = useWordFilter(title, columns, props.rows.length);
  const filter = props.filter ?? ownFilter;
  const canWrite = useMayEdit() && writer !== undefined;
  const canRemove = canWrite && (props.canRemove ?? true);
  const edit = useEdit();
  const scroller = useRef<HTMLDivElement>(null);
  const room = useRoom(scroller, 1000) - (canRemove ? ACTIONS_WIDTH : 0);
  const grid = useGridTable({ title, rows: props.rows, columns, moreColumns, filter, room });
  const { rows, shown } = grid;
  // The empty row belongs to no row yet, but to this grid of this screen.
  const blankKey = `new@${useLocation().pathname}/${title}`;
  const isNarrow = room < NARROW;
  const blank = useNewRow(writer, props.onCreate);
  const { act, goTo } = useRowActions(writer);
  const [paste, setPaste] = useState<PasteTarget<Row, Patch> | null>(null);
  const [isChangingMany, setChangingMany] = useState(false);
  const [scrolling] = useState(newScrollWatch);
  // Before the window of rows follows the same event: what it then draws is drawn in short.
  useLayoutEffect(() => (scroller.current === null ? undefined : scrolling.follow(scroller.current)), [scrolling]);
  const isPrinting = usePrinting();
  const windowed = rows.length > MOST_WITHOUT_WINDOW && !isPrinting;
  // eslint-disable-next-line react-hooks/incompatible-library -- the compiler that cannot take it is not in use here
  const virtual = useVirtualizer({
    count: windowed ? rows.length : 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 4,
  });
  const items = virtual.getVirtualItems();
  const [first, last] = windowed ? [items[0]?.index ?? 0, (items.at(-1)?.index ?? -1) + 1] : [0, rows.length];
  useViewsAhead(shown, rows, first, last);
  // After every drawing, until it is there: it may first have to be scrolled to.
  useEffect(() => {
    if (goTo.current === null) return;
    const index = rows.findIndex(({ id }) => id === goTo.current?.id);
    if (focusCell(scroller.current, goTo.current)) goTo.current = null;
    else if (windowed && index >= 0) virtual.scrollToIndex(index);
  });

  const write = useCallback(
    (row: Row | null, text: string, column: Column<Row, Patch>): string | null => {
      if (!isInput(column) || writer === undefined || row === null) return null;
      const reading = column.read(text, row);
      if ('refusal' in reading) return reading.refusal;
      return edit(writer.update(row, reading.patch, []))[0]?.sentence ?? null;
    },
    [edit, writer],
  );
  const remove = useCallback((row: Row) => act(row, 'remove', null), [act]);
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const target = event.target as HTMLElement;
    const place = target.closest<HTMLElement>('[data-grid-row]');
    const row = rows.find((each) => each.id === place?.dataset.gridRow);
    if (place === null) return;
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0 && !event.altKey && target.getAttribute('aria-expanded') !== 'true') {
      if (moveInColumn(target, place, step)) event.preventDefault();
    } else if (row !== undefined && canWrite && event.ctrlKey && event.key.toLowerCase() === 'd') {
      event.preventDefault();
      act(row, 'duplicate', target.closest<HTMLElement>('[data-column]')?.dataset.column ?? null);
    } else if (row !== undefined && canRemove && event.ctrlKey && event.key === 'Delete') {
      event.preventDefault();
      remove(row);
    }
  };
  const onPaste = (event: ClipboardEvent<HTMLElement>) => {
    const text = event.clipboardData.getData('text/plain');
    const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-column]');
    const place = cell?.closest<HTMLElement>('[data-grid-row]');
    if (!canWrite || !/[\t\n]/.test(text.trim()) || cell == null || place == null) return;
    event.preventDefault();
    const from = rows.findIndex((row) => row.id === place.dataset.gridRow);
    setPaste(
      pastedAt(blockOf(text), { all: grid.all, columns: shown, rows, column: cell.dataset.column ?? '', row: from }),
    );
  };
  const { fromFile } = props;
  const addFromFile =
    fromFile &&
    (async (file: File) => {
      setPaste({ ...byHeadings(await fromFile(file), [...columns, ...moreColumns].filter(isInput)), rows: [] });
    });
  const onFocus = (event: FocusEvent<HTMLElement>) => {
    const id = event.target.closest<HTMLElement>('[data-grid-row]')?.dataset.gridRow;
    const row = onSelect && rows.find((each) => each.id === id);
    if (row !== undefined) onSelect?.(row);
  };
  // Rows are drawn anew only when one of these is another: what a screen makes anew each time stays out of them.
  const rowProps = { columns: shown, canWrite, canRemove, remove, widen: grid.widen, scrolling, blankKey };

  return (
    <section className="flex min-h-0 flex-col" aria-label={title}>
      <div className="flex flex-wrap items-center gap-x-3.5 gap-y-0.5 pb-1">
        <h2 className="text-section">{title}</h2>
        {filter && <FilterBox {...filter} />}
        {!isNarrow && tools && <span className="flex gap-3.5 print:hidden">{tools}</span>}
        <span className="grow" />
        <GridMenu
          title={title}
          table={() => exportedTable(grid.all, rows, style)}
          cells={() => copiedCells(grid.all, rows, style)}
          changeMany={canWrite && rows.length > 1 ? () => setChangingMany(true) : undefined}
          columns={grid.all}
          visible={grid.visible}
          show={grid.show}
          reset={grid.resetLayout}
          addFromFile={canWrite ? addFromFile : undefined}
        />
        {isNarrow && tools && <span className="flex w-full gap-3.5 print:hidden">{tools}</span>}
      </div>
      <div ref={scroller} className="min-h-0 overflow-auto print:overflow-visible" tabIndex={-1}>
        <table
          className="table-fixed border-collapse print:table-auto"
          data-grid
          style={{ width: grid.width + (canRemove ? ACTIONS_WIDTH : 0) }}
          onKeyDown={onKeyDown}
          onPaste={onPaste}
        >
          <colgroup>
            {shown.map(({ id }) => (
              <col key={id} style={{ width: grid.table.getColumn(id)?.getSize() }} />
            ))}
            {canRemove && <col style={{ width: ACTIONS_WIDTH }} />}
          </colgroup>
          <GridHeader grid={grid} hasActions={canRemove} />
          <tbody onFocus={onFocus}>
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
                    name={nameOf(row)}
                    selected={row.id === selected}
                    write={write}
                  />
                )),
              last < rows.length && <tr key="below" style={{ height: (rows.length - last) * ROW_HEIGHT }} />,
              // One list with the rows above: the empty row becomes one of them under its key, and keeps the focus.
              canWrite && (props.hasNewRow ?? true) && (
                <GridRow
                  key={blank.id}
                  row={null}
                  id={blank.id}
                  {...rowProps}
                  name="new row"
                  selected={false}
                  texts={blank.texts}
                  write={blank.write}
                />
              ),
            ]}
          </tbody>
        </table>
        {props.rows.length === 0 && empty !== undefined && <Empty>{empty}</Empty>}
        {props.rows.length > 0 && rows.length === 0 && (
          <Empty>
            {filter?.words ? 'No matches.' : 'All of these are archived. Type "archived" into the filter to see them.'}
          </Empty>
        )}
      </div>
      {isChangingMany && writer !== undefined && (
        <ChangeManyDialog
          title={title}
          rows={rows}
          columns={grid.all}
          writer={writer}
          nameOf={nameOf}
          onClose={() => setChangingMany(false)}
        />
      )}
      {paste !== null && writer !== undefined && (
        <PasteDialog target={paste} writer={writer} nameOf={nameOf} onClose={() => setPaste(null)} />
      )}
    </section>
  );
}
