import {
  CHARGE_TYPES,
  type ChargeBasis,
  type ChargeRate,
  type DeliveryTerm,
  type DutyForm,
  type ShipmentState,
} from '@nuvar/book';
import { CHARGE_WORDS } from '@nuvar/core';

export const STATE_WORDS: Readonly<Record<ShipmentState, string>> = {
  estimate: 'estimate',
  ordered: 'ordered',
  received: 'received',
  settled: 'settled',
};

/** Delivery terms by their codes (Incoterms 2020), with the place that the two ways of FCA differ by. */
export const TERM_WORDS: Readonly<Record<DeliveryTerm | '', string>> = {
  '': 'not stated',
  EXW: 'EXW, ex works',
  'FCA works': "FCA, seller's premises",
  FCA: 'FCA, other place',
  FAS: 'FAS, alongside ship',
  FOB: 'FOB, on board',
  CFR: 'CFR, cost and freight',
  CIF: 'CIF, with insurance',
  CPT: 'CPT, carriage paid',
  CIP: 'CIP, carriage, insured',
  DAP: 'DAP, at place',
  DPU: 'DPU, unloaded',
  DDP: 'DDP, duty paid',
};

export const BASIS_WORDS: Readonly<Record<ChargeBasis, string>> = {
  value: 'value',
  weight: 'weight',
  volume: 'volume',
  'chargeable weight': 'chargeable weight',
  quantity: 'quantity',
  equal: 'equal per line',
};

export const RATE_WORDS: Readonly<Record<ChargeRate, string>> = {
  'the shipment': 'shipment',
  'percent of value': '% of value',
  unit: 'unit',
  kg: 'kg',
  'm³': 'm³',
  'chargeable kg': 'chargeable kg',
};

export const DUTY_FORM_WORDS: Readonly<Record<DutyForm, string>> = {
  percent: 'of the value',
  specific: 'by amount',
  compound: 'both (compound)',
  'greater of': 'the greater of both',
};

export const CHARGE_LABELS: Readonly<Record<string, string>> = Object.fromEntries(
  CHARGE_TYPES.map((type) => [type, CHARGE_WORDS[type].charAt(0).toUpperCase() + CHARGE_WORDS[type].slice(1)]),
);
