export { BookUnit } from './book-unit.js';
export {
  BRACKET_MEASURES,
  BRACKET_MODES,
  ChargeRule,
  RULE_METHODS,
  type BracketMeasure,
  type BracketMode,
  type RuleMethod,
} from './charge-rule.js';
export { ChargedLine } from './charged-line.js';
export {
  CUSTOMS_VALUE_KINDS,
  CustomsProfile,
  IMPORT_TAX_TREATMENTS,
  type CustomsValueKind,
  type ImportTaxTreatment,
} from './customs-profile.js';
export { DELIVERY_TERMS, type DeliveryTerm } from './delivery-term.js';
export { ExchangeRate, RATE_SOURCES, type RateSource } from './exchange-rate.js';
export { ItemConversion } from './item-conversion.js';
export { LANDED_ADD_ON_BASES, Material, MATERIAL_KINDS, type LandedAddOnBasis, type MaterialKind } from './material.js';
export { PLANNING_BASES, STOCK_METHODS, type PlanningBasis, type StockMethod } from './planning-basis.js';
export { PriceBreak } from './price-break.js';
export { RuleBracket } from './rule-bracket.js';
export { SHIPMENT_STATES, Shipment, type ShipmentState } from './shipment.js';
export {
  CHARGE_BASES,
  CHARGE_RATES,
  CHARGE_TREATMENTS,
  CHARGE_TYPES,
  ShipmentCharge,
  type ChargeBasis,
  type ChargeRate,
  type ChargeTreatment,
  type ChargeType,
} from './shipment-charge.js';
export {
  DUTY_FORMS,
  ShipmentLine,
  SPECIFIC_DUTY_UNITS,
  type DutyForm,
  type SpecificDutyUnit,
} from './shipment-line.js';
export { PAYMENT_TIMINGS, ShipmentPayment, type PaymentTiming } from './shipment-payment.js';
export { StandardPrice } from './standard-price.js';
export { MOVEMENT_TYPES, StockMovement, type MovementType } from './stock-movement.js';
export { StockPosition } from './stock-position.js';
export { Supplier } from './supplier.js';
export { SupplierPrice } from './supplier-price.js';
export { TaxRegistration } from './tax-registration.js';
