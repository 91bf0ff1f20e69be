import { CHARGE_TYPES, type ChargeType, type DeliveryTerm } from '@nuvar/book';

/** The stops of the goods on their way from the seller's door to the buyer's, in their order. */
export const STOPS: readonly ChargeType[] = CHARGE_TYPES.slice(0, CHARGE_TYPES.indexOf('handling') + 1);

const AT_WORKS: readonly ChargeType[] = ['loading', 'export clearance'];
const TO_CARRIER: readonly ChargeType[] = [...AT_WORKS, 'pre-carriage'];
const ON_BOARD: readonly ChargeType[] = [...TO_CARRIER, 'loading on board'];
const CARRIED: readonly ChargeType[] = [...ON_BOARD, 'freight'];
const CARRIED_TO_PLACE: readonly ChargeType[] = [...CARRIED, 'port', 'trucking'];
const DELIVERED: readonly ChargeType[] = [...CARRIED_TO_PLACE, 'insurance'];

/**
 * What the seller's price holds by each delivery term (Incoterms 2020, rules A9 and B9). Carriage to the place in CPT,
 * CIP, DAP, DPU and DDP includes unloading at the port; under DAP, DPU and DDP the price is taken to include insurance.
 */
const IN_SELLERS_PRICE: Readonly<Record<DeliveryTerm, readonly ChargeType[]>> = {
  EXW: [],
  'FCA works': AT_WORKS,
  FCA: TO_CARRIER,
  FAS: TO_CARRIER,
  FOB: ON_BOARD,
  CFR: CARRIED,
  CIF: [...CARRIED, 'insurance'],
  CPT: CARRIED_TO_PLACE,
  CIP: DELIVERED,
  DAP: DELIVERED,
  DPU: [...DELIVERED, 'handling'],
  DDP: [...DELIVERED, 'customs clearance', 'duty', 'import tax'],
};

/** Without these nobody gets goods here: a landed cost asks for them. The rest is often part of them, or nothing. */
const ASKED_FOR: readonly ChargeType[] = [
  'pre-carriage',
  'freight',
  'insurance',
  'port',
  'customs clearance',
  'trucking',
];

/** True where the seller's price holds a charge by the delivery term; false where no term is stated. */
export const isInSellersPrice = (term: DeliveryTerm | null, type: ChargeType): boolean =>
  term !== null && IN_SELLERS_PRICE[term].includes(type);

/** True for a charge without which nobody gets goods here. */
export const isAskedFor = (type: ChargeType): boolean => ASKED_FOR.includes(type);

/** The charges that are the buyer's own by the delivery term, and that a landed cost cannot do without. */
export const askedForBy = (term: DeliveryTerm | null): readonly ChargeType[] =>
  term === null ? [] : ASKED_FOR.filter((type) => !isInSellersPrice(term, type));

/** Carriage to the place of export. */
export const TO_EXPORT: readonly ChargeType[] = ['loading', 'pre-carriage', 'export clearance', 'loading on board'];

/** What the buyer gives beside the price, and what belongs to the customs value everywhere (WTO Valuation Agreement, 8.1). */
export const ADDITIONS: readonly ChargeType[] = ['packing', 'assists', 'royalties', 'selling commission'];

/** Carriage from there to the place of entry. */
export const TO_ENTRY: readonly ChargeType[] = ['freight', 'insurance'];

/** What comes after the place of entry, duty and tax left out. */
export const INLAND: readonly ChargeType[] = ['port', 'customs clearance', 'trucking', 'handling'];

/** What each charge is called in a sentence. */
export const CHARGE_WORDS: Readonly<Record<ChargeType, string>> = {
  loading: 'loading at the seller',
  'pre-carriage': 'pre-carriage',
  'export clearance': 'export clearance',
  'loading on board': 'loading on board',
  freight: 'freight',
  insurance: 'insurance',
  port: 'port charges',
  'customs clearance': 'customs clearance',
  duty: 'duty',
  'import tax': 'import tax',
  trucking: 'trucking',
  handling: 'unloading and handling',
  bank: 'bank charges',
  inspection: 'inspection',
  packing: 'packing',
  assists: 'assists',
  royalties: 'royalties',
  'selling commission': 'selling commission',
  other: 'other charge',
};
