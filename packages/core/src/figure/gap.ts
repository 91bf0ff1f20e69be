import type { Kind } from '@nuvar/book';

/**
 * What a figure still lacks, or a result that is stated in words because no number says it. `{name}` stands for a value
 * of the gap. docs/figures.md lists them; a test keeps the two in step.
 */
export const GAPS = {
  'no-price': 'no price yet for {subject}',
  'no-standard-price': 'no standard price set yet for {subject}',
  'no-exchange-rate': 'no exchange rate yet from {currency} to {bookCurrency} on {day}',
  'no-quantity': 'no quantity yet of {item} in {subject}',
  'no-conversion': 'no way yet from {from} to {to} for {item} in {subject}',
  'no-pack-conversion':
    '{subject} is bought by the {from} and costed by the {to}, and there is no way yet from one to the other',
  'no-conversion-amount': 'how many {equalUnit} are {quantity} {unit} of {subject}?',
  'not-linked': '{subject} takes "{text}", which is not linked to a material yet',
  'no-grade': 'no labour grade chosen yet for "{step}" of {subject}',
  'no-wage': 'no wage yet for {subject}',
  'no-time': 'no time yet for "{step}" of {subject}',
  'no-typed-hours': 'how many hours of work are in one {subject}?',
  'no-tariff': 'no price of electricity yet, which {subject} needs',
  'no-equipment-cost': 'nothing is said yet about what an hour of {subject} costs',
  'no-purchase-price': 'what did {subject} cost when it was bought? Its life is known, so its wear can be counted',
  'no-life': 'how many hours will {subject} last? What it cost is known, so its wear can be counted',
  'residual-above-price': '{subject} is worth more at the end of its life than it cost',
  'no-machine': 'no machine chosen yet for {subject}',
  'no-run-size': 'no hours or space yet for {subject}',
  'no-use-amount': 'no time or space yet on {machine} for {subject}',
  'no-scrap': 'no quantity or worth yet of what is won back: {subject}',
  'frozen-in-other-currency': '{subject} was frozen in {currency}, and the book counts in another currency now',
  'other-output-unit':
    '{subject} is costed by the {unit} and {other} by the {otherUnit}, so that they cannot stand beside each other',
  'no-batch-size': 'no batch size typed yet',
  'no-cost-amount': 'no amount yet for "{cost}" of {subject}',
  'no-running-amount': 'no amount yet for {subject}',
  'no-months': 'over how many months is {subject} spread?',
  'no-start': 'from which day does {subject} count?',
  'nothing-in-it': 'nothing is said yet about what goes into {subject}',
  'component-loop': '{subject} contains itself',
  'row-missing': 'something that {subject} is made of is missing',
  'no-labour-hours': 'no labour hours yet by which to share out the running costs',
  'no-planned-units': 'no planned units per month yet for {subject}',
  'no-selling-price': 'no price set yet for {subject}',
  'no-candidate-price': 'no candidate price typed yet',
  'no-channel': 'no place to sell yet',
  'no-target': 'no target typed yet for {subject}',
  'price-is-typed': 'the price of {subject} is typed, so none is suggested',
  'divided-by-nothing': '{name} cannot be worked out while {divisor} is zero',
  'never-breaks-even': 'never breaks even: nothing is left of a sale to cover the fixed cost',
  'loses-each-sale': 'never breaks even: each sale loses {loss}',
  'breaks-even-at-any-volume': 'breaks even at any volume: there is no fixed cost to cover, and a sale leaves nothing',
  'target-out-of-reach':
    'no price reaches this: as the price grows, the margin comes near {limit} % and never gets there',
  'any-price-reaches-target': 'any price reaches this target, so none is suggested',
  'discount-leaves-nothing': 'no price reaches this: the discount leaves nothing of any price',
  'discount-eats-all': 'no number of units earns the same: at this discount nothing is left of a sale',
} as const;

export type GapCode = keyof typeof GAPS;

/** The gaps that are results in themselves: nothing has to be filled in. */
const STATED: ReadonlySet<GapCode> = new Set<GapCode>([
  'never-breaks-even',
  'loses-each-sale',
  'breaks-even-at-any-volume',
  'target-out-of-reach',
  'any-price-reaches-target',
  'discount-leaves-nothing',
  'discount-eats-all',
  'price-is-typed',
]);

/** The place that would settle a gap. */
export interface Place {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
}

export interface Gap {
  readonly code: GapCode;
  readonly place: Place | null;
  readonly values: Readonly<Record<string, string>>;
}

export function gap(code: GapCode, place: Place | null, values: Record<string, string> = {}): Gap {
  return { code, place, values };
}

/** True where the gap is a result in words rather than something to fill in. */
export function isStated(each: Gap): boolean {
  return STATED.has(each.code);
}

/** The sentence of a gap, made last. */
export function gapSentence(each: Gap): string {
  return GAPS[each.code].replace(/\{(\w+)\}/g, (_all, name: string) => each.values[name] ?? '?');
}

const identity = (each: Gap) => `${each.code}|${each.place?.id ?? ''}|${each.place?.field ?? ''}`;

export const NO_GAPS: readonly Gap[] = [];

/** All gaps of the parts, each once, in the order in which they were met. Mostly there are none, or those of one part. */
export function unitedGaps(parts: readonly { readonly gaps: readonly Gap[] }[]): readonly Gap[] {
  let gaps = NO_GAPS;
  for (const part of parts) {
    if (part.gaps.length === 0 || part.gaps === gaps) continue;
    gaps = gaps.length === 0 ? part.gaps : each(gaps.concat(part.gaps));
  }
  return gaps;
}

const each = (gaps: readonly Gap[]) => [...new Map(gaps.map((one) => [identity(one), one])).values()];
