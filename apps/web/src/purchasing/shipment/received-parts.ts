import type { StoredRow } from '@nuvar/book';
import type { ReceivedLineView } from '@nuvar/core';

/** The lines of a shipment, and what was received of each. */
export interface PartsProps {
  readonly lines: readonly StoredRow<'shipmentLine'>[];
  readonly received: readonly ReceivedLineView[];
}

export const ofLine = (
  received: readonly ReceivedLineView[],
  { id }: StoredRow<'shipmentLine'>,
): ReceivedLineView | undefined => received.find(({ lineId }) => lineId === id);
