import type { MixGoal } from '@nuvar/book';
import type {
  LimitWorth,
  MixAnswer,
  MixExplanation,
  MixLimit,
  MixModel,
  ModelProduct,
  ModelResource,
  OtherAsGood,
  ProductReason,
  RankedMix,
  WholeGain,
} from '../planning/index.js';
import type { MixOutcomeView } from './mix-view.js';

/** How whoever shows the sentences writes numbers: as the country of the book does. */
export interface MixWriting {
  /** A quantity, a use, a percentage. */
  readonly amount: (value: number) => string;
  /** Money, without its currency. */
  readonly money: (value: number) => string;
  readonly currency: string;
}

/** A reason for the best mix in a sentence; where it is what a limit is worth, with what that is made of. */
export interface MixReason {
  readonly id: string;
  readonly sentence: string;
  readonly worth: LimitWorth | null;
}

/** All that was found out about a mix. */
export interface MixFindings {
  readonly model: MixModel;
  readonly answer: MixAnswer;
  readonly explanation: MixExplanation | null;
  readonly gains: readonly WholeGain[];
  readonly asGood: readonly OtherAsGood[];
}

/** What a mix plan is after, in words. */
export const MIX_GOAL_WORDS: Readonly<Record<MixGoal, string>> = {
  contribution: 'most contribution',
  'profit after set-up': 'most profit after set-up',
  revenue: 'most net revenue',
  units: 'most units',
  'least cost': 'least cost for the demand',
};

/** What a mix comes to, in the order of screen and report. */
export const MIX_OUTCOME_WORDS = [
  ['contribution', 'Contribution'],
  ['setUps', 'Set-ups'],
  ['extra', 'Extra above its normal price'],
  ['profit', 'Left after set-ups and extra'],
  ['revenue', 'Net revenue'],
  ['units', 'Units'],
] as const satisfies readonly (readonly [keyof MixOutcomeView['outcome'], string])[];

const ONE: Readonly<Record<string, string>> = { h: 'hour', each: 'piece', kg: 'kilogram', g: 'gram' };
const MANY: Readonly<Record<string, string>> = { each: 'pieces', place: 'places' };

/** One of a unit in words: "hour", "place", "kilogram". */
export const oneInWords = (unit: string): string => ONE[unit] ?? unit;
const manyInWords = (unit: string): string => MANY[unit] ?? unit;

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

/** What runs out first, and by how much; else what is the tightest. */
export function shortageWords({ resources, first, totals, fits }: MixOutcomeView, { amount }: MixWriting): string {
  const broken = totals.filter(({ isBroken }) => isBroken).map(({ name }) => `"${name}" does not hold.`);
  const tightest = first === null ? undefined : resources[first];
  if (tightest === undefined) return broken.join(' ');
  const lacking = (each: typeof tightest) =>
    `${amount(Number(each.short.amount ?? 0))} ${manyInWords(each.unit)} short.`;
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

const MOST_NAMED = 6;

/** What a mix does otherwise than the one tried by hand: "12 fewer of platter, 30 more of bowl". */
export function differenceWords({ moved }: MixOutcomeView, { amount }: MixWriting): string {
  const said = moved
    .slice(0, MOST_NAMED)
    .map(({ name, by }) => `${amount(Math.abs(Number(by)))} ${by.startsWith('-') ? 'fewer' : 'more'} of ${name}`);
  const rest = moved.length > MOST_NAMED ? [`${moved.length - MOST_NAMED} more products otherwise`] : [];
  return [...said, ...rest].join(', ');
}

/** How the search ended, in a sentence; empty where it found the best mix and proved it. */
export function endWords(
  { status, gapPercent, unlimited, quantities }: MixAnswer,
  model: MixModel,
  { amount }: MixWriting,
): string {
  switch (status) {
    case 'no products':
      return 'There is no product to search a mix of: one of which everything is known is needed.';
    case 'unlimited':
      return `Nothing limits ${listed(unlimited.map((at) => model.products[at]?.name ?? ''))}: as much as one likes could be made, and each brings more. Enter how many can be sold at most, or what runs short.`;
    case 'infeasible':
      return 'No mix fits: these limits contradict each other. Ease one of them.';
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

export function limitWords(model: MixModel, { of, at }: MixLimit, { amount }: MixWriting): LimitInWords {
  if (of === 'resource') {
    const { name, unit, available, extra, id } = model.resources[at] as ModelResource;
    const sentence = `${name}: ${amount(available + extra)} ${manyInWords(unit)} in all`;
    return { sentence, place: { kind: 'mixResource', id, field: 'available' } };
  }
  if (of === 'total') {
    const { name, rule, units, id } = model.totals[at] as MixModel['totals'][number];
    return { sentence: `${name}: ${rule} ${amount(units)}`, place: { kind: 'mixTotal', id, field: 'units' } };
  }
  const product = model.products[at] as ModelProduct;
  const { words, field } = OF_PRODUCT[of];
  return {
    sentence: `${product.name}: ${words(product, amount)}`,
    place: { kind: 'mixProduct', id: product.id, field },
  };
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
};

/** Why the best mix is the best, in sentences: what binds, what is spare, what one more is worth, what would have to change. */
export function mixReasons(findings: MixFindings, writing: MixWriting): MixReason[] {
  const { explanation, answer } = findings;
  if (answer.quantities.length === 0) return [];
  const found = explanation === null ? [] : continuousReasons(findings.model, explanation, writing);
  return [
    ...found,
    ...(answer.isContinuous ? [] : wholeReasons(findings, writing)),
    ...asGoodReasons(findings, writing),
  ];
}

function continuousReasons(model: MixModel, explanation: MixExplanation, writing: MixWriting): MixReason[] {
  const binds = ({ up, down }: LimitWorth) => up !== 0 || down !== 0;
  return [
    ...explanation.resources.filter(binds).map((worth) => ({
      id: `resource.${worth.at}`,
      worth,
      sentence: bindingWords(model, worth, writing),
    })),
    ...explanation.resources
      .filter((worth) => !binds(worth))
      .map(({ at, left }) => ({
        id: `resource.${at}`,
        worth: null,
        sentence: `${model.resources[at]?.name}: ${writing.amount(left)} ${manyInWords(model.resources[at]?.unit ?? '')} to spare, so one more brings nothing.`,
      })),
    ...explanation.totals.filter(binds).map((worth) => ({
      id: `total.${worth.at}`,
      worth,
      sentence: totalWords(model, worth, writing),
    })),
    ...explanation.products.map((reason) => ({
      id: `product.${reason.at}`,
      worth: null,
      sentence: productWords(model, reason, writing),
    })),
  ];
}

function bindingWords(
  model: MixModel,
  { at, up, down, ofTen, isKink, from, until, mostToPay }: LimitWorth,
  writing: MixWriting,
): string {
  const { name = '', unit = '', normalPrice = 0 } = model.resources[at] ?? {};
  const [one, many] = [oneInWords(unit), manyInWords(unit)];
  const said = (value: number) => inGoal(model, value, writing);
  if (isKink)
    return `${name}: nothing to spare, and the mix stands at a turning point. One ${one} more brings ${said(up)}${upTo(until, many, writing)}, one less costs ${said(down)}${downTo(from, many, writing)}.`;
  const pay =
    mostToPay === null
      ? ''
      : normalPrice > 0
        ? ` above the normal price of ${said(normalPrice)}, so pay at most ${said(mostToPay)} for it`
        : ', and that is the most to pay for it';
  return `${name}: nothing to spare. One ${one} more is worth ${said(up)}${pay}. This holds${holdsWords(from, until, many, writing)}; ten more bring ${said(ofTen)} in all.`;
}

const upTo = (until: number | null, many: string, { amount }: MixWriting) =>
  until === null ? '' : ` up to ${amount(until)} ${many}`;
const downTo = (from: number | null, many: string, { amount }: MixWriting) =>
  from === null || from === 0 ? '' : ` down to ${amount(from)} ${many}`;

function holdsWords(from: number | null, until: number | null, many: string, writing: MixWriting): string {
  const { amount } = writing;
  if (from !== null && from !== 0 && until !== null) return ` from ${amount(from)} to ${amount(until)} ${many}`;
  const words = `${downTo(from, many, writing)}${upTo(until, many, writing)}`;
  return words === '' ? ' however much of it there is' : words;
}

function totalWords({ goal, totals }: MixModel, { at, up, down }: LimitWorth, writing: MixWriting): string {
  const { name = '', rule = '' } = totals[at] ?? {};
  const said = (value: number) => inGoal({ goal }, value, writing);
  const more = up >= 0 ? `brings ${said(up)}` : `costs ${said(-up)}`;
  const less = down >= 0 ? `costs ${said(down)}` : `brings ${said(-down)}`;
  return `"${name}", ${rule} so many units, binds: one unit more in it ${more}, one less ${less}.`;
}

/** Why a product is made as it is. */
function productWords(model: MixModel, reason: ProductReason, writing: MixWriting): string {
  const { at, quantity, isAtMost, lacking, maximumWorth, minimumCost } = reason;
  const { name = '', gain = 0, least = 0 } = model.products[at] ?? {};
  const said = (value: number) => inGoal(model, value, writing);
  if (minimumCost > 0)
    return `${name} is made only because ${writing.amount(least)} have to be: each of them costs ${said(minimumCost)} elsewhere.`;
  if (quantity === 0)
    return lacking === null
      ? `${name} is not made, whatever a unit of it brings.`
      : `${name} is not made: a unit would have to ${model.isLeast ? `cost ${said(lacking)} less` : `bring ${said(lacking)} more`}.`;
  const worth = maximumWorth > 0 ? ` One more, if it could be sold, would bring ${said(maximumWorth)}.` : '';
  return `${name}: ${writing.amount(quantity)}${isAtMost ? ', its maximum,' : ''} ${rangeWords(reason, said)} (${said(gain)} now).${worth}`;
}

function rangeWords({ from, until }: ProductReason, said: (value: number) => string): string {
  if (from === null)
    return until === null ? 'whatever a unit brings' : `as long as a unit brings at most ${said(until)}`;
  return until === null
    ? `as long as a unit brings at least ${said(from)}`
    : `as long as a unit brings ${said(from)} to ${said(until)}`;
}

/** Where something is counted whole, limits have no price: what more of them brings was found by solving again. */
function wholeReasons({ model, gains, answer }: MixFindings, writing: MixWriting): MixReason[] {
  const said = (value: number) => inGoal(model, value, writing);
  const brings = gains.filter(({ ofOne, ofTen }) => ofOne > 0 || ofTen > 0);
  const nothing = gains.filter(({ ofOne, ofTen }) => ofOne === 0 && ofTen === 0);
  const unmade = model.products.filter((_product, at) => (answer.quantities[at] ?? 0) === 0);
  const reason = (id: string, sentence: string): MixReason => ({ id, sentence, worth: null });
  return [
    reason(
      'whole',
      'Something is counted whole or has a set-up, so no limit has a price of its own. What more of each brings was found by solving again.',
    ),
    ...brings.map(({ at, ofOne, ofTen }) => {
      const { name = '', unit = '', normalPrice = 0 } = model.resources[at] ?? {};
      const isAbove = normalPrice > 0 && model.goal !== 'units' && model.goal !== 'revenue';
      const above = isAbove ? ` above the normal price of ${said(normalPrice)} each` : '';
      return reason(
        `gain.${at}`,
        `${name}: one ${oneInWords(unit)} more brings ${said(ofOne)}, ten more bring ${said(ofTen)}${above}.`,
      );
    }),
    ...(nothing.length === 0
      ? []
      : [
          reason(
            'spare',
            `One or ten more of ${listed(nothing.map(({ at }) => model.resources[at]?.name ?? ''))} bring nothing.`,
          ),
        ]),
    ...(unmade.length === 0 ? [] : [reason('unmade', `Not made: ${listed(unmade.map(({ name }) => name))}.`)]),
  ];
}

/** Other mixes that are as good, where there are some; for a continuous mix also that there are none. */
function asGoodReasons({ model, answer, explanation, asGood }: MixFindings, { amount }: MixWriting): MixReason[] {
  const others = explanation?.asGood ?? asGood;
  if (answer.status !== 'best') return [];
  if (others.length === 0)
    return explanation === null ? [] : [{ id: 'as-good', sentence: 'No other mix is as good.', worth: null }];
  const ranges = others.map(
    ({ at, least, most }) => `${model.products[at]?.name} can be anything from ${amount(least)} to ${amount(most)}`,
  );
  return [
    { id: 'as-good', sentence: `Other mixes are as good: ${listed(ranges)}, with the rest to match.`, worth: null },
  ];
}

/** Why the ranking by one resource reaches less than the best mix, in a sentence. */
export function rankingWords(
  model: MixModel,
  at: number,
  ranked: RankedMix,
  goal: number,
  writing: MixWriting,
): string {
  const nameOf = (index: number) => model.resources[index]?.name ?? '';
  const gap = Math.abs(goal - ranked.goal);
  if (gap <= 0.005) return `The ranking by ${nameOf(at)} is as good as the best mix.`;
  const apart = `${inGoal(model, gap, writing)} ${model.isLeast ? 'dearer' : 'less'} than the best mix.`;
  const others = ranked.ranOut.filter((index) => index !== at);
  if (others.length > 0)
    return `The ranking looks at ${nameOf(at)} alone. By it ${listed(others.map(nameOf))} ${others.length === 1 ? 'runs' : 'run'} out first, and what is left of the rest cannot be used: ${apart}`;
  const isWhole = model.products.some(({ step, lot, setUpCost }) => step !== null || lot !== null || setUpCost > 0);
  return isWhole
    ? `The ranking looks at one unit at a time, and not at set-ups or at what a whole piece leaves over: ${apart}`
    : `The ranking looks at ${nameOf(at)} alone, and not at what makes up for it elsewhere: ${apart}`;
}
