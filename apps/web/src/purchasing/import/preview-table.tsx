import { listNoteSentence, PRICE_LIST_FIELDS, type ListReading, type ListRow, type PriceListField } from '@nuvar/core';
import { useMemo } from 'react';
import { useAll, useSettings } from '../../book/use-book.js';
import { typedText } from '../../figures/format.js';
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
  const nameOf = (id: string) => materials.find((material) => material.id === id)?.name ?? '';
  return (
    <div className="import-table">
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">What it will do</th>
            {reading.mapping.map((field, column) => (
              <th key={column} scope="col">
                <select
                  className="input-line"
                  aria-label={`Column ${column + 1} holds`}
                  value={field ?? ''}
                  onChange={(event) => map(column, (event.target.value || null) as PriceListField | null)}
                >
                  <option value="">passed over</option>
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
            <tr key={row.line} className={row.outcome === 'not understood' ? 'row-refused' : ''}>
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
                {row.notes.length > 0 && (
                  <div className="hint-refused">{row.notes.map(listNoteSentence).join('; ')}</div>
                )}
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
      {rows.length > MOST_SHOWN && <p className="text-soft">And {rows.length - MOST_SHOWN} more.</p>}
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
          {typedText(changePercent, locale).replace('-', '−')} %
        </span>
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
      className="input-line"
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
