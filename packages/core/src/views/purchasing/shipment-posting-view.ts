import { gapSentence } from '../../figure/index.js';
import {
  landedShipment,
  type PostedFields,
  type ShipmentPosting,
  shipmentPosting,
  shipmentReopening,
} from '../../purchasing/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** What posting a shipment, or opening it again, would write, and what the latter would do. */
export interface ShipmentPostingView {
  /** What is still missing, as sentences; none where it can be posted. */
  readonly missing: readonly string[];
  readonly posting: ShipmentPosting;
  readonly reopening: readonly PostedFields[];
  /** The landed cost as it is, and as it would be once opened again; null while it is not known in full. */
  readonly landed: string | null;
  readonly landedReopened: string | null;
}

export function shipmentPostingView(evaluation: Evaluation, shipmentId: string): ShipmentPostingView {
  const posting = shipmentPosting(evaluation.sheet, shipmentId);
  const reopening = shipmentReopening(evaluation.sheet, shipmentId);
  const landed = ({ read }: Pick<Evaluation, 'read'>) =>
    read(landedShipment, shipmentId).landed.amount?.toFixed() ?? null;
  const emptied = reopening.flatMap(({ kind, id, fields }) =>
    Object.keys(fields).map((field) => ({ kind, id, field, how: 'set' as const, value: null })),
  );
  const fork = evaluation.fork(emptied);
  try {
    return {
      missing: posting.gaps.map(gapSentence),
      posting,
      reopening,
      landed: landed(evaluation),
      landedReopened: landed(fork),
    };
  } finally {
    fork.end();
  }
}
