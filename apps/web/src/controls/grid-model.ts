import type { Operation } from '@nuvar/book';
import type { FigureView, ViewName, ViewOf } from '@nuvar/core';
import type { ReactNode } from 'react';
import type { Offer } from './offers.js';

/** What a typed text means for a row, and how it was read; or why it is refused. */
export type Reading<Patch> = { readonly patch: Patch; readonly shown: string } | { readonly refusal: string };

interface ColumnBase {
  readonly id: string;
  readonly header: string;
  /** Width as CSS takes it. */
  readonly width: string;
}

/** A column whose cells are edited where they stand. */
export interface InputColumn<Row, Patch> extends ColumnBase {
  readonly type: 'text' | 'number' | 'choice' | 'day' | 'item';
  /** The field that a cell shows, so that it can be gone to. */
  readonly place?: (row: Row) => string;
  /** The same for the empty row: where one is sent to add something. */
  readonly blankPlace?: string;
  /** What a new row gets where nothing is typed. */
  readonly blankText?: string;
  readonly text: (row: Row) => string;
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
  /** False where the column says nothing about a row; null stands for the empty row. */
  readonly applies?: (row: Row | null) => boolean;
}

/** A column of computed figures. */
export interface FigureColumn<Row> extends ColumnBase {
  readonly type: 'figure';
  readonly view: ViewName;
  readonly of: (row: Row) => string;
  readonly pick: (view: unknown, row: Row) => FigureView | undefined;
  readonly digits?: number;
  readonly withUnit?: boolean;
}

/** A column that shows something else: a strip, a link. It is neither copied nor exported. */
export interface ShownColumn<Row> extends ColumnBase {
  readonly type: 'shown';
  readonly cell: (row: Row) => ReactNode;
}

export type Column<Row, Patch> = InputColumn<Row, Patch> | FigureColumn<Row> | ShownColumn<Row>;

export const isInput = <Row, Patch>(column: Column<Row, Patch>): column is InputColumn<Row, Patch> =>
  column.type !== 'figure' && column.type !== 'shown';

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
  readonly duplicate?: (row: Row) => readonly Operation[];
}
