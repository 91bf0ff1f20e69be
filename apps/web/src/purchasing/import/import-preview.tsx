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
import { today } from '../../state/today.js';
import { model } from '../../book/model.js';
import { useEdit, useSettings, useVersion } from '../../book/use-book.js';
import { knownUnits, readUnit } from '../../controls/fields/known-units.js';
import { counted, countText, decimalSign, unitWords } from '../../figures/format.js';
import { ImportSettings, LABELLED } from './import-settings.js';
import { OUTCOME_COUNTS, OUTCOME_WORDS } from './import-words.js';
import { PreviewTable } from './preview-table.js';
import type { ReadSource } from './read-file.js';
import { ProblemLine } from '../../controls/dialogs/problem-line.js';

const OUTCOMES = Object.keys(OUTCOME_WORDS) as ListOutcome[];

interface ImportPreviewProps {
  readonly source: ReadSource;
  /** Goes back to choosing a file: with a sentence where something was imported. */
  readonly onDone: (done: string | null) => void;
}

/** Shows what each row will do before anything is taken in; columns, units and links can be put right. */
export function ImportPreview({ source, onDone }: ImportPreviewProps) {
  const settings = useSettings();
  const { locale } = settings;
  const [sheet, setSheet] = useState(0);
  const table = useMemo(() => source.tables[sheet]?.table ?? [], [source, sheet]);
  const [reading, setReading] = useState<ListReading>(() => firstReading(table, settings.locale, settings.currency));
  const [shown, setShown] = useState<ListOutcome | null>(null);
  const edit = useEdit();
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
        `This would add ${countText(operations.length, locale)} rows, and at most ${countText(MOST_OPERATIONS, locale)} can be imported at once. Split the list.`,
      );
      return;
    }
    const found = edit(operations)[0];
    if (found !== undefined) {
      setProblem(`${found.sentence} Nothing was imported.`);
      return;
    }
    onDone(`${counted(good, 'price', locale)} imported from ${source.name}. One undo removes them all.`);
  };
  return (
    <section aria-label="Preview" className="mt-4">
      <h2 className="text-section">
        {source.name} <span className="text-soft font-normal">{source.said}</span>
      </h2>
      {source.tables.length > 1 && (
        <label className="flex items-center gap-2">
          Sheet
          <select
            className="select max-w-60"
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
      <ImportSettings key={sheet} reading={reading} change={change} />
      <UnknownUnits rows={rows} reading={reading} change={change} />
      <div className="flex flex-wrap gap-1.5 my-2" role="group" aria-label="Rows by what they will do">
        <button type="button" className="btn" aria-pressed={shown === null} onClick={() => setShown(null)}>
          all {counted(rows.length, 'row', locale)}
        </button>
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className="btn"
            aria-pressed={shown === outcome}
            onClick={() => setShown(outcome)}
          >
            {counted(count(outcome), OUTCOME_COUNTS[outcome][0], locale, OUTCOME_COUNTS[outcome][1])}
          </button>
        ))}
      </div>
      <PreviewTable
        table={table}
        rows={shown === null ? rows : rows.filter((row) => row.outcome === shown)}
        reading={reading}
        change={change}
      />
      <ProblemLine problem={problem} />
      <div className="sticky bottom-0 mt-2 flex justify-end gap-2 border-t border-base-300 bg-base-100 py-2">
        <button type="button" className="btn" onClick={() => onDone(null)}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={good === 0} onClick={take}>
          Import {counted(good, 'price', locale)}
          {count('not understood') > 0 && `, leave out ${countText(count('not understood'), locale)}`}
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

/** Words for units that nobody knows: said once, they are known for the whole list. */
function UnknownUnits({ rows, reading, change }: PartProps & { readonly rows: readonly ListRow[] }) {
  const words = [
    ...new Set([...Object.keys(reading.unitWords), ...unknownUnitWords(rows).map((word) => word.toLowerCase())]),
  ];
  if (words.length === 0) return null;
  return (
    <div className={LABELLED} role="group" aria-label="Units of this list">
      {words.slice(0, 8).map((word) => (
        <label key={word}>
          "{word}" is
          <select
            className="select"
            value={Object.hasOwn(reading.unitWords, word) ? reading.unitWords[word] : ''}
            onChange={(event) => {
              const { [word]: _before, ...others } = reading.unitWords;
              change({ unitWords: event.target.value === '' ? others : { ...others, [word]: event.target.value } });
            }}
          >
            <option value="">choose a unit</option>
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
