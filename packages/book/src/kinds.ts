import { declaredFields, type FieldSpec } from './fields/index.js';
import { RunningCost } from './overhead/index.js';
import { CandidatePrice } from './planning/index.js';
import { CandidateBatch, FrozenCard, FrozenLine } from './costing/index.js';
import {
  BillLine,
  Equipment,
  EquipmentRun,
  EquipmentUse,
  LabourGrade,
  LabourStep,
  OtherCost,
  Product,
  RecoveredScrap,
  TypedCost,
} from './production/index.js';
import {
  BookUnit,
  ExchangeRate,
  ItemConversion,
  Material,
  StandardPrice,
  Supplier,
  SupplierPrice,
} from './purchasing/index.js';
import { Channel, PricePoint } from './selling/index.js';
import { Settings } from './settings.js';

/**
 * The one registry of the kinds of row. The order is that of reading: whatever a row points to stands before it,
 * but for bill lines, which may point to any product.
 */
export const KINDS = {
  settings: Settings,
  bookUnit: BookUnit,
  exchangeRate: ExchangeRate,
  supplier: Supplier,
  material: Material,
  supplierPrice: SupplierPrice,
  standardPrice: StandardPrice,
  labourGrade: LabourGrade,
  equipment: Equipment,
  equipmentRun: EquipmentRun,
  product: Product,
  itemConversion: ItemConversion,
  billLine: BillLine,
  recoveredScrap: RecoveredScrap,
  labourStep: LabourStep,
  equipmentUse: EquipmentUse,
  otherCost: OtherCost,
  typedCost: TypedCost,
  candidateBatch: CandidateBatch,
  frozenCard: FrozenCard,
  frozenLine: FrozenLine,
  runningCost: RunningCost,
  channel: Channel,
  pricePoint: PricePoint,
  candidatePrice: CandidatePrice,
} as const;

export type Kind = keyof typeof KINDS;
export type RowOf<K extends Kind> = InstanceType<(typeof KINDS)[K]>;
export type AnyRow = RowOf<Kind>;

export const KIND_NAMES = Object.keys(KINDS) as Kind[];

/** How each kind is called in a sentence. */
export const KIND_LABELS: Record<Kind, string> = {
  settings: 'settings of the book',
  bookUnit: 'unit of the book',
  exchangeRate: 'exchange rate',
  supplier: 'supplier',
  material: 'material',
  supplierPrice: 'supplier price',
  standardPrice: 'standard price',
  labourGrade: 'labour grade',
  equipment: 'piece of equipment',
  equipmentRun: 'shared run',
  product: 'product',
  itemConversion: 'conversion',
  billLine: 'bill line',
  recoveredScrap: 'recovered scrap',
  labourStep: 'labour step',
  equipmentUse: 'use of equipment',
  otherCost: 'other cost',
  typedCost: 'typed cost',
  candidateBatch: 'batch size',
  frozenCard: 'frozen card',
  frozenLine: 'line of a frozen card',
  runningCost: 'running cost',
  channel: 'channel',
  pricePoint: 'price',
  candidatePrice: 'candidate price',
};

/** Kinds in which two rows of a book cannot bear the same name, capital letters or not. */
export const KINDS_WITH_UNIQUE_NAMES: readonly Kind[] = [
  'bookUnit',
  'supplier',
  'material',
  'labourGrade',
  'equipment',
  'equipmentRun',
  'product',
  'runningCost',
  'channel',
];

export function isKind(value: unknown): value is Kind {
  return typeof value === 'string' && Object.hasOwn(KINDS, value);
}

const FIELDS = Object.fromEntries(KIND_NAMES.map((kind) => [kind, declaredFields(KINDS[kind])])) as Record<
  Kind,
  readonly FieldSpec[]
>;

/** The fields of a kind of row, the id left out. */
export function fieldsOf(kind: Kind): readonly FieldSpec[] {
  return FIELDS[kind];
}

/** Every field, in any kind, that holds a unit of measure. */
export const UNIT_FIELDS: readonly { readonly kind: Kind; readonly field: string }[] = KIND_NAMES.flatMap((kind) =>
  fieldsOf(kind)
    .filter(({ type }) => type === 'unit')
    .map(({ name }) => ({ kind, field: name })),
);

/** A field of some kind that points to rows of another. */
export interface Referrer {
  readonly kind: Kind;
  readonly field: string;
  readonly goesWithTarget: boolean;
}

/** Every field, in any kind, that points to rows of the given kind. */
export function referrersTo(target: Kind): readonly Referrer[] {
  return KIND_NAMES.flatMap((kind) =>
    fieldsOf(kind)
      .filter((field) => field.target === target)
      .map((field) => ({ kind, field: field.name, goesWithTarget: field.goesWithTarget ?? false })),
  );
}
