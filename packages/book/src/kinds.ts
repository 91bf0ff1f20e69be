import { CandidateBatch, FrozenCard, FrozenLine } from './costing/index.js';
import { declaredFields, type FieldSpec } from './fields/index.js';
import {
  Activity,
  ActivityUse,
  ApportionmentBasis,
  ChargeOutRate,
  ClosedDay,
  CostIncrease,
  CostingMethod,
  CostPool,
  CostStep,
  Department,
  DepartmentMeasure,
  OpenSeason,
  OverheadActual,
  PoolActivity,
  RunningCost,
  ServiceUse,
  TimeTerm,
} from './overhead/index.js';
import {
  CandidatePrice,
  Decision,
  DecisionCost,
  MixPeriod,
  MixPeriodProduct,
  MixPeriodResource,
  MixPlan,
  MixProduct,
  MixResource,
  MixTotal,
  MixTotalProduct,
  MixUse,
  PlannedMonth,
  PlannedVolume,
  Season,
  WhatIf,
  WhatIfChange,
} from './planning/index.js';
import {
  BillLine,
  Equipment,
  EquipmentRun,
  EquipmentUse,
  JointOutput,
  JointProcess,
  LabourGrade,
  LabourStep,
  OtherCost,
  Product,
  RecoveredScrap,
  TypedCost,
} from './production/index.js';
import {
  BookUnit,
  ChargedLine,
  ChargeRule,
  CustomsProfile,
  ExchangeRate,
  ItemConversion,
  Material,
  PriceBreak,
  RuleBracket,
  Shipment,
  ShipmentCharge,
  ShipmentLine,
  ShipmentPayment,
  StandardPrice,
  StockMovement,
  StockPosition,
  Supplier,
  SupplierPrice,
  TaxRegistration,
} from './purchasing/index.js';
import {
  CarrierRate,
  CarrierTable,
  ChainStep,
  Channel,
  DatedPrice,
  FeeBand,
  FeeRule,
  InputRange,
  PackingLine,
  PostageShare,
  PricePoint,
  QuantityBreak,
  Quote,
  QuoteOption,
  SalesTaxRate,
  SizeTier,
} from './selling/index.js';
import { Settings } from './settings.js';

/** All that is to be known of a kind of row beside its fields. */
export interface KindDescriptor<Row extends object = object> {
  readonly rowClass: new () => Row;
  /** How it is called in a sentence. */
  readonly label: string;
  /** True where two rows of a book cannot bear the same name, as `nameKey` compares them. */
  readonly uniqueName: boolean;
  /** Fields that tell a row without a name apart, the first that is filled in: what it points to, or a text of its own. */
  readonly toldBy: readonly string[];
  /** References by which a row is copied along when the row that it points to is duplicated. */
  readonly copiedWith: readonly string[];
  /** True where nobody writes the rows: they are worked out from others, and have no table. */
  readonly isDerived: boolean;
  /** Fields that a copy does not take over, but begins anew: numbers that stand for one thing only, what was billed. */
  readonly notCopied: readonly string[];
}

type Said<Row extends object> = { readonly label: string } & Partial<Omit<KindDescriptor<Row>, 'rowClass' | 'label'>>;

const described = <Row extends object>(rowClass: new () => Row, said: Said<Row>): KindDescriptor<Row> => ({
  rowClass,
  uniqueName: false,
  toldBy: [],
  copiedWith: [],
  notCopied: [],
  isDerived: false,
  ...said,
});

const ofProduct = { toldBy: ['productId'], copiedWith: ['productId'] } as const;
const ofRunningCost = { toldBy: ['runningCostId'], copiedWith: ['runningCostId'] } as const;
const ofMaterial = { toldBy: ['materialId'], copiedWith: ['materialId'] } as const;

/**
 * The one registry of the kinds of row. The order is that of reading: whatever a row points to stands before it,
 * but for bill lines, which may point to any product.
 */
export const KINDS = {
  settings: described(Settings, { label: 'settings of the book' }),
  bookUnit: described(BookUnit, { label: 'unit', uniqueName: true }),
  exchangeRate: described(ExchangeRate, { label: 'exchange rate', toldBy: ['currency'] }),
  taxRegistration: described(TaxRegistration, { label: 'tax registration', toldBy: ['validFrom'] }),
  supplier: described(Supplier, { label: 'supplier', uniqueName: true }),
  material: described(Material, { label: 'material', uniqueName: true, notCopied: ['code'] }),
  supplierPrice: described(SupplierPrice, { label: 'supplier price', ...ofMaterial }),
  priceBreak: described(PriceBreak, { label: 'price break', toldBy: ['priceId'], copiedWith: ['priceId'] }),
  standardPrice: described(StandardPrice, { label: 'standard price', ...ofMaterial }),
  customsProfile: described(CustomsProfile, { label: 'customs profile', uniqueName: true }),
  chargeRule: described(ChargeRule, { label: 'charge rule', uniqueName: true }),
  ruleBracket: described(RuleBracket, { label: 'bracket', toldBy: ['ruleId'], copiedWith: ['ruleId'] }),
  shipment: described(Shipment, {
    label: 'shipment',
    uniqueName: true,
    notCopied: ['state', 'postedOn', 'postedTaxPercent', 'postedImportTaxPercent'],
  }),
  shipmentLine: described(ShipmentLine, {
    label: 'shipment line',
    toldBy: ['materialId', 'shipmentId'],
    copiedWith: ['shipmentId'],
    notCopied: ['postedDuty', 'postedImportTax', 'postedEntryFee'],
  }),
  shipmentCharge: described(ShipmentCharge, {
    label: 'charge',
    toldBy: ['type'],
    copiedWith: ['shipmentId'],
    notCopied: ['billed', 'billedRate'],
  }),
  chargedLine: described(ChargedLine, { label: 'line of a charge', toldBy: ['lineId'], copiedWith: ['chargeId'] }),
  shipmentPayment: described(ShipmentPayment, { label: 'payment', toldBy: ['shipmentId'] }),
  department: described(Department, { label: 'department', uniqueName: true }),
  apportionmentBasis: described(ApportionmentBasis, { label: 'apportionment basis', uniqueName: true }),
  departmentMeasure: described(DepartmentMeasure, { label: 'measure of a department', toldBy: ['departmentId'] }),
  serviceUse: described(ServiceUse, { label: 'use of a service department', toldBy: ['departmentId'] }),
  labourGrade: described(LabourGrade, { label: 'labour grade', uniqueName: true }),
  equipment: described(Equipment, { label: 'piece of equipment', uniqueName: true }),
  equipmentRun: described(EquipmentRun, { label: 'shared load', uniqueName: true }),
  product: described(Product, { label: 'product', uniqueName: true, notCopied: ['code', 'gtin'] }),
  itemConversion: described(ItemConversion, {
    label: 'unit conversion',
    toldBy: ['materialId', 'productId'],
    copiedWith: ['materialId', 'productId'],
  }),
  billLine: described(BillLine, {
    label: 'bill line',
    toldBy: ['materialId', 'componentId', 'productId'],
    copiedWith: ['productId'],
  }),
  recoveredScrap: described(RecoveredScrap, { label: 'by-product or scrap', ...ofProduct }),
  labourStep: described(LabourStep, { label: 'labour step', ...ofProduct }),
  equipmentUse: described(EquipmentUse, { label: 'equipment used', ...ofProduct }),
  otherCost: described(OtherCost, { label: 'other direct cost', ...ofProduct }),
  typedCost: described(TypedCost, { label: 'quick total', ...ofProduct }),
  candidateBatch: described(CandidateBatch, { label: 'batch size', ...ofProduct }),
  frozenCard: described(FrozenCard, { label: 'saved cost card', toldBy: ['productId'] }),
  frozenLine: described(FrozenLine, { label: 'line of a saved cost card', toldBy: ['label'] }),
  jointProcess: described(JointProcess, { label: 'joint batch', uniqueName: true }),
  jointOutput: described(JointOutput, { label: 'output of a joint batch', copiedWith: ['processId'] }),
  costPool: described(CostPool, { label: 'cost pool', uniqueName: true }),
  runningCost: described(RunningCost, { label: 'running cost', uniqueName: true }),
  costIncrease: described(CostIncrease, { label: 'new amount', ...ofRunningCost }),
  costStep: described(CostStep, { label: 'step of a running cost', ...ofRunningCost }),
  openSeason: described(OpenSeason, { label: 'opening season', uniqueName: true }),
  closedDay: described(ClosedDay, { label: 'closed day', toldBy: ['occasion', 'date'] }),
  activity: described(Activity, { label: 'activity', uniqueName: true }),
  poolActivity: described(PoolActivity, {
    label: 'share of an activity',
    toldBy: ['activityId'],
    copiedWith: ['activityId'],
  }),
  activityUse: described(ActivityUse, {
    label: 'use of an activity',
    toldBy: ['productId'],
    copiedWith: ['productId', 'activityId'],
  }),
  timeTerm: described(TimeTerm, { label: 'term of a time equation', copiedWith: ['activityId'] }),
  costingMethod: described(CostingMethod, { label: 'costing method', uniqueName: true, notCopied: ['role'] }),
  overheadActual: described(OverheadActual, { label: 'actual overhead', toldBy: ['month'] }),
  chargeOutRate: described(ChargeOutRate, { label: 'charge-out rate', uniqueName: true }),
  salesTaxRate: described(SalesTaxRate, { label: 'sales tax of a category', uniqueName: true }),
  carrierTable: described(CarrierTable, { label: 'carrier table', uniqueName: true }),
  carrierRate: described(CarrierRate, { label: 'carrier rate', toldBy: ['tableId'], copiedWith: ['tableId'] }),
  channel: described(Channel, { label: 'sales channel', uniqueName: true }),
  feeRule: described(FeeRule, { label: 'fee', copiedWith: ['channelId'] }),
  feeBand: described(FeeBand, { label: 'band of a fee', toldBy: ['ruleId'], copiedWith: ['ruleId'] }),
  sizeTier: described(SizeTier, { label: 'size of a fee', copiedWith: ['ruleId'] }),
  packingLine: described(PackingLine, {
    label: 'packing line',
    toldBy: ['materialId', 'gradeId', 'channelId'],
    copiedWith: ['channelId'],
  }),
  postageShare: described(PostageShare, { label: 'share of postage', toldBy: ['tableId'], copiedWith: ['channelId'] }),
  chainStep: described(ChainStep, { label: 'seller of a chain', copiedWith: ['channelId'] }),
  season: described(Season, { label: 'season', uniqueName: true }),
  plannedVolume: described(PlannedVolume, { label: 'planned volume', ...ofProduct }),
  plannedMonth: described(PlannedMonth, { label: 'planned month', toldBy: ['volumeId'], copiedWith: ['volumeId'] }),
  pricePoint: described(PricePoint, { label: 'price', toldBy: ['productId'] }),
  datedPrice: described(DatedPrice, { label: 'coming price', toldBy: ['pricePointId'] }),
  quantityBreak: described(QuantityBreak, { label: 'quantity price', toldBy: ['pricePointId'] }),
  quote: described(Quote, { label: 'quote', uniqueName: true, notCopied: ['state', 'quotedOn'] }),
  quoteOption: described(QuoteOption, {
    label: 'option of a quote',
    toldBy: ['productId'],
    copiedWith: ['quoteId'],
    notCopied: ['accepted', 'actualMaterials', 'actualHours', 'actualOther'],
  }),
  inputRange: described(InputRange, { label: 'range of an input', toldBy: ['input'] }),
  candidatePrice: described(CandidatePrice, { label: 'price to compare', toldBy: ['productId'] }),
  mixPlan: described(MixPlan, { label: 'mix plan', uniqueName: true }),
  mixProduct: described(MixProduct, {
    label: 'product of a mix plan',
    toldBy: ['productId', 'name'],
    copiedWith: ['planId'],
  }),
  mixResource: described(MixResource, {
    label: 'resource of a mix plan',
    toldBy: ['gradeId', 'equipmentId', 'runId', 'materialId', 'componentId', 'name'],
    copiedWith: ['planId'],
  }),
  mixUse: described(MixUse, { label: 'use of a resource', toldBy: ['mixProductId'], copiedWith: ['mixProductId'] }),
  mixTotal: described(MixTotal, { label: 'total of a mix plan', copiedWith: ['planId'] }),
  mixTotalProduct: described(MixTotalProduct, {
    label: 'product in a total',
    toldBy: ['mixProductId'],
    copiedWith: ['totalId'],
  }),
  mixPeriod: described(MixPeriod, { label: 'period of a mix plan', copiedWith: ['planId'] }),
  mixPeriodProduct: described(MixPeriodProduct, {
    label: 'product in a period',
    toldBy: ['mixProductId'],
    copiedWith: ['periodId'],
  }),
  mixPeriodResource: described(MixPeriodResource, {
    label: 'resource in a period',
    toldBy: ['resourceId'],
    copiedWith: ['periodId'],
  }),
  decision: described(Decision, { label: 'decision', uniqueName: true }),
  decisionCost: described(DecisionCost, { label: 'fixed cost of a decision', copiedWith: ['decisionId'] }),
  whatIf: described(WhatIf, { label: 'what-if', uniqueName: true }),
  whatIfChange: described(WhatIfChange, {
    label: 'change of a what-if',
    toldBy: ['whatIfId'],
    copiedWith: ['whatIfId'],
  }),
  stockMovement: described(StockMovement, { label: 'stock movement', toldBy: ['materialId'] }),
  stockPosition: described(StockPosition, { label: 'stock position', toldBy: ['materialId'], isDerived: true }),
} as const;

export type Kind = keyof typeof KINDS;
export type RowOf<K extends Kind> = InstanceType<(typeof KINDS)[K]['rowClass']>;
export type AnyRow = RowOf<Kind>;

export const KIND_NAMES = Object.keys(KINDS) as Kind[];

/** The kinds whose rows are kept: all but those that are worked out from others. */
export const STORED_KINDS: readonly Kind[] = KIND_NAMES.filter((kind) => !KINDS[kind].isDerived);

/** How a kind is called in a sentence. */
export const labelOfKind = (of: Kind): string => KINDS[of].label;

export function isKind(value: unknown): value is Kind {
  return typeof value === 'string' && Object.hasOwn(KINDS, value);
}

const FIELDS = Object.fromEntries(KIND_NAMES.map((name) => [name, declaredFields(KINDS[name].rowClass)])) as Record<
  Kind,
  readonly FieldSpec[]
>;

/** The fields of a kind of row, the id left out. */
export function fieldsOf(of: Kind): readonly FieldSpec[] {
  return FIELDS[of];
}

/** The kinds of which no two rows of a book bear the same name. */
export const UNIQUELY_NAMED: readonly Kind[] = KIND_NAMES.filter((kind) => KINDS[kind].uniqueName);

/** True where the values of a field are compared as they are; false where it holds text, of which `nameKey` is compared. */
export const comparesExactly = (kind: Kind, field: string): boolean =>
  fieldsOf(kind).find(({ name }) => name === field)?.type !== 'text';

/** Every field, in any kind, that holds a unit of measure. */
export const UNIT_FIELDS: readonly { readonly kind: Kind; readonly field: string }[] = KIND_NAMES.flatMap((kind) =>
  fieldsOf(kind)
    .filter(({ type }) => type === 'unit')
    .map(({ name }) => ({ kind, field: name })),
);

/** The kinds whose rows bear a name. */
export const NAMED_KINDS: readonly Kind[] = KIND_NAMES.filter((each) =>
  fieldsOf(each).some(({ name }) => name === 'name'),
);

/** A field of some kind that points to rows of another. */
export interface Referrer {
  readonly kind: Kind;
  readonly field: string;
  readonly goesWithTarget: boolean;
}

/** Every field, in any kind that is kept, that points to rows of the given kind. */
export function referrersTo(target: Kind): readonly Referrer[] {
  return STORED_KINDS.flatMap((kind) =>
    fieldsOf(kind)
      .filter((field) => field.target === target)
      .map((field) => ({ kind, field: field.name, goesWithTarget: field.goesWithTarget ?? false })),
  );
}
