import type { QuoteState, RowOf } from '@nuvar/book';
import { type Figure, isWhole } from '../../figure/index.js';
import { ZERO } from '../../number/index.js';
import { quotedActual, quotedOption, quotedPlan } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

const FIGURES = [
  'unitCost',
  'cost',
  'contingency',
  'total',
  'suggested',
  'price',
  'perUnit',
  'paid',
  'profit',
  'margin',
  'contribution',
] as const;
const ACTUALS = [
  'materialsPlanned',
  'hoursPlanned',
  'otherPlanned',
  'materialsMore',
  'hoursMore',
  'otherMore',
  'profit',
] as const;

/** An option of a quote as its page shows it. */
export interface QuoteOptionView extends Readonly<Record<(typeof FIGURES)[number], FigureView>> {
  readonly id: string;
  readonly averageTime: FigureView | null;
  readonly labourSaved: FigureView | null;
  /** What the job would cost more today than when the quote was sent; null for a draft, and where nothing has moved. */
  readonly costMoved: FigureView | null;
  /** What is kept of the option when the quote is sent; null while its price or its cost lacks something. */
  readonly sending: SentFields | null;
  readonly actual: Readonly<Record<(typeof ACTUALS)[number], FigureView>>;
}

/** The options of a quote, in their order. */
export function quoteView(evaluation: Evaluation, quoteId: string): QuoteOptionView[] {
  return evaluation.sheet.rowsOf('quoteOption', 'quoteId', quoteId).map(({ id }) => {
    const { averageTime, labourSaved, costMoved } = evaluation.read(quotedOption, id);
    const maybe = (member: 'averageTime' | 'labourSaved' | 'costMoved', is: unknown) =>
      is === null ? null : shown(evaluation, quotedOption, id, member);
    return {
      ...shownAll(evaluation, quotedOption, id, FIGURES),
      id,
      averageTime: maybe('averageTime', averageTime),
      labourSaved: maybe('labourSaved', labourSaved),
      costMoved: maybe('costMoved', costMoved),
      sending: sentFields(evaluation, id),
      actual: shownAll(evaluation, quotedActual, id, ACTUALS),
    };
  });
}

/** What is kept of an option when its quote is sent, as it is stored. */
export type SentFields = Readonly<
  Pick<
    RowOf<'quoteOption'>,
    | 'sentPrice'
    | 'sentCost'
    | 'sentContingency'
    | 'sentVariableCost'
    | 'sentMaterials'
    | 'sentLabour'
    | 'sentHours'
    | 'sentOther'
    | 'sentTaxPercent'
    | 'sentName'
    | 'sentNote'
    | 'sentUnit'
  >
>;

/** Decimals that a row keeps. */
const STORED_DECIMALS = 12;

function sentFields(evaluation: Evaluation, optionId: string): SentFields | null {
  const option = evaluation.sheet.row('quoteOption', optionId);
  const product = option && evaluation.sheet.row('product', option.productId);
  const { price, cost, contingency, variableCost, tax } = evaluation.read(quotedOption, optionId);
  const { materials, labour, hours, other } = evaluation.read(quotedPlan, optionId);
  const all = [price, cost, contingency, variableCost, tax, materials, labour, hours, other];
  if (product === undefined || !all.every(isWhole)) return null;
  const text = ({ amount }: Figure) => (amount ?? ZERO).toDecimalPlaces(STORED_DECIMALS).toFixed();
  return {
    sentPrice: text(price),
    sentCost: text(cost),
    sentContingency: text(contingency),
    sentVariableCost: text(variableCost),
    sentMaterials: text(materials),
    sentLabour: text(labour),
    sentHours: text(hours),
    sentOther: text(other),
    sentTaxPercent: text(tax),
    sentName: product.name,
    sentNote: product.note,
    sentUnit: product.outputUnit,
  };
}

/** A quote as a document: what the customer is to see. */
export interface QuoteSheetView {
  readonly book: string;
  readonly currency: string;
  readonly locale: string;
  readonly asOf: string;
  readonly letterhead: string;
  readonly name: string;
  readonly customer: string;
  readonly state: QuoteState;
  readonly quotedOn: string | null;
  readonly validUntil: string | null;
  readonly opening: string;
  readonly closing: string;
  readonly options: readonly {
    readonly name: string;
    readonly note: string;
    readonly units: string;
    readonly unit: string;
    readonly perUnit: string | null;
    readonly price: string | null;
    readonly taxPercent: string | null;
    readonly paid: string | null;
  }[];
  readonly missing: readonly string[];
}

/** A quote for a document; null where there is none, or none with an option. */
export function quoteSheetView(evaluation: Evaluation, quoteId: string): QuoteSheetView | null {
  const { sheet } = evaluation;
  const quote = sheet.row('quote', quoteId);
  const options = sheet.rowsOf('quoteOption', 'quoteId', quoteId);
  if (quote === undefined || options.length === 0) return null;
  const { currency, locale, name: book, letterhead } = sheet.settings();
  const figures = options.map((option) => ({ option, of: evaluation.read(quotedOption, option.id) }));
  const text = (figure: { readonly amount: { toFixed(): string } | null }) => figure.amount?.toFixed() ?? null;
  return {
    book,
    currency,
    locale,
    letterhead,
    asOf: sheet.asOf,
    name: quote.name,
    customer: quote.customer,
    state: quote.state,
    quotedOn: quote.quotedOn,
    validUntil: quote.validUntil,
    opening: quote.opening,
    closing: quote.closing,
    options: figures.map(({ option, of }) => {
      const product = sheet.row('product', option.productId);
      const said =
        quote.state === 'draft' || option.sentPrice === null
          ? { name: product?.name ?? '', note: product?.note ?? '', unit: product?.outputUnit ?? '' }
          : { name: option.sentName, note: option.sentNote, unit: option.sentUnit };
      return {
        ...said,
        units: option.units,
        perUnit: text(of.perUnit),
        price: text(of.price),
        taxPercent: text(of.tax),
        paid: text(of.paid),
      };
    }),
    missing: [
      ...new Set(shown(evaluation, quotedOption, options[0]?.id ?? '', 'price').gaps.map(({ sentence }) => sentence)),
    ],
  };
}
