import type { StoredRow } from '@nuvar/book';
import type { StockEntryView } from '@nuvar/core';
import { useMemo } from 'react';
import { today } from '../../state/today.js';
import { createOf, updateOf } from '../../book/operations.js';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../../controls/grid/grid-model.js';
import { removalInBook } from '../../controls/grid/rows-writer.js';
import { dayText, typedText } from '../../figures/format.js';
import { MOVEMENT_WORDS } from './movement-words.js';
import type { Period } from './periods.js';
import { tableOfFile } from '../import/table-of-file.js';

type Movement = StoredRow<'stockMovement'>;
type Patch = Partial<Movement>;

interface LedgerGridProps {
  readonly material: StoredRow<'material'>;
  readonly period: Period;
  /** The key under which the view of the period is asked for. */
  readonly viewKey: string;
  readonly entries: readonly StockEntryView[];
  /** False while the ledger is still on its way. */
  readonly isThere: boolean;
}

/** The movements of a material in a period, with what there is after each: typed, or pasted from a list. */
export function LedgerGrid({ material, period, viewKey, entries, isThere }: LedgerGridProps) {
  const known = useRowsOf('stockMovement', 'materialId', material.id);
  const { locale, currency } = useSettings();
  const rows = useMemo(() => inOrderOf(entries, known, period), [entries, known, period]);
  const [columns, moreColumns] = useMemo(
    () => ledgerColumns({ viewKey, known, locale, currency, unit: material.baseUnit }),
    [viewKey, known, locale, currency, material.baseUnit],
  );
  const writer = useMemo(() => movementWriter(material), [material]);
  return (
    <div className="mt-2">
      <Grid
        title="Stock ledger"
        rows={rows}
        columns={columns}
        moreColumns={moreColumns}
        fromFile={tableOfFile}
        writer={writer}
        nameOf={({ type, date }) => `${MOVEMENT_WORDS[type]} of ${dayText(date, locale)}`}
        empty={
          isThere
            ? 'No movements in this period. Type what came in, what was used, or what was counted.'
            : 'The ledger is being fetched.'
        }
      />
    </div>
  );
}

/** In the order of the ledger; what it does not count yet stands at the end. */
function inOrderOf(entries: readonly StockEntryView[], known: readonly Movement[], period: Period): Movement[] {
  const place = new Map(entries.map(({ movementId }, index) => [movementId, index]));
  const last = entries.length;
  return known
    .filter(({ date }) => date >= period.from && date <= period.to)
    .sort((one, other) => (place.get(one.id) ?? last) - (place.get(other.id) ?? last));
}

interface Shown {
  readonly viewKey: string;
  readonly known: readonly Movement[];
  readonly locale: string;
  readonly currency: string;
  readonly unit: string;
}

function ledgerColumns({
  viewKey,
  known,
  locale,
  currency,
}: Shown): [Column<Movement, Patch>[], Column<Movement, Patch>[]] {
  const figure = (member: Exclude<keyof StockEntryView, 'movementId'>, header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'stockPeriod',
      of: () => viewKey,
      pick: (view, { id }: Movement) => view.entries.find(({ movementId }) => movementId === id)?.[member] ?? undefined,
      digits,
    });
  const own = (field: keyof Movement & string, header?: string) =>
    fieldColumn<Movement>('stockMovement', field, locale, header === undefined ? {} : { header });
  const columns: Column<Movement, Patch>[] = [
    { ...own('date'), blankText: dayText(today(), locale) },
    {
      ...fieldColumn<Movement>('stockMovement', 'type', locale, { words: MOVEMENT_WORDS }),
      blankText: MOVEMENT_WORDS.issue,
    },
    own('quantity'),
    own('cost', `Cost, ${currency}`),
    ofColumn(known, locale),
    figure('quantityAfter', 'In stock', 2),
    figure('value', 'Change', 2),
    figure('truedUp', 'To cost of sales', 2),
    figure('valueAfter', `Value, ${currency}`, 2),
    figure('perUnitAfter', 'per unit', 4),
  ];
  return [columns, [own('remark')]];
}

/** What movements others belong to: receipts, opening stock and issues, by their day and quantity. */
function ofColumn(known: readonly Movement[], locale: string): Column<Movement, Patch> {
  const nameOf = (id: string | null) => {
    const found = known.find((each) => each.id === id);
    if (found === undefined) return '';
    return `${MOVEMENT_WORDS[found.type]} ${dayText(found.date, locale)}, ${typedText(found.quantity ?? '', locale)}`;
  };
  const offered = known.filter(({ type }) => ['opening', 'receipt', 'issue'].includes(type)).map(({ id }) => id);
  return {
    id: 'of',
    header: 'Belongs to',
    type: 'choice',
    place: ({ id }) => `${id}.ofMovementId`,
    options: () => ['', ...offered.map(nameOf)].map((label) => ({ value: label, label })),
    text: ({ ofMovementId }) => nameOf(ofMovementId),
    read: (text) => {
      if (text.trim() === '') return { patch: { ofMovementId: null }, shown: '' };
      const found = offered.find((id) => nameOf(id).toLowerCase() === text.trim().toLowerCase());
      return found === undefined
        ? { refusal: 'Choose the receipt or the issue that it belongs to.' }
        : { patch: { ofMovementId: found }, shown: nameOf(found) };
    },
  };
}

function movementWriter(material: StoredRow<'material'>): GridWriter<Movement, Patch> {
  return {
    update: (row, patch) => updateOf('stockMovement', row, withType(row, patch)),
    create: (id, patch) => {
      const { quantity, cost } = patch;
      if (quantity == null && cost == null) return null;
      const type = patch.type ?? (cost == null ? 'issue' : 'receipt');
      const needsCost = type === 'receipt' || type === 'opening' || type === 'late charge';
      if ((needsCost && cost == null) || (type !== 'late charge' && quantity == null)) return null;
      if (['late charge', 'return to supplier'].includes(type) && patch.ofMovementId == null) return null;
      const fields = { date: today(), type, materialId: material.id, unit: material.baseUnit, ...patch };
      return [createOf('stockMovement', id, type === 'late charge' ? { ...fields, quantity: null } : fields)];
    },
    remove: ({ id }) => removalInBook('stockMovement', id),
  };
}

/** A movement that becomes a late charge has no quantity. */
const withType = (row: Movement, patch: Patch): Patch =>
  patch.type === 'late charge' && row.quantity !== null ? { ...patch, quantity: null } : patch;
