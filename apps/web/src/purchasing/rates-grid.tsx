import { newId, type StoredRow } from '@nuvar/book';
import { useMemo, useState } from 'react';
import { problemsOf, useLazySimulatedRateQuery } from '../state/api.js';
import { today } from '../state/today.js';
import { createOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { Fields } from '../controls/fields/fields.js';
import { dayText, typedText } from '../figures/format.js';

type Row = StoredRow<'exchangeRate'>;

const SOURCE_WORDS = { typed: 'typed', 'simulated service': 'simulated service' };

const writer = rowsWriter<Row>('exchangeRate', { needs: 'rate', fixed: () => ({ validFrom: today() }) });

/** The exchange rates of the book by day, typed or asked of the simulated service. */
export function RatesGrid() {
  const rows = useAll('exchangeRate');
  const settings = useSettings();
  const { locale, currency } = settings;
  const sorted = useMemo(() => [...rows].sort((one, other) => (one.validFrom < other.validFrom ? 1 : -1)), [rows]);
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      { ...fieldColumn<Row>('exchangeRate', 'currency', locale), placeholder: 'USD' },
      { ...fieldColumn<Row>('exchangeRate', 'validFrom', locale), blankText: dayText(today(), locale) },
      {
        ...fieldColumn<Row>('exchangeRate', 'rate', locale, {
          header: `${currency} for one`,
          placeholder: typedText('0.92', locale),
        }),
        blankPlace: 'new.rate',
      },
      fieldColumn<Row>('exchangeRate', 'source', locale, { words: SOURCE_WORDS }),
    ],
    [locale, currency],
  );
  return (
    <>
      <Grid
        title="Exchange rates"
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ currency: code, validFrom }) => `${code} from ${validFrom}`}
        empty="Prices in other currencies need a rate: the newest one on or before the day of the price is used."
      />
      <Fields className="max-w-xl">
        <RowField kind="settings" id={settings.id} field="useRateService" />
      </Fields>
      {settings.useRateService && <AskRates rows={rows} />}
    </>
  );
}

/** Asks the simulated service for the rates of today that the prices of the book need and do not have. */
function AskRates({ rows }: { readonly rows: readonly Row[] }) {
  const prices = useAll('supplierPrice');
  const { currency: base } = useSettings();
  const [ask, asking] = useLazySimulatedRateQuery();
  const [said, setSaid] = useState<string | null>(null);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const wanted = useMemo(() => {
    const days = prices.filter(({ currency }) => currency !== base).map(({ currency }) => `${currency} ${today()}`);
    const known = new Set(rows.map(({ currency, validFrom }) => `${currency} ${validFrom}`));
    return [...new Set(days)].filter((each) => !known.has(each)).map((each) => each.split(' ') as [string, string]);
  }, [prices, rows, base]);
  if (!mayEdit) return null;
  const fetchRates = async () => {
    setSaid(null);
    try {
      const found = await Promise.all(
        wanted.map(async ([currency, day]) => ({
          currency,
          validFrom: day,
          rate: (await ask({ currency, base, day }).unwrap()).rate,
          source: 'simulated service',
        })),
      );
      const problem = edit(found.map((row) => createOf('exchangeRate', newId(), row)))[0];
      setSaid(problem?.sentence ?? `${found.length} simulated rates added. One undo removes them all.`);
    } catch (error) {
      setSaid(problemsOf(error)[0]?.sentence ?? null);
    }
  };
  return (
    <p className="mt-2">
      <button
        type="button"
        className="btn"
        disabled={wanted.length === 0 || asking.isFetching}
        onClick={() => void fetchRates()}
      >
        Get simulated rates
      </button>{' '}
      <span className="text-soft" role="status">
        {said ??
          (wanted.length === 0
            ? 'Every price has a rate for its day.'
            : `${wanted.length} rates are missing. The service is simulated: its rates are invented.`)}
      </span>
    </p>
  );
}
