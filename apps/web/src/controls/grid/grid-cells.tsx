import { useEffect } from 'react';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { USUAL_WHOLE_DIGITS } from './column-sizes.js';
import { DayInput } from '../fields/day-input.js';
import { shownText, unitBehind, type FigureColumn, type InputColumn } from './grid-model.js';
import { ItemInput } from '../fields/item-input.js';
import { SelectInput } from '../fields/select-input.js';
import { TypedInput } from '../fields/typed-input.js';
import { BookValue } from '../fields/book-value.js';

interface FigureCellProps<Row> {
  readonly column: FigureColumn<Row>;
  readonly row: Row;
  readonly widen: (column: string, wholeDigits: number) => void;
}

/** A computed figure in a grid; a large one asks its column for room. */
export function FigureCell<Row>({ column, row, widen }: FigureCellProps<Row>) {
  const view = useView(column.view, column.of(row));
  const figure = column.pick(view, row);
  const { id } = column;
  const wholeDigits = /^-?\d+/.exec(figure?.amount ?? '')?.[0].length ?? 0;
  useEffect(() => {
    if (wholeDigits > USUAL_WHOLE_DIGITS) widen(id, wholeDigits);
  }, [id, wholeDigits, widen]);
  return (
    <Amount
      figure={figure}
      {...(column.digits === undefined ? {} : { digits: column.digits })}
      withUnit={column.withUnit ?? false}
    />
  );
}

/** What is in a cell, looking as its field does: for rows that only pass by. */
export function ShortCell<Row, Patch>({ column, row }: { column: InputColumn<Row, Patch>; row: Row }) {
  if (column.applies?.(row) === false) return null;
  return <span className={`cell ${column.type === 'choice' ? 'cell-choice' : ''}`}>{shownText(column, row)}</span>;
}

interface InputCellProps<Row, Patch> {
  readonly column: InputColumn<Row, Patch>;
  readonly row: Row | null;
  readonly name: string;
  /** What was typed into the empty row so far. */
  readonly text: string | undefined;
  readonly canWrite: boolean;
  /** Under what the empty row keeps what is refused in it. */
  readonly blankKey: string;
  readonly write: (text: string) => string | null;
}

/** A cell that is edited where it stands; in a what-if with what the book says before it, where that is another. */
export function InputCell<Row, Patch>(props: InputCellProps<Row, Patch>) {
  const { column, row } = props;
  if (column.applies?.(row) === false) return null;
  return (
    <BookValue place={row === null ? undefined : column.place?.(row)}>
      <CellControl {...props} />
    </BookValue>
  );
}

/** The control that a column asks for. */
function CellControl<Row, Patch>({ column, row, name, text, canWrite, blankKey, write }: InputCellProps<Row, Patch>) {
  const value = row === null ? (text ?? column.blankText ?? '') : column.text(row);
  const field = {
    label: `${column.header}, ${name}`,
    place: row === null ? column.blankPlace : column.place?.(row),
    commit: write,
    isCell: true,
  };
  const keptAs = row === null ? `${blankKey}.${column.id}` : undefined;
  const placeholder = row === null ? column.placeholder : column.emptyText?.(row);
  switch (column.type) {
    case 'choice': {
      const options = column.options?.(row) ?? [];
      const chosen = value === '' ? '' : (options.find((each) => each.label === value)?.value ?? value);
      const offered = chosen === '' ? [{ value: '', label: '' }, ...options] : options;
      const commit = (next: string) => write(offered.find((each) => each.value === next)?.label ?? next);
      return <SelectInput {...field} value={chosen} options={offered} disabled={!canWrite} commit={commit} />;
    }
    case 'item':
      return (
        <ItemInput
          {...field}
          keptAs={keptAs}
          value={value}
          options={column.options?.(row) ?? []}
          offers={column.offers && ((typed) => column.offers?.(typed, row) ?? [])}
          awaitsPick={column.awaitsPick?.(row) ?? false}
          readOnly={!canWrite}
          placeholder={placeholder}
        />
      );
    case 'day':
      return (
        <DayInput
          {...field}
          keptAs={keptAs}
          value={value}
          day={row === null ? undefined : column.stored?.(row)}
          readOnly={!canWrite}
          placeholder={placeholder}
          preview={(typed) => preview(column, row, typed)}
        />
      );
    default: {
      const listId = column.suggestions === undefined ? undefined : `suggest-${column.id}`;
      return (
        <>
          <TypedInput
            {...field}
            keptAs={keptAs}
            value={value}
            numeric={column.type === 'number'}
            unit={row === null ? '' : unitBehind(column, row)}
            readOnly={!canWrite}
            suggestions={listId}
            placeholder={placeholder}
            preview={column.type === 'number' ? (typed) => preview(column, row, typed) : undefined}
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
  }
}

/** How a number or a day would be read, said only where it differs from what was typed. */
function preview<Row, Patch>(column: InputColumn<Row, Patch>, row: Row | null, typed: string): string | null {
  if (typed.trim() === '') return null;
  const reading = column.read(typed, row);
  return 'refusal' in reading || reading.shown === typed.trim() ? null : `= ${reading.shown}`;
}
