import { MOST_OPERATIONS, newId } from '@nuvar/book';
import {
  guessColumns,
  priceListOperations,
  readPriceList,
  unknownUnitWords,
  type ListOutcome,
  type ListReading,
  type ListRow,
} from '@nuvar/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { today } from '../../state/today.js';
import { model } from '../../book/model.js';
import { useAll, useEdit, useSettings, useVersion } from '../../book/use-book.js';
import { knownUnits, readUnit } from '../../controls/known-units.js';
import { decimalSign, unitWords } from '../../figures/format.js';
import { OUTCOME_WORDS } from './import-words.js';
import { PreviewTable } from './preview-table.js';
import type { ReadSource } from './read-file.js';

const OUTCOMES = Object.keys(OUTCOME_WORDS) as ListOutcome[];

interface ImportPreviewProps {
  readonly source: ReadSource;
  readonly onDone: () => void;
}

/** Shows what each row will do before anything is taken in; columns, units and links can be put right. */
export function ImportPreview({ source, onDone }: ImportPreviewProps) {
  const settings = useSettings();
  const [sheet, setSheet] = useState(0);
  const table = useMemo(() => source.tables[sheet]?.table ?? [], [source, sheet]);
  const [reading, setReading] = useState<ListReading>(() => firstReading(table, settings.locale, settings.currency));
  const [shown, setShown] = useState<ListOutcome | null>(null);
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<string | null>(null);
  const version = useVersion('material', 'supplier', 'supplierPrice', 'itemConversion', 'bookUnit');
  const settled = useDeferredValue(reading);
  const rows = useMemo(
    () => readPriceList(table, settled, model.rows, readUnit),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the rows of the book are those of this version
    [table, settled, version],
  );
  const chooseSheet = (index: number) => {
    setSheet(index);
    setReading(firstReading(source.tables[index]?.table ?? [], settings.locale, settings.currency));
  };
  const change = (more: Partial<ListReading>) => setReading((known) => ({ ...known, ...more }));
  const count = (outcome: ListOutcome) => rows.filter((row) => row.outcome === outcome).length;
  const good = count('new material') + count('new price');
  const take = () => {
    const operations = priceListOperations(rows, model.rows, newId);
    if (operations.length > MOST_OPERATIONS) {
      setProblem(
        `This makes ${operations.length} new rows, and at most ${MOST_OPERATIONS} are taken in at once. Split the list.`,
      );
      return;
    }
    const found = edit(operations)[0];
    if (found !== undefined) {
      setProblem(`${found.sentence} Nothing was taken in.`);
      return;
    }
    dispatch(noticed({ sentence: `${good} prices taken in from ${source.name}. One undo takes them all back.` }));
    onDone();
  };
  return (
    <section aria-label="What was read" className="mt-4">
      <h2 className="section-title">
        {source.name} <span className="text-soft font-normal">{source.said}</span>
      </h2>
      {source.tables.length > 1 && (
        <label className="flex items-center gap-2">
          Sheet
          <select
            className="input-line max-w-60"
            value={sheet}
            onChange={(event) => chooseSheet(Number(event.target.value))}
          >
            {source.tables.map(({ name }, index) => (
              <option key={name} value={index}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
      <Assumptions reading={reading} change={change} />
      <UnknownUnits rows={rows} reading={reading} change={change} />
      <div className="chips my-2" role="group" aria-label="Rows by what they will do">
        <button type="button" className="chip" aria-pressed={shown === null} onClick={() => setShown(null)}>
          all {rows.length} rows
        </button>
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className="chip"
            aria-pressed={shown === outcome}
            onClick={() => setShown(outcome)}
          >
            {count(outcome)} {OUTCOME_WORDS[outcome]}
          </button>
        ))}
      </div>
      <PreviewTable
        table={table}
        rows={shown === null ? rows : rows.filter((row) => row.outcome === shown)}
        reading={reading}
        change={change}
      />
      {problem !== null && (
        <p className="hint-refused" role="alert">
          {problem}
        </p>
      )}
      <div className="dialog-buttons">
        <button type="button" className="button" onClick={onDone}>
          Cancel
        </button>
        <button type="button" className="button button-main" disabled={good === 0} onClick={take}>
          {count('not understood') > 0
            ? `Take in ${good} prices, leave out ${count('not understood')}`
            : `Take in ${good} prices`}
        </button>
      </div>
    </section>
  );
}

function firstReading(table: readonly (readonly string[])[], locale: string, currency: string): ListReading {
  return {
    ...guessColumns(table, decimalSign(locale)),
    supplier: '',
    currency,
    validFrom: today(),
    unitWords: {},
    linked: {},
  };
}

interface PartProps {
  readonly reading: ListReading;
  readonly change: (more: Partial<ListReading>) => void;
}

/** What holds for all rows whose own cells say nothing of it, and how numbers and days are written. */
function Assumptions({ reading, change }: PartProps) {
  const suppliers = useAll('supplier');
  return (
    <div className="import-assumptions">
      {!reading.mapping.includes('supplier') && (
        <label>
          Supplier
          <input
            className="input-line"
            list="import-suppliers"
            value={reading.supplier}
            placeholder="nobody said"
            maxLength={120}
            onChange={(event) => change({ supplier: event.target.value })}
          />
          <datalist id="import-suppliers">
            {suppliers.map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
          </datalist>
        </label>
      )}
      {!reading.mapping.includes('currency') && (
        <label>
          Currency
          <input
            className="input-line"
            value={reading.currency}
            maxLength={3}
            onChange={(event) => change({ currency: event.target.value.toUpperCase() })}
          />
        </label>
      )}
      {!reading.mapping.includes('validFrom') && (
        <label>
          Valid from
          <input
            type="date"
            className="input-line"
            value={reading.validFrom}
            onChange={(event) => event.target.value !== '' && change({ validFrom: event.target.value })}
          />
        </label>
      )}
      <label>
        Numbers as
        <select
          className="input-line"
          value={reading.decimalSign}
          onChange={(event) => change({ decimalSign: event.target.value === ',' ? ',' : '.' })}
        >
          <option value=".">1,234.50</option>
          <option value=",">1.234,50</option>
        </select>
      </label>
      <label>
        Rows begin at line
        <input
          type="number"
          min={1}
          className="input-line"
          value={reading.firstRow + 1}
          onChange={(event) => change({ firstRow: Math.max(0, Number(event.target.value) - 1) })}
        />
      </label>
    </div>
  );
}

/** Words for units that nobody knows: said once, they are known for the whole list. */
function UnknownUnits({ rows, reading, change }: PartProps & { readonly rows: readonly ListRow[] }) {
  const words = [
    ...new Set([...Object.keys(reading.unitWords), ...unknownUnitWords(rows).map((word) => word.toLowerCase())]),
  ];
  if (words.length === 0) return null;
  return (
    <div className="import-assumptions" role="group" aria-label="Units of this list">
      {words.slice(0, 8).map((word) => (
        <label key={word}>
          "{word}" is
          <select
            className="input-line"
            value={Object.hasOwn(reading.unitWords, word) ? reading.unitWords[word] : ''}
            onChange={(event) => {
              const { [word]: _before, ...others } = reading.unitWords;
              change({ unitWords: event.target.value === '' ? others : { ...others, [word]: event.target.value } });
            }}
          >
            <option value="">not known yet</option>
            {knownUnits().map((code) => (
              <option key={code} value={code}>
                {unitWords(code)}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  );
}
