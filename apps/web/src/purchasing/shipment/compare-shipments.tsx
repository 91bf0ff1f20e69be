import { fieldsOf, type FieldSpec, type StoredRow } from '@nuvar/book';
import type { ComparedRow } from '@nuvar/core';
import { useSearchParams } from 'react-router';
import { useAll, useMayEdit, useRowsOf, useSettings } from '../../book/use-book.js';
import { useTried, useTry } from '../../book/use-trial.js';
import { isRefusal, readField } from '../../controls/fields/read-field.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { typedText } from '../../figures/format.js';
import { isByRule } from './charge-grid.js';

type Shipment = StoredRow<'shipment'>;

/** So many stand beside each other, the one whose detail it is included. */
const MOST = 4;

/**
 * Which way is cheaper: up to four shipments beside each other, line by line and charge by charge. What is the same stands
 * back. Exchange rate and freight can be tried here; a trial is kept or discarded as a whole.
 */
export function CompareShipments({ shipment }: { readonly shipment: Shipment }) {
  const all = useAll('shipment');
  const [parameters, setParameters] = useSearchParams();
  const wanted = parameters.get('with')?.split(',') ?? [];
  const others = all.filter(({ id }) => id !== shipment.id && wanted.includes(id)).slice(0, MOST - 1);
  const shown = [shipment, ...others];
  const view = useView('comparedShipments', shown.map(({ id }) => id).join(','));
  const toggle = (id: string) =>
    setParameters(
      (known) => {
        const next = new URLSearchParams(known);
        const chosen = others.some((each) => each.id === id)
          ? others.filter((each) => each.id !== id).map((each) => each.id)
          : [...others.map((each) => each.id), id];
        if (chosen.length === 0) next.delete('with');
        else next.set('with', chosen.join(','));
        return next;
      },
      { replace: true },
    );
  return (
    <>
      <fieldset className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <legend className="float-left mr-3 text-soft">Compare with</legend>
        {all
          .filter(({ id }) => id !== shipment.id)
          .map(({ id, name }) => {
            const isChosen = others.some((each) => each.id === id);
            return (
              <label key={id} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={isChosen}
                  disabled={!isChosen && others.length === MOST - 1}
                  onChange={() => toggle(id)}
                />
                {name}
              </label>
            );
          })}
      </fieldset>
      {all.length < 2 && (
        <p className="text-soft mt-2">
          There is no other shipment yet. Copy this one with Ctrl+D in the list, and change what the other way costs.
        </p>
      )}
      {view && (
        <div className="overflow-x-auto">
          <table className="table mt-3">
            <thead>
              <tr>
                <th scope="col">
                  <span className="sr-only">What</span>
                </th>
                {shown.map(({ id, name }) => (
                  <th key={id} scope="col" className="text-right">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <TriedRows shown={shown} />
            <ComparedRows title="Landed cost of one" rows={view.materials} digits={4} />
            <ComparedRows title="Charges" rows={view.charges} digits={2} />
            <ComparedRows title="In all" rows={view.totals} digits={2} />
          </table>
        </div>
      )}
    </>
  );
}

interface ComparedRowsProps {
  readonly title: string;
  readonly rows: readonly ComparedRow[];
  readonly digits: number;
}

function ComparedRows({ title, rows, digits }: ComparedRowsProps) {
  const columns = rows[0]?.figures.length ?? 0;
  if (rows.length === 0) return null;
  return (
    <tbody>
      <tr>
        <th scope="rowgroup" colSpan={columns + 1}>
          <DetailHeading>{title}</DetailHeading>
        </th>
      </tr>
      {rows.map(({ label, figures, isSame }) => (
        <tr key={label} className={isSame && columns > 1 ? 'text-soft' : ''}>
          <th scope="row" className="font-normal first-letter:uppercase">
            {label}
          </th>
          {figures.map((figure, index) => (
            <td key={index} className="text-right">
              {figure === null ? <span className="text-soft">none</span> : <Amount figure={figure} digits={digits} />}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  );
}

/** The exchange rate and the freight of each shipment, to be tried. */
function TriedRows({ shown }: { readonly shown: readonly Shipment[] }) {
  const { currency } = useSettings();
  const isForeign = shown.some((each) => each.currency !== currency);
  return (
    <tbody>
      {isForeign && (
        <tr>
          <th scope="row" className="font-normal">
            Exchange rate, tried
          </th>
          {shown.map((each) => (
            <td key={each.id} className="text-right">
              {each.currency !== currency && (
                <TriedInput
                  kind="shipment"
                  row={each}
                  field="rate"
                  label={`Exchange rate of ${each.name}`}
                  placeholder="of the book"
                />
              )}
            </td>
          ))}
        </tr>
      )}
      <tr>
        <th scope="row" className="font-normal">
          Freight, tried
        </th>
        {shown.map((each) => (
          <td key={each.id} className="text-right">
            <TriedFreight shipment={each} />
          </td>
        ))}
      </tr>
    </tbody>
  );
}

function TriedFreight({ shipment }: { readonly shipment: Shipment }) {
  const charges = useRowsOf('shipmentCharge', 'shipmentId', shipment.id);
  const freight = charges.find(({ type, inPrice }) => type === 'freight' && !inPrice);
  if (freight === undefined) return null;
  const field = freight.billed === null ? 'amount' : 'billed';
  return (
    <span className="inline-flex items-baseline gap-1">
      <TriedInput
        kind="shipmentCharge"
        row={freight}
        field={field}
        label={`Freight of ${shipment.name}`}
        placeholder={isByRule(freight) ? 'by rule' : 'none'}
      />
      <span className="text-note text-soft">{freight.per === 'percent of value' ? '%' : freight.currency}</span>
    </span>
  );
}

interface TriedInputProps {
  readonly kind: 'shipment' | 'shipmentCharge';
  readonly row: StoredRow<'shipment'> | StoredRow<'shipmentCharge'>;
  readonly field: 'rate' | 'amount' | 'billed';
  readonly label: string;
  readonly placeholder: string;
}

/** A field whose value is tried: everything follows it, and the book keeps its own until the trial is kept. */
function TriedInput({ kind, row, field, label, placeholder }: TriedInputProps) {
  const { locale } = useSettings();
  const mayEdit = useMayEdit();
  const tried = useTried(row.id, field);
  const tryOut = useTry();
  const spec = fieldsOf(kind).find(({ name }) => name === field) as FieldSpec;
  const own = (row as unknown as Readonly<Record<string, string | null>>)[field] ?? '';
  return (
    <span className={`inline-flex w-24 ${tried === undefined ? '' : 'font-semibold text-primary'}`}>
      <TypedInput
        label={label}
        value={typedText(String(tried ?? own), locale)}
        numeric
        readOnly={!mayEdit}
        placeholder={placeholder}
        commit={(text) => {
          const reading = readField(spec, text, locale);
          if (isRefusal(reading)) return reading.refusal;
          tryOut(kind, row.id, field, reading.value);
          return null;
        }}
      />
    </span>
  );
}
