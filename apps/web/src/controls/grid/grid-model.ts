import type { Operation } from '@nuvar/book';
import type { FigureView, ViewName, ViewOf } from '@nuvar/core';
import type { ReactNode } from 'react';
import type { Offer } from '../fields/offers.js';

/** What a typed text means for a row, and how it was read; or why it is refused. */
export type Reading<Patch> = { readonly patch: Patch; readonly shown: string } | { readonly refusal: string };

interface ColumnBase<Row> {
  readonly id: string;
  readonly header: string;
  /** Stands before what is in a cell: a mark that says something of it. */
  readonly beside?: (row: Row) => ReactNode;
}

/** A unit that each row says for itself. It stands behind the number where it is not the one in the header. */
interface CellUnit<Row> {
  readonly of: (row: Row) => string;
  readonly usual: string;
  /** The header of the units, and of the numbers without a unit, where they stand in columns of their own in a file. */
  readonly name: string;
  readonly header: string;
}

/** A column whose cells are edited where they stand. It is as wide as its content. */
export interface InputColumn<Row, Patch> extends ColumnBase<Row> {
  readonly type: 'text' | 'number' | 'choice' | 'day' | 'item';
  /** The field that a cell shows, so that it can be gone to. */
  readonly place?: (row: Row) => string;
  /** The same for the empty row: where one is sent to add something. */
  readonly blankPlace?: string;
  /** What a new row gets where nothing is typed. */
  readonly blankText?: string;
  readonly text: (row: Row) => string;
  /** The unit of the number in a cell, where that may differ by row, as a currency does. */
  readonly unit?: CellUnit<Row>;
  /** What the row holds, where its text is another: numbers and days are sorted by it. */
  readonly stored?: (row: Row) => string;
  readonly read: (text: string, row: Row | null) => Reading<Patch>;
  /** The choices of a cell; the labels are what is read and copied. */
  readonly options?: (row: Row | null) => readonly { readonly value: string; readonly label: string }[];
  /** What an item cell offers for what was typed, where that is more than the options that fit. */
  readonly offers?: (typed: string, row: Row | null) => readonly Offer[];
  /** True where a cell waits for one of its offers to be picked: they are shown as soon as it is gone to. */
  readonly awaitsPick?: (row: Row | null) => boolean;
  /** Values that are offered while typing. */
  readonly suggestions?: readonly string[];
  readonly placeholder?: string;
  /** Stands in the empty cell of a row, where its value comes from elsewhere. */
  readonly emptyText?: (row: Row) => string;
  /** False where the column says nothing about a row; null stands for the empty row. */
  readonly applies?: (row: Row | null) => boolean;
}

/** A column of computed figures. */
export interface FigureColumn<Row> extends ColumnBase<Row> {
  readonly type: 'figure';
  readonly view: ViewName;
  readonly of: (row: Row) => string;
  readonly pick: (view: unknown, row: Row) => FigureView | undefined;
  readonly digits?: number;
  readonly withUnit?: boolean;
}

/** A column that shows something else: a name that leads on, a strip. Where it shows a text, that is copied and exported. */
export interface ShownColumn<Row> extends ColumnBase<Row> {
  readonly type: 'shown';
  readonly cell: (row: Row) => ReactNode;
  /** What it is sorted, measured and copied by, where it shows a text. */
  readonly text?: (row: Row) => string;
  /** Its width in pixels, where it shows a picture. */
  readonly width?: number;
}

export type Column<Row, Patch> = InputColumn<Row, Patch> | FigureColumn<Row> | ShownColumn<Row>;

export const isInput = <Row, Patch>(column: Column<Row, Patch>): column is InputColumn<Row, Patch> =>
  column.type !== 'figure' && column.type !== 'shown';

/** The unit behind the number in a cell; empty where the header says it. */
export function unitBehind<Row, Patch>(column: InputColumn<Row, Patch>, row: Row): string {
  const unit = column.unit?.of(row);
  return unit === undefined || unit === column.unit?.usual || column.text(row) === '' ? '' : unit;
}

/** What stands in a cell, with the unit behind it. */
export const shownText = <Row, Patch>(column: InputColumn<Row, Patch>, row: Row): string =>
  `${column.text(row)} ${unitBehind(column, row)}`.trim();

/** True for what stands at the right of its column, with its digits below each other. */
export const isNumeric = <Row, Patch>({ type }: Column<Row, Patch>) => type === 'number' || type === 'figure';

/** A figure column over one view, with its type kept. */
export function figureColumn<Row, Name extends ViewName>(
  column: Omit<FigureColumn<Row>, 'type' | 'view' | 'pick'> & {
    view: Name;
    pick: (view: NonNullable<ViewOf<Name>>, row: Row) => FigureView | undefined;
  },
): FigureColumn<Row> {
  const { pick, ...rest } = column;
  return {
    ...rest,
    type: 'figure',
    pick: (view, row) => (view == null ? undefined : pick(view as NonNullable<ViewOf<Name>>, row)),
  };
}

/** How the rows of a grid are written. Operations that belong together make one change. */
export interface GridWriter<Row, Patch> {
  readonly update: (row: Row, patch: Patch, before: readonly Operation[]) => readonly Operation[];
  /** Makes a row; null while too little is known of it. `before` holds what the same change does already. */
  readonly create: (id: string, patch: Patch, before: readonly Operation[]) => readonly Operation[] | null;
  readonly remove: (row: Row) => readonly Operation[];
  /** The row that is made comes first, what is copied with it after. */
  readonly duplicate?: (row: Row) => readonly Operation[];
}

/** How a list is narrowed. */
export interface ListFilter<Row> {
  readonly label: string;
  readonly words: string;
  readonly onChange: (words: string) => void;
  readonly matches: (row: Row, words: string) => boolean;
}
