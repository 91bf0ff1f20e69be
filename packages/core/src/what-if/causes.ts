import { fieldsOf, fieldValue, isOfField, type Kind, type Override, type StoredRow } from '@nuvar/book';
import type { RowsBelow } from '../sheet/index.js';

/** What is replaced together when one side is turned into the other, in the order in which that is done where no other is chosen. */
export const SUBSTITUTIONS = [
  'range',
  'volume',
  'material usage',
  'labour efficiency',
  'equipment time',
  'material price',
  'labour rate',
  'equipment rate',
  'other direct cost',
  'overhead',
  'price',
  'exchange',
  'tax',
  'fees',
  'delivery',
  'other',
] as const;
export type Substitution = (typeof SUBSTITUTIONS)[number];

/** What a difference of each kind of row is counted as, where its field says nothing else. */
const OF_KIND: Readonly<Record<Kind, Substitution>> = {
  settings: 'other',
  bookUnit: 'material usage',
  exchangeRate: 'exchange',
  taxRegistration: 'tax',
  supplier: 'material price',
  material: 'material price',
  supplierPrice: 'material price',
  priceBreak: 'material price',
  standardPrice: 'material price',
  customsProfile: 'material price',
  chargeRule: 'material price',
  ruleBracket: 'material price',
  shipment: 'material price',
  shipmentLine: 'material price',
  shipmentCharge: 'material price',
  chargedLine: 'material price',
  shipmentPayment: 'exchange',
  department: 'overhead',
  apportionmentBasis: 'overhead',
  departmentMeasure: 'overhead',
  serviceUse: 'overhead',
  labourGrade: 'labour rate',
  equipment: 'equipment rate',
  equipmentRun: 'equipment time',
  product: 'material usage',
  itemConversion: 'material usage',
  billLine: 'material usage',
  recoveredScrap: 'material usage',
  labourStep: 'labour efficiency',
  equipmentUse: 'equipment time',
  otherCost: 'other direct cost',
  typedCost: 'other direct cost',
  candidateBatch: 'other',
  frozenCard: 'other',
  frozenLine: 'other',
  jointProcess: 'other direct cost',
  jointOutput: 'other direct cost',
  costPool: 'overhead',
  runningCost: 'overhead',
  costIncrease: 'overhead',
  costStep: 'overhead',
  openSeason: 'overhead',
  closedDay: 'overhead',
  activity: 'overhead',
  poolActivity: 'overhead',
  activityUse: 'overhead',
  timeTerm: 'overhead',
  costingMethod: 'overhead',
  overheadActual: 'overhead',
  chargeOutRate: 'other',
  salesTaxRate: 'tax',
  carrierTable: 'delivery',
  carrierRate: 'delivery',
  channel: 'fees',
  feeRule: 'fees',
  feeBand: 'fees',
  sizeTier: 'fees',
  packingLine: 'delivery',
  postageShare: 'delivery',
  chainStep: 'fees',
  season: 'volume',
  plannedVolume: 'volume',
  plannedMonth: 'volume',
  pricePoint: 'price',
  datedPrice: 'price',
  quantityBreak: 'price',
  quote: 'other',
  quoteOption: 'other',
  inputRange: 'other',
  candidatePrice: 'other',
  mixPlan: 'other',
  mixProduct: 'other',
  mixResource: 'other',
  mixUse: 'other',
  mixTotal: 'other',
  mixTotalProduct: 'other',
  mixPeriod: 'other',
  mixPeriodProduct: 'other',
  mixPeriodResource: 'other',
  decision: 'other',
  decisionCost: 'other',
  whatIf: 'other',
  whatIfChange: 'other',
  stockMovement: 'material price',
  stockPosition: 'material price',
};

const named = (substitution: Substitution, ...fields: readonly string[]) =>
  fields.map((field) => [field, substitution] as const);

/** Fields that are counted as something else than the rest of their row. */
const OF_FIELD: Readonly<Partial<Record<Kind, Readonly<Record<string, Substitution>>>>> = {
  settings: Object.fromEntries([
    ...named('tax', 'salesTaxPercent', 'pricesIncludeTax'),
    ...named('material price', 'planningBasis', 'planningMonths', 'bufferPercent', 'stockMethod'),
    ...named('material usage', 'wholeBatches'),
    ...named('overhead', 'openDayRule', 'openDaysPerWeek', 'closedDaysPerYear', 'openDaysPerMonth'),
    ...named('overhead', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'),
    ...named('overhead', 'normalLabourHoursPerMonth', 'floorCostPerYear'),
    ...named('equipment rate', 'electricityPerKilowattHour'),
  ]),
  product: Object.fromEntries([
    ...named('range', 'archived', 'quoted'),
    ...named('volume', 'madePerMonth'),
    ...named('delivery', 'packedLength', 'packedWidth', 'packedHeight', 'packedWeight', 'packagingWeight'),
  ]),
  material: Object.fromEntries(named('material usage', 'sheetLength', 'sheetWidth', 'cutWidth')),
  labourGrade: Object.fromEntries(
    named('labour efficiency', 'productivePercent', 'holidayHoursPerYear', 'absenceHoursPerYear'),
  ),
  channel: Object.fromEntries(named('delivery', 'postageCharged')),
  pricePoint: Object.fromEntries([...named('tax', 'taxInside', 'taxPercent'), ...named('fees', 'returnsPercent')]),
};

/** The differences between two sides, by what they are counted as. */
export interface ByCause {
  /** Materials, machines and the like that are new, with what belongs to them: they cost nothing before something uses them. */
  readonly added: readonly Override[];
  readonly bySubstitution: ReadonlyMap<Substitution, readonly Override[]>;
  /** The same that are gone: nothing uses them any more by the time they go. */
  readonly removed: readonly Override[];
}

/** What the range is made of: each of these that is on one side only is a difference of range, with all that belongs to it. */
const RANGE: ReadonlySet<Kind> = new Set<Kind>(['product', 'channel', 'pricePoint']);

/**
 * Puts differences in the order of causes. A product, a channel or a price that is on one side only is range, with the volumes
 * and all rows that belong to it; a row that joins or leaves one that stays is counted as its kind says.
 */
export function byCause(one: RowsBelow, other: RowsBelow, differences: readonly Override[]): ByCause {
  const sides = { one, other };
  const whole = new Set(differences.filter((each) => !isOfField(each)).map(({ id }) => id));
  const priced = pricesOnOneSide(sides, differences);
  const added: Override[] = [];
  const removed: Override[] = [];
  const bySubstitution = new Map<Substitution, Override[]>();
  for (const each of differences) {
    const substitution = substitutionOf(sides, each, whole, priced);
    if (substitution === 'added') added.push(each);
    else if (substitution === 'removed') removed.push(each);
    else bySubstitution.set(substitution, [...(bySubstitution.get(substitution) ?? []), each]);
  }
  return { added, bySubstitution, removed };
}

interface Sides {
  readonly one: RowsBelow;
  readonly other: RowsBelow;
}

const rowOf = ({ one, other }: Sides, kind: Kind, id: string) =>
  (other.row(kind, id) ?? one.row(kind, id)) as StoredRow | undefined;

function substitutionOf(
  sides: Sides,
  override: Override,
  whole: ReadonlySet<string>,
  priced: ReadonlySet<string>,
): Substitution | 'added' | 'removed' {
  const { kind, id } = override;
  const row = rowOf(sides, kind, id);
  const heads = row === undefined ? [] : headsOf(sides, kind, row, whole);
  if (heads.some((head) => RANGE.has(head)) || isOfPrice(sides, kind, row, priced)) return 'range';
  if (isOfField(override)) return OF_FIELD[kind]?.[override.field] ?? OF_KIND[kind];
  if (heads.length > 0 && fieldsOf(kind).every(({ goesWithTarget }) => goesWithTarget !== true))
    return override.how === 'create' ? 'added' : 'removed';
  const owner = heads.find((head) => head !== kind);
  if (owner !== undefined) return override.how === 'create' ? 'added' : 'removed';
  return OF_KIND[kind];
}

/** The kinds of the rows on one side only that a row is, or belongs to. */
function headsOf(sides: Sides, kind: Kind, row: StoredRow, whole: ReadonlySet<string>): Kind[] {
  const owners = fieldsOf(kind)
    .filter(({ goesWithTarget }) => goesWithTarget === true)
    .flatMap(({ name, target }) => {
      const id = fieldValue(row, name);
      const owner = typeof id === 'string' ? rowOf(sides, target as Kind, id) : undefined;
      return owner === undefined ? [] : headsOf(sides, target as Kind, owner, whole);
    });
  return whole.has(row.id) ? [kind, ...owners] : owners;
}

/** A price on one side only takes the planned volume of its product and channel with it. */
function pricesOnOneSide(sides: Sides, differences: readonly Override[]): ReadonlySet<string> {
  return new Set(
    differences
      .filter((each) => !isOfField(each) && each.kind === 'pricePoint')
      .map(({ id }) => soldAs(rowOf(sides, 'pricePoint', id))),
  );
}

const soldAs = (row: StoredRow | undefined) =>
  row === undefined ? '' : `${String(fieldValue(row, 'productId'))}@${String(fieldValue(row, 'channelId'))}`;

function isOfPrice(sides: Sides, kind: Kind, row: StoredRow | undefined, priced: ReadonlySet<string>): boolean {
  if (row === undefined || priced.size === 0) return false;
  if (kind === 'plannedVolume') return priced.has(soldAs(row));
  return (
    kind === 'plannedMonth' &&
    isOfPrice(sides, 'plannedVolume', rowOf(sides, 'plannedVolume', String(fieldValue(row, 'volumeId'))), priced)
  );
}
