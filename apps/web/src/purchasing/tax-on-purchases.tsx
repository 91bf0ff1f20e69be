import { newId, type StoredRow, type Override } from '@nuvar/book';
import { hasSalesTax, taxStatusOn } from '@nuvar/core';
import { useMemo, useState } from 'react';
import { today } from '../state/today.js';
import { createOf, updateOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useSettings, useUnarchived } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useEffects } from '../engine/use-effects.js';
import { EffectsTable } from '../figures/effects-table.js';
import { dayText } from '../figures/format.js';

type Row = StoredRow<'taxRegistration'>;

/** From when on an entry counts that says what has always been so; it can be changed in the grid. */
const LONG_SINCE = '2000-01-01';

const writer = rowsWriter<Row>('taxRegistration', { needs: 'validFrom' });

/** From when on the business is registered for sales tax, how much input tax it recovers, and what a change would do. */
export function TaxOnPurchases() {
  const rows = useAll('taxRegistration');
  const { locale } = useSettings();
  const sorted = useMemo(() => [...rows].sort((one, other) => (one.validFrom < other.validFrom ? 1 : -1)), [rows]);
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      { ...fieldColumn<Row>('taxRegistration', 'validFrom', locale), placeholder: dayText(today(), locale) },
      fieldColumn<Row>('taxRegistration', 'registered', locale),
      fieldColumn<Row>('taxRegistration', 'recoveredPercent', locale),
    ],
    [locale],
  );
  return (
    <>
      <Grid
        title="Tax registration"
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ validFrom }) => `registration from ${dayText(validFrom, locale)}`}
        empty="Whether tax on purchases is a cost. Without an entry, a book with a sales tax counts as registered, and one without does not. Before the first entry the opposite of it counts."
      />
      <RegistrationEffect />
    </>
  );
}

/** What it would do to every cost to be registered, or to be so no longer: seen before anything is changed. */
function RegistrationEffect() {
  const rows = useAll('taxRegistration');
  const products = useUnarchived('product');
  const { salesTaxPercent, locale } = useSettings();
  const rates = useAll('salesTaxRate');
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const [isShown, setShown] = useState(false);
  const hasTax = hasSalesTax([salesTaxPercent, ...rates.map(({ percent }) => percent)]);
  const { isRegistered, entry } = taxStatusOn(rows, today(), hasTax);
  const inForce = rows.find(({ id }) => id === entry?.id) ?? null;
  const overrides = useMemo((): Override[] => {
    if (!isShown || inForce === null) return [];
    return [{ kind: 'taxRegistration', id: inForce.id, field: 'registered', how: 'set', value: !isRegistered }];
  }, [isShown, inForce, isRegistered]);
  const ids = useMemo(() => products.map(({ id }) => id), [products]);
  const effects = useEffects(overrides, ids);
  if (!mayEdit || products.length === 0) return null;
  const now = (registered: boolean) => createOf('taxRegistration', newId(), { validFrom: today(), registered });
  if (rows.length === 0) {
    const since = createOf('taxRegistration', newId(), { validFrom: LONG_SINCE, registered: isRegistered });
    return (
      <button type="button" className="btn mt-2" onClick={() => edit([since])}>
        Enter as {isRegistered ? 'registered' : 'not registered'} since {dayText(LONG_SINCE, locale)}
      </button>
    );
  }
  // The first entry lies ahead: the grid shows from when on it counts.
  if (inForce === null) return null;
  if (!isShown)
    return (
      <button type="button" className="btn mt-2" onClick={() => setShown(true)}>
        Show the effect of {isRegistered ? 'ending the registration' : 'registering'}
      </button>
    );
  const change = () => {
    edit(
      inForce.validFrom === today()
        ? updateOf('taxRegistration', inForce, { registered: !isRegistered })
        : [now(!isRegistered)],
    );
    setShown(false);
  };
  const moved = effects?.filter(({ before, after }) => before !== after) ?? [];
  return (
    <section aria-label="Effect of a change" className="mt-2">
      {effects !== null && moved.length === 0 && (
        <p className="text-soft">No cost would change: no purchase states a tax that would count otherwise.</p>
      )}
      {moved.length > 0 && <EffectsTable effects={moved} />}
      <p className="mt-2 flex gap-3">
        <button type="button" className="btn btn-primary" onClick={change}>
          {isRegistered ? 'End the registration today' : 'Register from today'}
        </button>
        <button type="button" className="btn" onClick={() => setShown(false)}>
          Leave it
        </button>
      </p>
    </section>
  );
}
