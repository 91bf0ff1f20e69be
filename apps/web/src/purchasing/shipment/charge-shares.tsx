import { CHARGE_BASES, newId, type ChargeBasis, type StoredRow } from '@nuvar/book';
import { createOf } from '../../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../../book/use-book.js';
import { Fields } from '../../controls/fields/fields.js';
import { RowField } from '../../controls/fields/row-field.js';
import { removalInBook } from '../../controls/grid/rows-writer.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { materialName } from './line-grid.js';
import { BASIS_WORDS, CHARGE_LABELS } from './shipment-words.js';

type Charge = StoredRow<'shipmentCharge'>;

/** So many lines are listed with their shares; of more, the landed cost shows the share that counts. */
const MOST_LINES = 40;

/** One charge: its exchange rates, what its bill came to against the estimate, and what each line bears under each basis. */
export function ChargeDetail({ charge }: { readonly charge: Charge }) {
  const { currency } = useSettings();
  const lines = useRowsOf('shipmentLine', 'shipmentId', charge.shipmentId);
  const view = useView('shipmentCharge', charge.id);
  const isForeign = charge.currency !== currency;
  const needsDivisor = charge.basis === 'chargeable weight' || charge.per === 'chargeable kg';
  const name = charge.remark === '' ? (CHARGE_LABELS[charge.type] ?? charge.type) : charge.remark;
  return (
    <section aria-label={name} className="mt-3">
      <DetailHeading>{name}: who bears it</DetailHeading>
      <Fields inTwo>
        <RowField kind="shipmentCharge" id={charge.id} field="remark" />
        <RowField kind="shipmentCharge" id={charge.id} field="account" />
        <RowField
          kind="shipmentCharge"
          id={charge.id}
          field="taxPercent"
          label="Sales tax"
          suffix="%"
          placeholder="none"
        />
        {charge.taxPercent !== null && <RowField kind="shipmentCharge" id={charge.id} field="taxInside" />}
        {isForeign && (
          <RowField
            kind="shipmentCharge"
            id={charge.id}
            field="rate"
            suffix={`${currency} for one ${charge.currency}`}
            placeholder="rate of the book"
          />
        )}
        {isForeign && charge.billed !== null && (
          <RowField
            kind="shipmentCharge"
            id={charge.id}
            field="billedRate"
            suffix={`${currency} for one ${charge.currency}`}
            placeholder="as estimated"
          />
        )}
        {needsDivisor && <RowField kind="shipmentCharge" id={charge.id} field="volumeDivisor" />}
      </Fields>
      {view?.difference && view.byAmount && view.byRate && (
        <p className="mt-1.5">
          Billed <Amount figure={view.difference} digits={2} withUnit /> above the estimate of{' '}
          <Amount figure={view.estimate} digits={2} />
          {isForeign && (
            <>
              : <Amount figure={view.byAmount} digits={2} /> by the amount, <Amount figure={view.byRate} digits={2} />{' '}
              by the exchange rate
            </>
          )}
          .
        </p>
      )}
      {lines.length > MOST_LINES ? (
        <p className="text-soft mt-1.5">The shares of the {lines.length} lines stand under Landed cost.</p>
      ) : (
        <SharesTable charge={charge} />
      )}
    </section>
  );
}

const basisLabel = (basis: ChargeBasis) => (basis === 'equal' ? 'Equal per line' : `By ${BASIS_WORDS[basis]}`);

/** The share of each line under the basis of the charge, and beside it under every other. */
function SharesTable({ charge }: { readonly charge: Charge }) {
  const lines = useRowsOf('shipmentLine', 'shipmentId', charge.shipmentId);
  const chosen = useRowsOf('chargedLine', 'chargeId', charge.id);
  const view = useView('shipmentCharge', charge.id);
  const { currency } = useSettings();
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const bears = (lineId: string) => chosen.length === 0 || chosen.some((each) => each.lineId === lineId);
  const toggle = (lineId: string) => {
    const bearing = lines.map(({ id }) => id).filter((id) => (id === lineId ? !bears(id) : bears(id)));
    const isAll = bearing.length === lines.length || bearing.length === 0;
    const kept = new Set(isAll ? [] : bearing);
    edit([
      ...chosen.filter((each) => !kept.has(each.lineId)).flatMap(({ id }) => removalInBook('chargedLine', id)),
      ...[...kept]
        .filter((id) => !chosen.some((each) => each.lineId === id))
        .map((id) => createOf('chargedLine', newId(), { chargeId: charge.id, lineId: id })),
    ]);
  };
  if (lines.length === 0) return null;
  return (
    <div className="overflow-x-auto">
      <table className="table mt-1.5">
        <thead>
          <tr>
            <th scope="col">Line</th>
            {CHARGE_BASES.map((basis) => (
              <th
                key={basis}
                scope="col"
                className={`text-right ${basis === charge.basis ? 'text-base-content' : 'font-normal text-soft'}`}
              >
                {basis === charge.basis ? `${basisLabel(basis)}, ${currency}` : basisLabel(basis)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ id, materialId }) => {
            const bearing = view?.lines.find(({ lineId }) => lineId === id);
            return (
              <tr key={id}>
                <th scope="row" className="font-normal">
                  <label className="flex items-center gap-2">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={bears(id)}
                      disabled={!mayEdit || lines.length === 1}
                      onChange={() => toggle(id)}
                    />
                    {materialName(materialId)}
                  </label>
                </th>
                {CHARGE_BASES.map((basis) => (
                  <td key={basis} className="text-right">
                    {bearing && (
                      <Amount
                        figure={basis === charge.basis ? bearing.share : bearing.by[basis]}
                        digits={2}
                        className={basis === charge.basis ? 'font-semibold' : 'text-soft'}
                      />
                    )}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
