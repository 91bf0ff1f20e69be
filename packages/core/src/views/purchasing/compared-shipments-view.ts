import { CHARGE_TYPES, type ChargeType } from '@nuvar/book';
import { CHARGE_WORDS, chargeTotals, landedLine, landedShipment, lineName, linesOf } from '../../purchasing/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** One row of a comparison: a figure for each shipment, null where it has none. */
export interface ComparedRow {
  readonly label: string;
  readonly figures: readonly (FigureView | null)[];
  /** True where all shipments have the same amount: only differences need be looked at. */
  readonly isSame: boolean;
}

export interface ComparedShipmentsView {
  readonly totals: readonly ComparedRow[];
  /** What each material costs at the door, in the unit of its line. */
  readonly materials: readonly (ComparedRow & { readonly materialId: string })[];
  readonly charges: readonly (ComparedRow & { readonly type: ChargeType })[];
}

const row = (label: string, figures: readonly (FigureView | null)[]): ComparedRow => ({
  label,
  figures,
  isSame: figures.every((each) => each !== null && each.amount === figures[0]?.amount),
});

/** Shipments beside each other, line by line and charge by charge. The id is that of each, between commas. */
export function comparedShipmentsView(evaluation: Evaluation, id: string): ComparedShipmentsView {
  const { sheet } = evaluation;
  const ids = id.split(',').filter((each) => sheet.row('shipment', each) !== undefined);
  const totals = ids.map((each) =>
    shownAll(evaluation, landedShipment, each, ['goods', 'onTop', 'landed', 'onTopPercent', 'expense']),
  );
  const total = (label: string, member: keyof (typeof totals)[number]) =>
    row(
      label,
      totals.map((each) => each[member]),
    );
  const lines = ids.map((each) => linesOf(sheet, each));
  const materials = new Map(lines.flat().map((line) => [line.materialId, lineName(sheet, line)]));
  return {
    totals: [
      total('Goods', 'goods'),
      total('On top of the goods', 'onTop'),
      total('Landed cost', 'landed'),
      total('On top, % of the goods', 'onTopPercent'),
      total('To expense', 'expense'),
    ],
    materials: [...materials].map(([materialId, name]) => ({
      materialId,
      ...row(
        name,
        lines.map((own) => {
          const line = own.find((each) => each.materialId === materialId);
          return line === undefined ? null : shown(evaluation, landedLine, line.id, 'perUnit');
        }),
      ),
    })),
    charges: CHARGE_TYPES.filter((type) => ids.some((each) => evaluation.read(chargeTotals, each)[type])).map(
      (type) => ({
        type,
        ...row(
          CHARGE_WORDS[type],
          ids.map((each) =>
            evaluation.read(chargeTotals, each)[type] === undefined
              ? null
              : shown(evaluation, chargeTotals, each, type),
          ),
        ),
      }),
    ),
  };
}
