import type { ChargeType, RowOf } from '@nuvar/book';
import {
  apportionedShares,
  choice,
  difference,
  type Figure,
  largest,
  missing,
  multiplied,
  percentOf,
  rounded,
  smallest,
  sum,
} from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { decimal } from '../../number/index.js';
import { PERCENT } from '../../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { chargeShares } from './charge-shares.js';
import { dutyOn, type DutyTerms, dutyTerms, valueWithoutDuty } from './duty.js';
import { ADDITIONS, CHARGE_WORDS, INLAND, isInSellersPrice, TO_ENTRY, TO_EXPORT } from './delivery.js';
import { customsRate } from './exchange.js';
import { lineMeasures, lineName, linesOf } from './line-measures.js';
import { missingCharge, missingCharges } from './missing-charges.js';
import { chargesOf } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';

type Line = RowOf<'shipmentLine'>;
type Shipment = RowOf<'shipment'>;
type Profile = RowOf<'customsProfile'>;

/** What the customs take of a line, by the profile of its shipment; null throughout without a profile. */
export interface LineCustoms {
  readonly customsValue: Figure | null;
  readonly duty: Figure | null;
  readonly taxBase: Figure | null;
  readonly importTax: Figure | null;
}

const NO_CUSTOMS: LineCustoms = { customsValue: null, duty: null, taxBase: null, importTax: null };

/** A line as it comes to the customs. */
interface Declared {
  readonly sheet: Sheet;
  readonly shipment: Shipment;
  readonly profile: Profile;
  readonly line: Line;
  /** True where billed charges count by their estimates. */
  readonly isEstimated: boolean;
  /** What it is called in a sentence. */
  readonly subject: string;
}

/**
 * Customs value, duty and import tax of a line in the currency of the book; the id is that of the line, or "line@estimate"
 * for what they would be by the estimates of billed charges. What was paid ahead moves none of them: they take the rate of
 * the customs, else the shipment's own. Tax on a charge is no part of a customs value. Once posted, duty and import tax are
 * those that were posted.
 *
 * - Customs value: the invoice, with the carriage that the buyer pays to the place of entry (CIF) or of export (FOB), less
 *   what the price holds beyond it. Out of a price that holds duty (DDP) the duty is taken (`valueWithoutDuty`).
 * - Duty by its form (`dutyOn`), rounded to minor units.
 * - Import tax base = customs value, and by the ticks of the profile duty, freight, insurance and inland costs that the
 *   customs value does not hold already.
 *
 * Gaps: a part of the price that has to be taken off and is not stated; what the shares of charges lack. Source: WTO
 * Valuation Agreement, articles 1 and 8; the profile says what a country makes of it.
 */
export const lineCustoms: Calculation<LineCustoms> = {
  name: 'lineCustoms',
  meanings: {
    customsValue: 'The value of the line on which the customs take duty.',
    duty: 'Duty on the line.',
    taxBase: 'What the import tax on the line is taken of.',
    importTax: 'Import tax on the line.',
  },
  work(sheet, id) {
    const [lineId = '', asked] = id.split('@');
    const line = sheet.row('shipmentLine', lineId);
    const shipment = line && sheet.row('shipment', line.shipmentId);
    const profile = shipment && sheet.row('customsProfile', shipment.customsProfileId ?? '');
    if (line === undefined || shipment === undefined || profile === undefined) return NO_CUSTOMS;
    const subject = lineName(sheet, line);
    const declared: Declared = { sheet, shipment, profile, line, isEstimated: asked === 'estimate', subject };
    const terms = dutyTerms(sheet, line, subject);
    const taxRate = sheet.input('customsProfile', profile, 'importTaxPercent', {
      name: 'Import tax rate',
      subject: profile.name,
      unit: PERCENT,
    });
    const customsValue = customsValueOf(declared, terms);
    const duty =
      asPosted(sheet, line, 'postedDuty', 'Duty', subject) ??
      inMinorUnits(sheet, dutyOn(sheet, terms, customsValue, subject));
    const taxBase = taxBaseOf(declared, customsValue, duty);
    const importTax =
      asPosted(sheet, line, 'postedImportTax', 'Import tax', subject) ??
      inMinorUnits(sheet, percentOf({ name: 'Import tax', subject }, taxRate, taxBase));
    return { customsValue, duty, taxBase, importTax };
  },
};

/** What the customs took of a line when it was posted; null where nothing of it was. */
function asPosted(
  sheet: Sheet,
  line: Line,
  field: 'postedDuty' | 'postedImportTax' | 'postedEntryFee',
  name: string,
  subject: string,
): Figure | null {
  return line[field] === null
    ? null
    : sheet.input('shipmentLine', line, field, { name: `${name} as posted`, subject, unit: money(sheet) });
}

const inMinorUnits = (sheet: Sheet, figure: Figure): Figure =>
  rounded(
    { name: figure.name, subject: figure.subject },
    figure,
    minorUnit(bookCurrency(sheet)),
    sheet.settings().rounding,
  );

/** The value of a line at the rate of the customs, where they publish one. */
function invoiceValue({ sheet, shipment, line, subject }: Declared): Figure {
  const { value } = sheet.read(lineMeasures, line.id);
  const { ownRate } = sheet.read(shipmentGoods, shipment.id);
  if (ownRate === null) return value;
  const atCustoms = customsRate(sheet, shipment, shipment.currency) ?? ownRate;
  return multiplied({ name: 'Value at customs', subject }, value, atCustoms);
}

/** The shares of a line in charges of some types: those that the buyer pays, or those that the price holds. */
function sharesOf({ sheet, line, isEstimated }: Declared, types: readonly ChargeType[], inPrice: boolean): Figure[] {
  return chargesOf(sheet, line.shipmentId)
    .filter((charge) => charge.inPrice === inPrice && types.includes(charge.type))
    .flatMap(
      ({ id }) => sheet.read(chargeShares, `${id}@${isEstimated ? 'estimate at customs' : 'customs'}`)[line.id] ?? [],
    );
}

function customsValueOf(declared: Declared, terms: DutyTerms): Figure {
  const { sheet, shipment, profile, subject } = declared;
  const isCif = profile.valueKind === 'CIF';
  const inland: readonly ChargeType[] = [...INLAND, 'import tax'];
  const within = [...TO_EXPORT, ...ADDITIONS, ...(isCif ? TO_ENTRY : [])];
  const beyond = isCif ? inland : [...TO_ENTRY, ...inland];
  const called = (name: string) => ({ name, subject });
  const invoice = invoiceValue(declared);
  const asked = missingCharges(sheet, shipment.id).filter((type) => within.includes(type));
  const added = [
    ...sharesOf(declared, within, false),
    ...asked.map((type) => missingCharge(sheet, shipment.id, type, subject)),
  ];
  const takenOff = [...sharesOf(declared, beyond, true), ...notStated(declared)];
  const whole = added.length === 0 ? invoice : sum(called('With carriage'), money(sheet), [invoice, ...added]);
  const off = sum(called('Beyond the customs value'), money(sheet), takenOff);
  const left = takenOff.length === 0 ? whole : difference(called('Without what lies beyond'), whole, off);
  if (shipment.deliveryTerm === 'DDP') return valueWithoutDuty(terms, left, subject);
  return choice(called('Customs value'), left, isCif ? 'to the place of entry (CIF)' : 'to the place of export (FOB)');
}

/** Parts of the seller's price that lie beyond the customs value and of which nothing is stated. */
function notStated({ sheet, shipment, profile, subject }: Declared): Figure[] {
  const needed: readonly ChargeType[] = [
    'trucking',
    'customs clearance',
    ...(profile.valueKind === 'CIF' ? [] : TO_ENTRY),
    ...(decimal(profile.importTaxPercent).isZero() ? [] : ['import tax' as const]),
  ];
  const stated = new Set(
    chargesOf(sheet, shipment.id)
      .filter(({ inPrice }) => inPrice)
      .map(({ type }) => type),
  );
  return needed
    .filter((type) => isInSellersPrice(shipment.deliveryTerm, type) && !stated.has(type))
    .map((type) => {
      const place = { kind: 'shipment', id: shipment.id, field: `charge ${type}` } as const;
      const values = { charge: CHARGE_WORDS[type], shipment: shipment.name };
      return missing(
        { name: CHARGE_WORDS[type], subject, unit: money(sheet) },
        purchasingGap('part-of-price-not-stated', place, values),
      );
    });
}

function taxBaseOf(declared: Declared, customsValue: Figure, duty: Figure): Figure {
  const { sheet, profile, subject } = declared;
  const both = (types: readonly ChargeType[]) => [false, true].flatMap((inPrice) => sharesOf(declared, types, inPrice));
  const isFob = profile.valueKind === 'FOB';
  const stated = sharesOf(declared, ['duty'], false);
  const within: readonly ChargeType[] = [
    ...(profile.taxOnFreight && isFob ? ['freight' as const] : []),
    ...(profile.taxOnInsurance && isFob ? ['insurance' as const] : []),
    ...(profile.taxOnInland ? INLAND.filter((type) => type !== 'handling') : []),
  ];
  const carriage = TO_ENTRY.filter((type) => within.includes(type));
  const asked = missingCharges(sheet, declared.shipment.id).filter((type) => carriage.includes(type));
  return sum({ name: 'Import tax base', subject }, money(sheet), [
    customsValue,
    ...(profile.taxOnDuty ? (stated.length > 0 ? stated : [duty]) : []),
    ...both(within),
    ...asked.map((type) => missingCharge(sheet, declared.shipment.id, type, subject)),
  ]);
}

/** The fee that the customs take for the entry of a whole shipment, and what each line bears of it. */
export interface EntryFee {
  /** Null where the profile has none. */
  readonly fee: Figure | null;
  readonly ofLines: Readonly<Record<string, Figure>>;
}

/**
 * Entry fee = customs value of the shipment x rate, at least the smallest and at most the largest, in minor units, shared
 * over the lines by customs value; once posted, as it was posted. The id is that of the shipment, or "shipment@estimate" for
 * what it would be by the estimates of billed charges.
 */
export const entryFee: Calculation<EntryFee> = {
  name: 'entryFee',
  meanings: { fee: 'What the customs take for the entry of the shipment.' },
  work(sheet, id) {
    const [shipmentId = '', asked] = id.split('@');
    const shipment = sheet.row('shipment', shipmentId);
    const lines = linesOf(sheet, shipmentId);
    if (shipment !== undefined && lines.some(({ postedEntryFee }) => postedEntryFee !== null))
      return postedFee(sheet, shipment, lines);
    const profile = shipment && sheet.row('customsProfile', shipment.customsProfileId ?? '');
    if (shipment === undefined || profile === undefined || profile.entryFeePercent === null)
      return { fee: null, ofLines: {} };
    const subject = shipment.name;
    const suffix = asked === undefined ? '' : `@${asked}`;
    const values = lines.flatMap((line) => sheet.read(lineCustoms, `${line.id}${suffix}`).customsValue ?? []);
    const total = sum({ name: 'Customs value', subject }, money(sheet), values);
    const called = { name: 'Entry fee', subject };
    const input = (
      field: 'entryFeePercent' | 'entryFeeMinimum' | 'entryFeeMaximum',
      name: string,
      of: Figure['unit'],
    ) => sheet.input('customsProfile', profile, field, { name, subject: profile.name, unit: of });
    const byRate = percentOf(called, input('entryFeePercent', 'Entry fee rate', PERCENT), total);
    const raised =
      profile.entryFeeMinimum === null
        ? byRate
        : largest(
            called,
            [byRate, input('entryFeeMinimum', 'Smallest entry fee', money(sheet))],
            'at least the smallest fee',
          );
    const capped =
      profile.entryFeeMaximum === null
        ? raised
        : smallest(
            called,
            [raised, input('entryFeeMaximum', 'Largest entry fee', money(sheet))],
            'at most the largest fee',
          );
    const fee = inMinorUnits(sheet, capped);
    const place = { kind: 'shipment', id: shipmentId, field: 'customsProfileId' } as const;
    const shares = apportionedShares(
      fee,
      lines.map((line, index) => ({
        called: { name: 'Share of the entry fee', subject: lineName(sheet, line) },
        basis: values[index] as Figure,
      })),
      total,
      minorUnit(bookCurrency(sheet)),
      purchasingGap('basis-not-positive', place, {
        charge: 'the entry fee',
        basis: 'customs value',
        lines: lines.map((line) => lineName(sheet, line)).join(', '),
      }),
    );
    return { fee, ofLines: Object.fromEntries(lines.map(({ id }, index) => [id, shares[index] as Figure])) };
  },
};

function postedFee(sheet: Sheet, shipment: Shipment, lines: readonly Line[]): EntryFee {
  const ofLines = lines.flatMap((line) => {
    const posted = asPosted(sheet, line, 'postedEntryFee', 'Entry fee', lineName(sheet, line));
    return posted === null ? [] : [[line.id, posted] as const];
  });
  const parts = ofLines.map(([, posted]) => posted);
  return {
    fee: sum({ name: 'Entry fee as posted', subject: shipment.name }, money(sheet), parts),
    ofLines: Object.fromEntries(ofLines),
  };
}
