/** Delivery terms by Incoterms 2020. FCA divides the costs in two ways, by the place that is named. */
export const DELIVERY_TERMS = [
  'EXW',
  'FCA works',
  'FCA',
  'FAS',
  'FOB',
  'CFR',
  'CIF',
  'CPT',
  'CIP',
  'DAP',
  'DPU',
  'DDP',
] as const;
export type DeliveryTerm = (typeof DELIVERY_TERMS)[number];
