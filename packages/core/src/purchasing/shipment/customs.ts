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
import { PERCENT, unit } from '../../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { chargeShares } from './charge-shares.js';
import { dutyOn, type DutyTerms, dutyTerms, valueWithoutDuty } from './duty.js';
import { ADDITIONS, CHARGE_WORDS, INLAND, isInSellersPrice, TO_ENTRY, TO_EXPORT } from './delivery.js';
import { lineMeasures, lineName, linesOf } from './line-measures.js';
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
  /** What it is called in a sentence. */
  readonly subject: string;
}

/**
 * Customs value, duty and import tax of a line in the currency of the book.
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
  work(sheet, lineId) {
    const line = sheet.row('shipmentLine', lineId);
    const shipment = line && sheet.row('shipment', line.shipmentId);
    const profile = shipment && sheet.row('customsProfile', shipment.customsProfileId ?? '');
    if (line === undefined || shipment === undefined || profile === undefined) return NO_CUSTOMS;
    const subject = lineName(sheet, line);
    const declared: Declared = { sheet, shipment, profile, line, subject };
    const terms = dutyTerms(sheet, line, subject);
    const taxRate = sheet.input('customsProfile', profile, 'importTaxPercent', {
      name: 'Import tax rate',
      subject: profile.name,
      unit: PERCENT,
    });
    const customsValue = customsValueOf(declared, terms);
    const duty = inMinorUnits(sheet, dutyOn(sheet, terms, customsValue, subject));
    const taxBase = taxBaseOf(declared, customsValue, duty);
    const importTax = inMinorUnits(sheet, percentOf({ name: 'Import tax', subject }, taxRate, taxBase));
    return { customsValue, duty, taxBase, importTax };
  },
};

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
  const { rate } = sheet.read(shipmentGoods, shipment.id);
  if (rate === null) return value;
  const atCustoms =
    shipment.customsRate === null
      ? rate
      : sheet.input('shipment', shipment, 'customsRate', {
          name: 'Customs rate',
          subject: shipment.name,
          unit: money(sheet).per(unit(shipment.currency)),
        });
  return multiplied({ name: 'Value at customs', subject }, value, atCustoms);
}

/** The shares of a line in charges of some types: those that the buyer pays, or those that the price holds. */
function sharesOf({ sheet, line }: Declared, types: readonly ChargeType[], inPrice: boolean): Figure[] {
  return chargesOf(sheet, line.shipmentId)
    .filter((charge) => charge.inPrice === inPrice && types.includes(charge.type))
    .flatMap(({ id }) => sheet.read(chargeShares, id)[line.id] ?? []);
}

function customsValueOf(declared: Declared, terms: DutyTerms): Figure {
  const { sheet, shipment, profile, subject } = declared;
  const isCif = profile.valueKind === 'CIF';
  const inland: readonly ChargeType[] = [...INLAND, 'import tax'];
  const within = [...TO_EXPORT, ...ADDITIONS, ...(isCif ? TO_ENTRY : [])];
  const beyond = isCif ? inland : [...TO_ENTRY, ...inland];
  const called = (name: string) => ({ name, subject });
  const invoice = invoiceValue(declared);
  const added = sharesOf(declared, within, false);
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
    ...(profile.valueKind === 'CIF' ? [] : ['freight' as const]),
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
  return sum({ name: 'Import tax base', subject }, money(sheet), [
    customsValue,
    ...(profile.taxOnDuty ? (stated.length > 0 ? stated : [duty]) : []),
    ...(profile.taxOnFreight && isFob ? both(['freight']) : []),
    ...(profile.taxOnInsurance && isFob ? both(['insurance']) : []),
    ...(profile.taxOnInland ? both(INLAND.filter((type) => type !== 'handling')) : []),
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
 * over the lines by customs value.
 */
export const entryFee: Calculation<EntryFee> = {
  name: 'entryFee',
  meanings: { fee: 'What the customs take for the entry of the shipment.' },
  work(sheet, shipmentId) {
    const shipment = sheet.row('shipment', shipmentId);
    const profile = shipment && sheet.row('customsProfile', shipment.customsProfileId ?? '');
    if (shipment === undefined || profile === undefined || profile.entryFeePercent === null)
      return { fee: null, ofLines: {} };
    const subject = shipment.name;
    const lines = linesOf(sheet, shipmentId);
    const values = lines.flatMap(({ id }) => sheet.read(lineCustoms, id).customsValue ?? []);
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
