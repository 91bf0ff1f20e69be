import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column } from '../../controls/grid/grid-model.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { Empty } from '../../figures/empty.js';
import { materialName } from './line-grid.js';
import { CHARGE_LABELS } from './shipment-words.js';

type Charge = StoredRow<'shipmentCharge'>;
type Line = StoredRow<'shipmentLine'>;

const chargeLabel = ({ type, remark }: Charge) => (remark === '' ? (CHARGE_LABELS[type] ?? type) : remark);

/** What came out otherwise: bills against estimates, per charge and per unit of each line, the exchange difference apart. */
export function Bills({ shipmentId }: { readonly shipmentId: string }) {
  const charges = useRowsOf('shipmentCharge', 'shipmentId', shipmentId);
  const lines = useRowsOf('shipmentLine', 'shipmentId', shipmentId);
  const view = useView('shipment', shipmentId);
  const { currency } = useSettings();
  const billed = useMemo(() => charges.filter((charge) => charge.billed !== null), [charges]);
  const chargeColumns = useMemo(() => columnsOfCharges(currency), [currency]);
  const lineColumns = useMemo(() => columnsOfLines(currency), [currency]);
  if (billed.length === 0)
    return (
      <Empty>No bills yet. Enter what was billed beside the estimate of each charge, under Goods and charges.</Empty>
    );
  return (
    <>
      {view?.againstEstimate && (
        <p className="mt-2">
          {billed.length} of {charges.length} charges are billed, together{' '}
          <Amount figure={view.againstEstimate} digits={2} withUnit /> above their estimates.
        </p>
      )}
      <Grid title="Bills and estimates" rows={billed} columns={chargeColumns} nameOf={chargeLabel} />
      <div className="mt-4">
        <Grid
          title="What the bills did to each unit"
          rows={lines}
          columns={lineColumns}
          nameOf={({ materialId }) => materialName(materialId)}
        />
      </div>
      {view?.exchangeDifference && (
        <p className="mt-2">
          Beside that, an exchange difference of <Amount figure={view.exchangeDifference} digits={2} withUnit /> at
          settlement, which is no cost of the goods.
        </p>
      )}
    </>
  );
}

function columnsOfCharges(currency: string): Column<Charge, object>[] {
  const figure = (
    id: 'estimate' | 'bill' | 'difference' | 'differencePercent' | 'byAmount' | 'byRate',
    header: string,
    digits: number,
  ) =>
    figureColumn({
      id,
      header,
      view: 'shipmentCharge',
      of: ({ id: chargeId }: Charge) => chargeId,
      pick: (view) => view[id] ?? undefined,
      digits,
    });
  return [
    { id: 'charge', header: 'Charge', type: 'shown', text: chargeLabel, cell: chargeLabel },
    figure('estimate', `Estimate, ${currency}`, 2),
    figure('bill', `Bill, ${currency}`, 2),
    figure('difference', `Difference, ${currency}`, 2),
    figure('differencePercent', 'in %', 1),
    figure('byAmount', 'by the amount', 2),
    figure('byRate', 'by the rate', 2),
  ];
}

function columnsOfLines(currency: string): Column<Line, object>[] {
  const figure = (id: 'estimatedPerUnit' | 'perUnit' | 'perUnitAgainstEstimate', header: string) =>
    figureColumn({
      id,
      header,
      view: 'shipmentLine',
      of: ({ id: lineId }: Line) => lineId,
      pick: (view) => view[id] ?? undefined,
      digits: 4,
    });
  const text = ({ materialId }: Line) => materialName(materialId);
  return [
    { id: 'material', header: 'Material', type: 'shown', text, cell: text },
    figure('estimatedPerUnit', `Estimated, ${currency} a unit`),
    figure('perUnit', `Now, ${currency} a unit`),
    figure('perUnitAgainstEstimate', `Difference, ${currency} a unit`),
  ];
}
