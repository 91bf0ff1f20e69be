import {
  applyChange,
  bookRows,
  type BookRows,
  fieldsOf,
  type FieldOverride,
  type FieldSpec,
  isOfField,
  rowsByKind,
  type RowOverride,
  fieldValue,
  type Kind,
  KIND_NAMES,
  type Operation,
  type Override,
  removalOf,
  type StoredRow,
  withoutVersion,
} from '@nuvar/book';
import fc from 'fast-check';

/** What a random edit does: to which kind, to which of its rows and fields, with which number. */
export const edit = fc.record({
  kind: fc.constantFrom(...KIND_NAMES),
  row: fc.nat(),
  field: fc.nat(),
  amount: fc.integer({ min: 1, max: 90 }),
  action: fc.constantFrom('update', 'update', 'update', 'update', 'remove', 'copy', 'empty'),
});
export type Edit = typeof edit extends fc.Arbitrary<infer Value> ? Value : never;

/** Another value for a field, of whatever type it is. */
function valueFor(rows: BookRows, spec: FieldSpec, amount: number): unknown {
  const targets = spec.target === undefined ? [] : rows.all(spec.target as Kind);
  const values: Record<FieldSpec['type'], unknown> = {
    decimal: String(amount),
    integer: amount % 7,
    choice: spec.choices?.[amount % spec.choices.length],
    flag: amount % 2 === 0,
    day: `202${5 + (amount % 2)}-0${1 + (amount % 9)}-15`,
    currency: ['EUR', 'USD', 'JPY'][amount % 3],
    unit: ['g', 'kg', 'each', 'l', 'dozen'][amount % 5],
    reference: targets[amount % Math.max(1, targets.length)]?.id ?? null,
    text: spec.name === 'source' ? 'overhead.production' : `text ${amount}`,
  };
  return values[spec.type];
}

const chosenRow = (rows: BookRows, { kind, row }: Pick<Edit, 'kind' | 'row'>) => {
  const all = rows.all(kind);
  return all[row % Math.max(1, all.length)] as StoredRow | undefined;
};

/** The operations of a random edit; none where there is nothing that it could do. */
export function operationsOf(rows: BookRows, each: Edit, id: string): Operation[] {
  const { kind, field, amount, action } = each;
  const chosen = chosenRow(rows, each);
  if (chosen === undefined) return [];
  if (action === 'remove') return removalOf(rows, kind, chosen.id);
  if (action === 'copy') {
    const { version: _version, ...fields } = chosen;
    return [{ action: 'create', kind, row: { ...fields, id, ...('name' in fields ? { name: `copy ${id}` } : {}) } }];
  }
  const specs = fieldsOf(kind).filter(({ nullable }) => action !== 'empty' || nullable);
  const spec = specs[field % Math.max(1, specs.length)];
  if (spec === undefined) return [];
  const value = action === 'empty' ? null : valueFor(rows, spec, amount);
  return [
    {
      action: 'update',
      kind,
      id: chosen.id,
      before: { [spec.name]: fieldValue(chosen, spec.name) },
      after: { [spec.name]: value },
    },
  ];
}

/** A row that is added or taken away, or else an override of a field. */
function overrideOf(rows: BookRows, each: Edit): Override[] {
  const chosen = chosenRow(rows, each);
  if (chosen === undefined || (each.action !== 'remove' && each.action !== 'copy')) return fieldOverrideOf(rows, each);
  const { kind } = each;
  if (each.action === 'remove') return kind === 'settings' ? [] : [{ kind, id: chosen.id, how: 'remove' }];
  const id = `0199f000-0000-7000-9000-${String(each.row % 1000).padStart(12, '0')}`;
  return kind === 'settings' ? [] : [{ kind, id, how: 'create', row: { ...withoutVersion(chosen), id } }];
}

/** An override of whatever field: set to another value, or a number moved or scaled. */
function fieldOverrideOf(rows: BookRows, each: Edit): FieldOverride[] {
  const chosen = chosenRow(rows, each);
  const specs = fieldsOf(each.kind);
  const spec = specs[each.field % specs.length];
  if (chosen === undefined || spec === undefined) return [];
  const at = { kind: each.kind, id: chosen.id, field: spec.name };
  if (spec.type === 'decimal' && each.amount % 3 !== 0)
    return [{ ...at, how: each.amount % 2 === 0 ? 'add' : 'scale', by: (1 + each.amount / 100).toFixed(2) }];
  const value = each.action === 'empty' && spec.nullable ? null : valueFor(rows, spec, each.amount);
  return [{ ...at, how: 'set', value: value as string | number | boolean | null }];
}

/**
 * The overrides of random edits. Rows are added and removed only where the rules of a book let them, as what-ifs do: nothing
 * is left that points to a row that is gone.
 */
export function overridesOf(rows: BookRows, edits: readonly Edit[]): Override[] {
  const laid = bookRows(rowsByKind(rows));
  return edits.flatMap((each) =>
    overrideOf(rows, each).filter((override) => {
      if (isOfField(override)) return isLedByReference(laid, override);
      const applied = applyChange(laid, { id: override.id, operations: [operationFor(laid, override)] });
      if (applied.ok) laid.apply(applied.writes);
      return applied.ok;
    }),
  );
}

function operationFor(laid: BookRows, override: RowOverride): Operation {
  const { kind, id } = override;
  return override.how === 'create'
    ? { action: 'create', kind, row: override.row }
    : { action: 'remove', kind, id, version: laid.row(kind, id)?.version ?? 0 };
}

/** False for a field that would point to a row that is not there; what it sets is then there for the overrides after it. */
function isLedByReference(laid: BookRows, override: FieldOverride): boolean {
  const { kind, id, field } = override;
  const row = laid.row(kind, id) as StoredRow | undefined;
  const target = fieldsOf(kind).find(({ name }) => name === field)?.target as Kind | undefined;
  if (row === undefined || override.how !== 'set' || target === undefined) return row !== undefined;
  if (typeof override.value === 'string' && laid.row(target, override.value) === undefined) return false;
  laid.put(kind, id, { ...row, [field]: override.value } as StoredRow);
  return true;
}
