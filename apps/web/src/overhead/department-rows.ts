import { newId, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../book/model.js';
import { createOf, nextPosition, updateOf } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { madeBetween, readBetween, writeBetween, writeIntoMade } from '../controls/grid/number-between.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { typedText } from '../figures/format.js';
import { BASIS_WORDS, DEPARTMENT_TYPE_WORDS } from './method-words.js';

export type Department = StoredRow<'department'>;

/** A number that a department has of another row: of an apportionment basis, or of a service. */
type Cell = {
  readonly kind: 'departmentMeasure' | 'serviceUse';
  readonly field: 'amount' | 'actualAmount';
  readonly of: string;
  readonly amount: string | null;
};
export type DepartmentPatch = Partial<Department> & { readonly cell?: Cell };

const OF = { departmentMeasure: 'apportionmentBasisId', serviceUse: 'serviceId' } as const;

function cellRow({ kind, of }: Pick<Cell, 'kind' | 'of'>, departmentId: string) {
  const rows = model.rows.rowsWith(kind, 'departmentId', departmentId) as readonly StoredRow[];
  return rows.find((row) => (row as unknown as Record<string, unknown>)[OF[kind]] === of) as
    (StoredRow & { readonly amount: string; readonly actualAmount?: string | null }) | undefined;
}

function writeCell(
  { kind, field, of, amount }: Cell,
  departmentId: string,
  before: readonly Operation[],
): readonly Operation[] {
  const known = cellRow({ kind, of }, departmentId);
  const between = { departmentId, [OF[kind]]: of };
  const made = known === undefined ? madeBetween(kind, between, before) : undefined;
  if (made !== undefined) return writeIntoMade(made, field, amount ?? (field === 'amount' ? '0' : null), null);
  if (field === 'amount') return writeBetween({ kind, field }, known, between, amount);
  // The actual use stands beside the budgeted one: emptied, it is as budgeted, and used without a budget, that is zero.
  if (known !== undefined) return updateOf(kind, known, { [field]: amount });
  return amount === null ? [] : [createOf(kind, newId(), { ...between, amount: '0', [field]: amount })];
}

/** A column of numbers that departments have of one other row. */
export function cellColumn(
  kind: Cell['kind'],
  of: string,
  header: string,
  locale: string,
  field: Cell['field'] = 'amount',
): Column<Department, DepartmentPatch> {
  return {
    id: field === 'amount' ? `${kind}-${of}` : `${kind}-${of}-actual`,
    header,
    type: 'number',
    place: ({ id }) => (kind === 'departmentMeasure' ? `${id}.measure-${of}` : `${id}.uses`),
    text: ({ id }) => typedText(cellRow({ kind, of }, id)?.[field] ?? '', locale),
    read: (text) =>
      readBetween({ kind, field }, text, { header, locale }, (amount) => ({ cell: { kind, field, of, amount } })),
  };
}

const plain = rowsWriter<Department>('department', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('department', model.rows.all('department'), before) }),
});

export const departmentWriter: GridWriter<Department, DepartmentPatch> = {
  update: (row, { cell, ...fields }, before) => [
    ...plain.update(row, fields, before),
    ...(cell === undefined ? [] : writeCell(cell, row.id, before)),
  ],
  create: (id, { cell, ...fields }, before) => {
    const made = plain.create(id, fields, before);
    return made === null ? null : [...made, ...(cell === undefined ? [] : writeCell(cell, id, before))];
  },
  remove: plain.remove,
};

const isProduction = (row: Department | null) => row?.type !== 'service';

export function departmentColumns(locale: string, currency: string): Column<Department, DepartmentPatch>[] {
  const rate = (member: 'basis' | 'rate' | 'unused', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'departments',
      of: () => 'book',
      pick: (view, { id }: Department) => view.rates[id]?.[member],
      digits,
    });
  return [
    fieldColumn<Department>('department', 'name', locale, { placeholder: 'A workshop, the stores' }),
    fieldColumn<Department>('department', 'type', locale, { words: DEPARTMENT_TYPE_WORDS }),
    { ...fieldColumn<Department>('department', 'basis', locale, { words: BASIS_WORDS }), applies: isProduction },
    {
      ...fieldColumn<Department>('department', 'normalCapacity', locale, { header: 'Normal capacity' }),
      applies: isProduction,
    },
    {
      ...fieldColumn<Department>('department', 'turn', locale, { header: 'Step turn' }),
      applies: (row) => row?.type === 'service',
    },
    {
      ...fieldColumn<Department>('department', 'variablePercent', locale, { header: 'Variable, %' }),
      applies: (row) => row?.type === 'service',
    },
    rate('basis', 'Shared over', 1),
    rate('rate', `Rate, ${currency}`, 4),
    rate('unused', `Unabsorbed, ${currency}`, 2),
  ];
}
