import { X } from 'lucide-react';
import { memo, useEffect, useState } from 'react';
import { FigureCell, InputCell, ShortCell } from './grid-cells.js';
import { isInput, isNumeric, type Column } from './grid-model.js';
import type { ScrollWatch } from './scroll-watch.js';

interface GridRowProps<Row, Patch> {
  readonly id: string;
  /** Null for the empty row at the end. */
  readonly row: Row | null;
  readonly columns: readonly Column<Row, Patch>[];
  readonly canWrite: boolean;
  /** True where a row can be taken away here. */
  readonly canRemove: boolean;
  readonly selected: boolean;
  /** How the row is called where it is acted upon. */
  readonly name: string;
  readonly remove: (row: Row) => void;
  readonly widen: (column: string, wholeDigits: number) => void;
  readonly scrolling: ScrollWatch;
  readonly blankKey: string;
  /** What was typed into the empty row so far. */
  readonly texts?: Readonly<Record<string, string>>;
  readonly write: (row: Row | null, text: string, column: Column<Row, Patch>) => string | null;
}

/** So high that the rows out of sight can be counted instead of drawn; the chosen row is underlined. */
const CELL = 'h-[34px] border-b border-base-300 px-1 in-aria-selected:shadow-[inset_0_-2px_0_var(--color-primary)]';

function PlainGridRow<Row, Patch>(props: GridRowProps<Row, Patch>) {
  const { id, row, columns, canWrite, canRemove, selected, name, remove, widen, texts, write } = props;
  const [isComplete, complete] = useComplete(props.scrolling);
  const cellOf = (column: Column<Row, Patch>) =>
    isInput(column) && row !== null && !isComplete ? (
      <ShortCell column={column} row={row} />
    ) : isInput(column) ? (
      <InputCell
        column={column}
        row={row}
        name={name}
        text={texts?.[column.id]}
        canWrite={canWrite}
        blankKey={props.blankKey}
        write={(text) => write(row, text, column)}
      />
    ) : row === null ? null : column.type === 'figure' ? (
      <FigureCell column={column} row={row} widen={widen} />
    ) : (
      column.cell(row)
    );
  return (
    <tr
      data-grid-row={id}
      data-new-row={row === null || undefined}
      aria-selected={selected || undefined}
      onPointerEnter={isComplete ? undefined : complete}
    >
      {columns.map((column) => (
        <td key={column.id} data-column={column.id} className={isNumeric(column) ? `${CELL} text-right` : CELL}>
          {row !== null && column.beside !== undefined ? (
            <span className="flex items-center gap-1">
              {column.beside(row)}
              <span className="min-w-0 flex-1">{cellOf(column)}</span>
            </span>
          ) : (
            cellOf(column)
          )}
        </td>
      ))}
      {canRemove && (
        <td className={`${CELL} print:hidden`}>
          {row !== null && isComplete && (
            <button
              type="button"
              className="flex size-6 items-center justify-center rounded-field text-soft hover:bg-base-200 hover:text-error"
              aria-label={`Remove ${name}`}
              title={`Remove ${name} (Ctrl+Delete)`}
              onClick={() => remove(row)}
            >
              <X size={15} aria-hidden="true" />
            </button>
          )}
        </td>
      )}
    </tr>
  );
}

/**
 * Whether a row has its fields, or shows only what is in them: one that comes into sight while the list is scrolled gets
 * them when it has come to rest, or as soon as the pointer is there.
 */
function useComplete({ isScrolling, whenAtRest }: ScrollWatch): [boolean, () => void] {
  const [isComplete, setComplete] = useState(() => !isScrolling());
  useEffect(() => (isComplete ? undefined : whenAtRest(() => setComplete(true))), [isComplete, whenAtRest]);
  return [isComplete, () => setComplete(true)];
}

/** A row of a grid. It is drawn anew only when something of it has become another: a long list scrolls past many. */
export const GridRow = memo(PlainGridRow) as typeof PlainGridRow;
