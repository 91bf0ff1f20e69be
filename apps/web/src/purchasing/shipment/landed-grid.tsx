import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column } from '../../controls/grid/grid-model.js';
import { useView } from '../../engine/use-view.js';
import { CHARGE_LABELS } from './shipment-words.js';
import { LandedLegend, LandedStrip } from './landed-parts.js';
import { materialName } from './line-grid.js';

type Line = StoredRow<'shipmentLine'>;

/** What each line costs at the door, charge by charge, as a table and as strips on one scale. */
export function LandedGrid({ shipmentId }: { readonly shipmentId: string }) {
  const lines = useRowsOf('shipmentLine', 'shipmentId', shipmentId);
  const charges = useRowsOf('shipmentCharge', 'shipmentId', shipmentId);
  const { currency } = useSettings();
  const columns = useMemo(() => landedColumns(shipmentId, charges, currency), [shipmentId, charges, currency]);
  return (
    <>
      <Grid
        title="Landed cost by line"
        rows={lines}
        columns={columns}
        nameOf={({ materialId }) => materialName(materialId)}
        empty="No lines yet."
      />
      <LandedLegend />
    </>
  );
}

function landedColumns(
  shipmentId: string,
  charges: readonly StoredRow<'shipmentCharge'>[],
  currency: string,
): Column<Line, object>[] {
  const figure = (
    id: 'goods' | 'landed' | 'perUnit' | 'onTopPercent' | 'duty' | 'importTax',
    header: string,
    digits: number,
  ) =>
    figureColumn({
      id,
      header,
      view: 'shipmentLine',
      of: ({ id: lineId }: Line) => lineId,
      pick: (view) => view[id] ?? undefined,
      digits,
    });
  const share = ({ id, type, remark }: StoredRow<'shipmentCharge'>) =>
    figureColumn({
      id,
      header: remark === '' ? (CHARGE_LABELS[type] ?? type) : remark,
      view: 'shipmentLine',
      of: ({ id: lineId }: Line) => lineId,
      pick: (view) => view.parts.find(({ chargeId }) => chargeId === id)?.figure,
      digits: 2,
    });
  return [
    {
      id: 'material',
      header: 'Material',
      type: 'shown',
      text: ({ materialId }) => materialName(materialId),
      cell: ({ materialId }) => materialName(materialId),
    },
    {
      id: 'strip',
      header: 'On one scale',
      width: 120,
      type: 'shown',
      cell: ({ id }) => <LineStrip lineId={id} shipmentId={shipmentId} />,
    },
    figure('landed', `Landed, ${currency}`, 2),
    figure('perUnit', `Unit cost, ${currency}`, 4),
    figure('onTopPercent', 'On top, %', 1),
    figure('goods', `Goods, ${currency}`, 2),
    ...charges.filter(({ inPrice }) => !inPrice).map(share),
    figureColumn({
      id: 'byProfile',
      header: 'Duty and fees',
      view: 'shipmentLine',
      of: ({ id: lineId }: Line) => lineId,
      pick: (view) => view.parts.find(({ chargeId, type }) => chargeId === null && type === 'duty')?.figure,
      digits: 2,
    }),
  ];
}

function LineStrip({ lineId, shipmentId }: { readonly lineId: string; readonly shipmentId: string }) {
  const view = useView('shipmentLine', lineId);
  const shipment = useView('shipment', shipmentId);
  return view === undefined || shipment === undefined ? null : (
    <LandedStrip view={view} scale={Number(shipment.scale)} />
  );
}
