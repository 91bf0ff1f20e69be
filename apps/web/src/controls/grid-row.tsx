import { Amount } from '../figures/amount.js';
import { useView } from '../engine/use-view.js';
import { isInput, type Column, type FigureColumn, type InputColumn } from './grid-model.js';
import { ItemInput } from './item-input.js';
import { SelectInput } from './select-input.js';
import { TypedInput } from './typed-input.js';

interface GridRowProps<Row, Patch> {
  readonly id: string;
  /** Null for the empty row at the end. */
  readonly row: Row | null;
  readonly columns: readonly Column<Row, Patch>[];
  readonly canWrite: boolean;
  readonly selected: boolean;
  readonly nameOf: (row: Row) => string;
  readonly onSelect: ((row: Row) => void) | undefined;
  readonly act: ((row: Row, what: 'remove' | 'duplicate') => void) | undefined;
  readonly canDuplicate: boolean;
  /** What was typed into the empty row so far. */
  readonly texts?: Readonly<Record<string, string>>;
  readonly write: (text: string, column: Column<Row, Patch>) => string | null;
}

export function GridRow<Row, Patch>({
  id,
  row,
  columns,
  canWrite,
  selected,
  nameOf,
  onSelect,
  act,
  texts,
  write,
}: GridRowProps<Row, Patch>) {
  const name = row === null ? 'new row' : nameOf(row);
  return (
    <tr
      data-grid-row={id}
      className={selected ? 'row-selected' : ''}
      aria-selected={selected || undefined}
      onFocus={() => row !== null && onSelect?.(row)}
    >
      {columns.map((column) => (
        <td
          key={column.id}
          data-column={column.id}
          className={column.type === 'number' || column.type === 'figure' ? 'text-right' : ''}
        >
          {isInput(column) ? (
            <InputCell
              column={column}
              row={row}
              name={name}
              text={texts?.[column.id]}
              canWrite={canWrite}
              write={(text) => write(text, column)}
            />
          ) : row === null ? null : column.type === 'figure' ? (
            <FigureCell column={column} row={row} />
          ) : (
            column.cell(row)
          )}
        </td>
      ))}
      {canWrite && (
        <td>
          {row !== null && act !== undefined && (
            <button
              type="button"
              className="row-remove"
              aria-label={`Remove ${name}`}
              title={`Remove ${name} (Ctrl+Delete)`}
              onClick={() => act(row, 'remove')}
            >
              ×
            </button>
          )}
        </td>
      )}
    </tr>
  );
}

function FigureCell<Row>({ column, row }: { column: FigureColumn<Row>; row: Row }) {
  const view = useView(column.view, column.of(row));
  return (
    <Amount
      figure={column.pick(view, row)}
      {...(column.digits === undefined ? {} : { digits: column.digits })}
      withUnit={column.withUnit ?? false}
    />
  );
}

interface InputCellProps<Row, Patch> {
  readonly column: InputColumn<Row, Patch>;
  readonly row: Row | null;
  readonly name: string;
  readonly text: string | undefined;
  readonly canWrite: boolean;
  readonly write: (text: string) => string | null;
}

function InputCell<Row, Patch>({ column, row, name, text, canWrite, write }: InputCellProps<Row, Patch>) {
  if (column.applies?.(row) === false) return null;
  const label = `${column.header}, ${name}`;
  const place = row === null ? column.blankPlace : column.place?.(row);
  const value = row === null ? (text ?? column.blankText ?? '') : column.text(row);
  if (column.type === 'choice') {
    const options = column.options?.(row) ?? [];
    const chosen = value === '' ? '' : (options.find((each) => each.label === value)?.value ?? value);
    const offered = chosen === '' ? [{ value: '', label: '' }, ...options] : options;
    const commit = (next: string) => write(offered.find((each) => each.value === next)?.label ?? next);
    return (
      <SelectInput label={label} place={place} value={chosen} options={offered} disabled={!canWrite} commit={commit} />
    );
  }
  const placeholder = row === null ? column.placeholder : undefined;
  if (column.type === 'item') {
    const options = column.options?.(row) ?? [];
    return (
      <ItemInput
        label={label}
        place={place}
        value={value}
        options={options}
        offers={column.offers && ((typed) => column.offers?.(typed, row) ?? [])}
        awaitsPick={column.awaitsPick?.(row) ?? false}
        commit={write}
        readOnly={!canWrite}
        placeholder={placeholder}
      />
    );
  }
  const listId = column.suggestions === undefined ? undefined : `suggest-${column.id}`;
  return (
    <>
      <TypedInput
        label={label}
        place={place}
        value={value}
        numeric={column.type === 'number'}
        type={column.type === 'day' ? 'date' : 'text'}
        readOnly={!canWrite}
        suggestions={listId}
        placeholder={placeholder}
        preview={column.type === 'number' ? (typed) => preview(column, row, typed) : undefined}
        commit={write}
      />
      {row === null && listId !== undefined && (
        <datalist id={listId}>
          {column.suggestions?.map((each) => (
            <option key={each} value={each} />
          ))}
        </datalist>
      )}
    </>
  );
}

/** How a number would be read, said only where it differs from what was typed. */
function preview<Row, Patch>(column: InputColumn<Row, Patch>, row: Row | null, typed: string): string | null {
  if (typed.trim() === '') return null;
  const reading = column.read(typed, row);
  return 'refusal' in reading || reading.shown === typed.trim() ? null : `= ${reading.shown}`;
}
