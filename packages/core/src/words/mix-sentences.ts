import type { MixGoal } from '@nuvar/book';
import type { MixAnswer, MixLimit, MixModel, ModelProduct, ModelResource } from '../planning/index.js';
import type { MixScheduleFault } from '../views/planning/mix-schedule-view.js';
import type { MixOutcomeView } from '../views/planning/mix-view.js';

/** How whoever shows the sentences writes numbers: as the country of the book does. */
export interface MixWriting {
  /** A quantity, a use, a percentage. */
  readonly amount: (value: number) => string;
  /** Money, without its currency; with the digits of `moneyDigits`. */
  readonly money: (value: number) => string;
  readonly currency: string;
}

/** To how many digits money is written in a sentence: those of its currency, and of less than one so many that two of them say something. */
export function moneyDigits(value: number, least = 2): number {
  const size = Math.abs(value);
  if (size === 0 || size >= 1) return least;
  const digits = Math.min(9, 1 - Math.floor(Math.log10(size)));
  // 0.050 is 0.05.
  return Math.max(least, Number(value.toFixed(digits)) === Number(value.toFixed(digits - 1)) ? digits - 1 : digits);
}

/** What a mix plan is after, in words. */
export const MIX_GOAL_WORDS: Readonly<Record<MixGoal, string>> = {
  contribution: 'most contribution',
  'profit after set-up': 'most profit after set-up',
  'operating profit': 'most operating profit, after fixed costs',
  revenue: 'most net revenue',
  units: 'most units',
  'least cost': 'least cost for the demand',
};

/** What a mix comes to, in the order of screen and report. */
export const MIX_OUTCOME_WORDS = [
  ['contribution', 'Contribution'],
  ['setUps', 'Set-ups'],
  ['extra', 'Extra above its normal price'],
  ['holding', 'Stock holding cost'],
  ['profit', 'Left after set-ups and extra'],
  ['operatingProfit', 'Left after fixed costs too'],
  ['revenue', 'Net revenue'],
  ['units', 'Units'],
] as const satisfies readonly (readonly [keyof MixOutcomeView['outcome'], string])[];

const ONE: Readonly<Record<string, string>> = { h: 'hour', each: 'piece', kg: 'kilogram', g: 'gram' };
const MANY: Readonly<Record<string, string>> = { each: 'pieces', place: 'places' };

/** One of a unit in words: "hour", "place", "kilogram". */
export const oneInWords = (unit: string): string => ONE[unit] ?? unit;
/** Many of a unit in words: "h", "places", "kg". */
export const manyInWords = (unit: string): string => MANY[unit] ?? unit;

/** So many of a unit in words: "1 piece", "3.5 h". */
const counted = (many: number, unit: string, amount: MixWriting['amount']): string =>
  `${amount(many)} ${many === 1 && unit === 'each' ? oneInWords(unit) : manyInWords(unit)}`;

/** Names in a sentence: "bowls, mugs and platters". */
export function listed(names: readonly string[]): string {
  const last = names.at(-1) ?? '';
  return names.length < 2 ? last : `${names.slice(0, -1).join(', ')} and ${last}`;
}

const isMoney = (goal: MixGoal) => goal !== 'units';

/** An amount of the goal in words: money, or units. */
export const inGoal = (
  { goal }: Pick<MixModel, 'goal'>,
  value: number,
  { money, amount, currency }: MixWriting,
): string => (isMoney(goal) ? `${money(value)} ${currency}` : `${amount(value)} units`);

const MOST_NAMED = 6;

/** What is wrong with a schedule, after "5 pieces". */
const FAULT_WORDS: Readonly<Record<MixScheduleFault['code'], string>> = {
  'not in stock': 'more sold than there are',
  'too old': 'past their shelf life',
  'too little at the end': 'too few in stock at the end',
  'below the demand': 'fewer sold than asked for',
  'above the demand': 'more sold than asked for',
  'below the lot': 'below the minimum lot',
};

/** What runs out first, and by how much; else what is the tightest. */
export function shortageWords(
  { resources, first, totals, fits, schedule }: MixOutcomeView,
  { amount }: MixWriting,
): string {
  const broken = [
    ...(schedule?.faults ?? []).slice(0, MOST_NAMED).map(({ code, name, unit, by }) => {
      return `${name}: ${counted(Number(by), unit, amount)} ${FAULT_WORDS[code]}.`;
    }),
    ...totals.filter(({ isBroken }) => isBroken).map(({ name }) => `"${name}" does not hold.`),
  ];
  const tightest = first === null ? undefined : resources[first];
  if (tightest === undefined) return broken.join(' ');
  const lacking = (each: typeof tightest) => `${counted(Number(each.short.amount ?? 0), each.unit, amount)} short.`;
  if (!tightest.isShort)
    return [
      `${fits ? 'It fits. ' : ''}${tightest.name} is the tightest: ${amount(tightest.filled ?? 0)} % is used.`,
      ...broken,
    ].join(' ');
  const others = resources.filter((each) => each.isShort && each.id !== tightest.id);
  return [
    `${tightest.name} runs out first: ${lacking(tightest)}`,
    ...others.map((each) => `${each.name}: ${lacking(each)}`),
    ...broken,
  ].join(' ');
}

/** What a mix does otherwise than the one tried by hand: "12 fewer of platter, 30 more of bowl". */
export function differenceWords(
  { moved, schedule }: Pick<MixOutcomeView, 'moved' | 'schedule'>,
  { amount }: MixWriting,
): string {
  const said = moved
    .slice(0, MOST_NAMED)
    .map(({ name, by }) => `${amount(Math.abs(Number(by)))} ${by.startsWith('-') ? 'fewer' : 'more'} of ${name}`);
  const rest =
    moved.length > MOST_NAMED
      ? [`${moved.length - MOST_NAMED} more ${schedule === null ? 'products' : 'quantities'} otherwise`]
      : [];
  // The names of quantities hold commas themselves.
  return [...said, ...rest].join(schedule === null ? ', ' : '; ');
}

/** How the search ended, in a sentence; empty where it found the best mix and proved it. */
export function endWords(
  { status, gapPercent, unlimited, quantities }: MixAnswer,
  model: MixModel,
  { amount }: MixWriting,
): string {
  switch (status) {
    case 'no products':
      return 'No mix can be searched for yet: at least one product needs its contribution and uses.';
    case 'unlimited':
      return `Nothing limits ${listed(unlimited.map((at) => model.products[at]?.name ?? ''))}: any quantity could be made, and each brings more. Enter how many can be sold at most, or what runs short.`;
    case 'infeasible':
      return `No mix fits: these limits contradict each other. Ease one of them.${unlimited.length === 0 ? '' : ` Apart from them nothing limits ${listed(unlimited.map((at) => model.products[at]?.name ?? ''))}.`}`;
    case 'failed':
      return 'The solver gave no answer. The quantities tried by hand are as they were.';
    case 'time limit':
      if (quantities.length === 0)
        return 'Nothing was found in the time allowed. Give it more under Products and limits.';
      return Number.isFinite(gapPercent)
        ? `The search was ended before this was proven the best: it can be at most ${amount(gapPercent)} % short of the best possible.`
        : 'The search was ended before this was proven the best, and how far it is from the best possible is not known.';
    case 'best':
      return gapPercent > 0.005 ? `Within ${amount(gapPercent)} % of the best possible, as the plan allows.` : '';
  }
}

/** A limit of a contradiction in words, and where it is typed. */
export interface LimitInWords {
  readonly sentence: string;
  readonly place: {
    readonly kind: 'mixProduct' | 'mixResource' | 'mixTotal';
    readonly id: string;
    readonly field: string;
  };
}

export function limitWords(model: MixModel, { of, at }: MixLimit, writing: MixWriting): LimitInWords {
  const { amount } = writing;
  if (of === 'resource') return resourceLimit(model, model.resources[at] as ModelResource, writing);
  if (of === 'total') {
    const total = model.totals[at] as MixModel['totals'][number];
    const { name, id } = total;
    const sentence = `${name}: ${totalRule(total, amount)}`;
    // The limit of a line over all periods is a total of its own.
    const place = isInPeriod(id) ? inPeriods(id) : ({ kind: 'mixTotal', id, field: 'units' } as const);
    return { sentence, place };
  }
  const product = model.products[at] as ModelProduct;
  const { words, field } = OF_PRODUCT[of];
  return {
    sentence: `${product.name}: ${words(product, amount)}`,
    place: isInPeriod(product.id) ? inPeriods(product.id) : { kind: 'mixProduct', id: product.id, field },
  };
}

function resourceLimit(
  { isInPeriods }: MixModel,
  { name, unit, available, extra, id, isStock }: ModelResource,
  { amount }: MixWriting,
): LimitInWords {
  if (isStock) return { sentence: `${name}: no more sold than there is or is to be left`, place: inPeriods(id) };
  const sentence = `${name}: ${amount(available + extra)} ${manyInWords(unit)} in all`;
  const place = { kind: 'mixResource', id: isInPeriods ? rowOf(id) : id, field: 'available' } as const;
  return { sentence, place };
}

/** Quantities and stocks of a period are called by their row and their period: "row.period.sold". */
const isInPeriod = (id: string): boolean => id.includes('.');
const rowOf = (id: string): string => id.split('.')[0] ?? id;
const inPeriods = (id: string): LimitInWords['place'] => ({ kind: 'mixProduct', id: rowOf(id), field: 'openingStock' });

/** What a total allows: "at most 26", "difference at least 0", "at most 40 % of all". */
export function totalRule(
  { rule, stated, measure }: Pick<MixModel['totals'][number], 'rule' | 'stated' | 'measure'>,
  amount: MixWriting['amount'],
): string {
  const limit = `${rule} ${amount(stated)}`;
  return { units: limit, difference: `difference ${limit}`, 'share of all': `${limit} % of all` }[measure];
}

type OfProduct = Exclude<MixLimit['of'], 'resource' | 'total'>;

const OF_PRODUCT: Readonly<
  Record<
    OfProduct,
    { readonly words: (of: ModelProduct, amount: MixWriting['amount']) => string; readonly field: string }
  >
> = {
  least: { words: ({ least }, amount) => `at least ${amount(least)}`, field: 'minimum' },
  most: { words: ({ most }, amount) => `at most ${amount(most ?? 0)}`, field: 'maximum' },
  lot: { words: ({ lot }, amount) => `${amount(lot ?? 0)} or none`, field: 'lot' },
  whole: { words: ({ step }, amount) => `made in steps of ${amount(step ?? 1)}`, field: 'countedIn' },
  batch: { words: ({ batch }, amount) => `in all channels in batches of ${amount(batch ?? 1)}`, field: 'countedIn' },
};
