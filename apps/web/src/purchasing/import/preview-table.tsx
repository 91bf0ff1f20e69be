import { listNoteSentence, PRICE_LIST_FIELDS, type ListReading, type ListRow, type PriceListField } from '@nuvar/core';
import { numberText } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../../book/use-book.js';
import { counted } from '../../figures/format.js';
import { FIELD_WORDS, OUTCOME_WORDS } from './import-words.js';
import { materialOffers } from './material-offers.js';

interface PreviewTableProps {
  readonly table: readonly (readonly string[])[];
  readonly rows: readonly ListRow[];
  readonly reading: ListReading;
  readonly change: (more: Partial<ListReading>) => void;
}

const MOST_SHOWN = 200;

/** The rows as they came, under what their columns are taken for, and beside them what each will do. */
export function PreviewTable({ table, rows, reading, change }: PreviewTableProps) {
  const materials = useAll('material');
  const { locale } = useSettings();
  const offersFor = useMemo(() => materialOffers(materials), [materials]);
  const map = (column: number, field: PriceListField | null) =>
    change({
      mapping: reading.mapping.map((known, index) => (index === column ? field : known === field ? null : known)),
      linked: {},
    });
  const headings = table[reading.firstRow - 1] ?? null;
  const nameOf = (id: string) => materials.find((material) => material.id === id)?.name ?? '';
  return (
    <div className="max-h-[max(16rem,calc(100dvh-26rem))] overflow-auto [&_:is(th,td)]:pr-3.5 [&_:is(th,td)]:align-top">
      <table className="table">
        <thead className="sticky top-0 bg-base-100">
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Result</th>
            {reading.mapping.map((field, column) => (
              <th key={column} scope="col">
                {headings !== null && (
                  <span className="block max-w-40 truncate text-note font-normal text-soft">
                    {headings[column]?.trim() || `column ${column + 1}`}
                  </span>
                )}
                <select
                  className="select min-w-28"
                  aria-label={`Column ${column + 1} holds`}
                  value={field ?? ''}
                  onChange={(event) => map(column, (event.target.value || null) as PriceListField | null)}
                >
                  <option value="">not imported</option>
                  {PRICE_LIST_FIELDS.map((each) => (
                    <option key={each} value={each}>
                      {FIELD_WORDS[each]}
                    </option>
                  ))}
                </select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, MOST_SHOWN).map((row) => (
            <tr key={row.line} className={row.outcome === 'not understood' ? 'bg-base-200' : ''}>
              <th scope="row">{row.line}</th>
              <td>
                {row.outcome === 'new material' || (row.outcome === 'new price' && reading.linked[row.line]) ? (
                  <LinkChoice
                    row={row}
                    offers={offersFor(row.name)}
                    nameOf={nameOf}
                    choose={(id) => change({ linked: { ...reading.linked, [row.line]: id } })}
                  />
                ) : (
                  <Outcome row={row} name={row.materialId === null ? '' : nameOf(row.materialId)} locale={locale} />
                )}
                {row.notes.length > 0 && <div className="text-error">{row.notes.map(listNoteSentence).join('; ')}</div>}
              </td>
              {reading.mapping.map((field, column) => (
                <td key={column} className={field === null ? 'text-soft' : ''}>
                  {(table[row.line - 1]?.[column] ?? '').slice(0, 80)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > MOST_SHOWN && (
        <p className="text-soft">And {counted(rows.length - MOST_SHOWN, 'more row', locale)}.</p>
      )}
    </div>
  );
}

function Outcome({ row, name, locale }: { readonly row: ListRow; readonly name: string; readonly locale: string }) {
  const { outcome, changePercent } = row;
  const sign = changePercent !== null && !changePercent.startsWith('-') && changePercent !== '0' ? '+' : '';
  return (
    <>
      {OUTCOME_WORDS[outcome]}
      {name !== '' && <span className="text-soft"> of {name}</span>}
      {outcome === 'new price' && changePercent !== null && (
        <span className="figure-print">
          {' '}
          {sign}
          {numberText(changePercent, locale)} %
        </span>
      )}
      {outcome === 'new price' && !row.isInForce && (
        <span className="block text-note text-soft">another supplier's price stays in force</span>
      )}
    </>
  );
}

interface LinkChoiceProps {
  readonly row: ListRow;
  readonly offers: readonly { readonly id: string; readonly name: string }[];
  readonly nameOf: (id: string) => string;
  readonly choose: (materialId: string | null) => void;
}

/** A row whose name the book does not know: a new material, or a price of one that is called otherwise. */
function LinkChoice({ row, offers, nameOf, choose }: LinkChoiceProps) {
  const linked = row.materialId;
  const choices =
    linked === null || offers.some(({ id }) => id === linked)
      ? offers
      : [{ id: linked, name: nameOf(linked) }, ...offers];
  return (
    <select
      className="select"
      aria-label={`What line ${row.line} is`}
      value={linked ?? ''}
      onChange={(event) => choose(event.target.value === '' ? null : event.target.value)}
    >
      <option value="">new material</option>
      {choices.map(({ id, name }) => (
        <option key={id} value={id}>
          price of {name}
        </option>
      ))}
    </select>
  );
}
