import type {
  LimitGain,
  LimitWorth,
  MixExplanation,
  MixFindings,
  MixModel,
  MovedGain,
  OneMore,
  OtherAsGood,
  ProductReason,
  RankedMix,
} from '../planning/index.js';
import { inGoal, limitWords, listed, manyInWords, type MixWriting, oneInWords, totalRule } from './mix-sentences.js';

/** A reason for the best mix in a sentence; where it is what a limit is worth, with what that is made of. */
export interface MixReason {
  readonly id: string;
  readonly sentence: string;
  readonly worth: OneMore | null;
}

/** What is said of one model, with how its numbers are written. */
interface Saying {
  readonly model: MixModel;
  readonly writing: MixWriting;
  /** An amount of the goal. */
  readonly said: (value: number) => string;
}

/** Why the best mix is the best, in sentences: what binds, what is spare, what one more is worth, what would have to change. */
export function mixReasons(
  { model, answer, explanation, gains, asGood }: MixFindings,
  writing: MixWriting,
): MixReason[] {
  if (answer.quantities.length === 0) return [];
  const saying: Saying = { model, writing, said: (value) => inGoal(model, value, writing) };
  const isExact = answer.status === 'best' && (answer.isContinuous || model.gapPercent === 0);
  return [
    ...(explanation === null ? [] : continuousReasons(saying, explanation)),
    ...(answer.isContinuous ? [] : wholeReasons(saying, gains, answer.quantities)),
    ...(isExact ? asGoodReasons(saying, asGood, explanation !== null) : []),
  ];
}

const reason = (id: string, sentence: string, worth: OneMore | null = null): MixReason => ({ id, sentence, worth });

function continuousReasons(saying: Saying, explanation: MixExplanation): MixReason[] {
  const { model, writing } = saying;
  const binds = ({ up, down }: LimitWorth) => up !== 0 || down !== 0;
  const held =
    'What a unit costs or brings counts holding it to the end of the plan: charged when it is made, given back when it is sold.';
  return [
    ...(model.isInPeriods && !['units', 'revenue'].includes(model.goal) ? [reason('held', held)] : []),
    ...explanation.resources
      .filter(binds)
      .map((worth) => reason(`resource.${worth.at}`, bindingWords(saying, worth), worth)),
    ...explanation.resources
      .filter((worth) => !binds(worth) && !isStock(model, worth.at))
      .map(({ at, left }) => {
        const { name = '', unit = '' } = model.resources[at] ?? {};
        const sentence = `${name}: ${writing.amount(left)} ${manyInWords(unit)} to spare, so one more brings nothing.`;
        return reason(`resource.${at}`, sentence);
      }),
    ...explanation.totals.filter(binds).map((worth) => reason(`total.${worth.at}`, totalWords(saying, worth), worth)),
    ...explanation.products.map((each) => reason(`product.${each.at}`, productWords(saying, each), each.maximum)),
  ];
}

const isStock = ({ resources }: MixModel, at: number): boolean => resources[at]?.isStock === true;

function bindingWords(saying: Saying, worth: LimitWorth): string {
  const { model, writing, said } = saying;
  const { at, up, down, ofTen, isKink, from, until, mostToPay } = worth;
  const { name = '', unit = '', normalPrice = 0 } = model.resources[at] ?? {};
  const [one, many] = [oneInWords(unit), manyInWords(unit)];
  if (isKink)
    return `${name}: nothing to spare, and the mix stands at a turning point. One ${one} more brings ${said(up ?? 0)}${upTo(until, many, writing)}, one less costs ${said(down ?? 0)}${downTo(from, many, writing)}.${endsWords(saying, worth, many)}`;
  const pay =
    mostToPay === null
      ? ''
      : normalPrice > 0
        ? ` above the normal price of ${said(normalPrice)}, so pay at most ${said(mostToPay)} for it`
        : ', and that is the most to pay for it';
  const ten = ofTen === null ? '' : `; ten more bring ${said(ofTen)} in all`;
  return `${name}: nothing to spare. One ${one} more is worth ${said(up ?? 0)}${pay}. This holds${holdsWords(from, until, many, writing)}${ten}.${endsWords(saying, worth, many)}`;
}

/** With less than what, and with more than what, no mix fits. */
function endsWords({ writing }: Saying, { limit, fitsFrom, fitsUntil }: LimitWorth, many: string): string {
  const end = (at: number, word: string) =>
    at === limit ? ` With ${word} no mix fits.` : ` With ${word} than ${writing.amount(at)} ${many} no mix fits.`;
  return `${fitsFrom === null ? '' : end(fitsFrom, 'less')}${fitsUntil === null ? '' : end(fitsUntil, 'more')}`;
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

function totalWords(saying: Saying, worth: LimitWorth): string {
  const { model, said } = saying;
  const total = model.totals[worth.at] as MixModel['totals'][number];
  const { up, down } = worth;
  const more = up === null ? '' : `one unit more in it ${up >= 0 ? `brings ${said(up)}` : `costs ${said(-up)}`}`;
  const less = down === null ? '' : `one less ${down >= 0 ? `costs ${said(down)}` : `brings ${said(-down)}`}`;
  const both = [more, less].filter((words) => words !== '').join(', ');
  return `"${total.name}", ${totalRule(total, saying.writing.amount)}, binds${both === '' ? '' : `: ${both}`}.${endsWords(saying, worth, 'units')}`;
}

/** Why a product is made as it is. */
function productWords(saying: Saying, product: ProductReason): string {
  const { model, writing, said } = saying;
  const { at, quantity, minimum, maximum } = product;
  const { name = '', gain = 0, least = 0 } = model.products[at] ?? {};
  const cost = -(minimum?.down ?? 0);
  if (minimum !== null && cost > 0)
    return `${name} is made only because ${writing.amount(least)} have to be: each of them costs ${said(cost)} elsewhere.${moreOfMinimum(saying, minimum)}`;
  if (quantity === 0) return `${name}${noneWords(model)}${lackingWords(saying, product)}.`;
  const made = `${name}: ${writing.amount(quantity)}${maximum === null ? '' : ', its maximum,'}`;
  return `${made} ${gainRangeWords(saying, product, gain)}.${maximumWords(saying, maximum)}`;
}

/** What a unit of a product would have to bring to be made. */
function lackingWords({ model, said }: Saying, { at, lacking }: ProductReason): string {
  const isCost = model.isLeast || model.products[at]?.isCost === true;
  if (lacking === null) return `, whatever a unit of it ${isCost ? 'costs' : 'brings'}`;
  return `: a unit would have to ${isCost ? `cost ${said(lacking)} less` : `bring ${said(lacking)} more`}`;
}

function moreOfMinimum({ said }: Saying, { up, isKink }: OneMore): string {
  if (up === null) return ' With one more of them no mix fits.';
  return isKink ? ` One more of them would cost ${said(-up)}.` : '';
}

function maximumWords({ said }: Saying, maximum: OneMore | null): string {
  if (maximum === null || maximum.up === null || (maximum.up === 0 && maximum.down === 0)) return '';
  const less = maximum.isKink && maximum.down !== null ? `, one less costs ${said(maximum.down)}` : '';
  return ` One more, if it could be sold, would bring ${maximum.up === 0 ? 'nothing' : said(maximum.up)}${less}.`;
}

function rangeWords({ from, until }: ProductReason, said: (value: number) => string): string {
  if (from === null)
    return until === null ? 'whatever a unit brings' : `as long as a unit brings at most ${said(until)}`;
  return until === null
    ? `as long as a unit brings at least ${said(from)}`
    : `as long as a unit brings ${said(from)} to ${said(until)}`;
}

/** Between which amounts a unit may bring, or cost, and what it does now. */
function gainRangeWords({ model, said }: Saying, product: ProductReason, gain: number): string {
  return model.products[product.at]?.isCost === true
    ? `${costRangeWords(product, said)} (${said(-gain)} now)`
    : `${rangeWords(product, said)} (${said(gain)} now)`;
}

const noneWords = ({ isInPeriods }: MixModel): string => (isInPeriods ? ': none' : ' is not made');

/** The same of what only costs. */
function costRangeWords({ from, until }: ProductReason, said: (value: number) => string): string {
  if (until === null) return from === null ? 'whatever a unit costs' : `as long as a unit costs at most ${said(-from)}`;
  return from === null
    ? `as long as a unit costs at least ${said(-until)}`
    : `as long as a unit costs ${said(-until)} to ${said(-from)}`;
}

/** Where something is counted whole, limits have no price: what more of them brings was found by solving again. */
function wholeReasons(saying: Saying, gains: readonly LimitGain[], quantities: readonly number[]): MixReason[] {
  const { model } = saying;
  const isUnknown = ({ ofOne, ofTen }: LimitGain) => ofOne === 'not known' && (ofTen === null || ofTen === 'not known');
  const unknown = gains.filter(isUnknown).map((gain) => nameOfLimit(model, gain));
  const unmade = model.products.filter((_product, at) => (quantities[at] ?? 0) === 0).map(({ name }) => name);
  return [
    reason(
      'whole',
      'Something is counted whole or has a set-up, so no limit has a price of its own. What more of each brings was found by solving again.',
    ),
    ...[...gains]
      .filter((gain) => !isUnknown(gain) && !isSpareStock(model, gain))
      .sort((one, other) => PLACES.indexOf(one.of) - PLACES.indexOf(other.of) || one.at - other.at)
      .map((gain) => reason(`gain.${gain.of}.${gain.at}`, gainWords(saying, gain))),
    ...(unknown.length === 0
      ? []
      : [reason('unknown', `What more brings could not be proven in the time there was for ${listed(unknown)}.`)]),
    ...(unmade.length === 0
      ? []
      : [reason('unmade', `${model.isInPeriods ? 'None in the best schedule' : 'Not made'}: ${listed(unmade)}.`)]),
  ];
}

/** True of a stock of which more brings nothing. */
const isSpareStock = (model: MixModel, { of, at, ofOne, ofTen }: LimitGain): boolean =>
  of === 'resource' && isStock(model, at) && ofOne === 0 && ofTen === 0;

const PLACES: readonly LimitGain['of'][] = ['resource', 'total', 'most', 'least'];

function nameOfLimit(model: MixModel, { of, at }: LimitGain): string {
  if (of === 'resource') return model.resources[at]?.name ?? '';
  if (of === 'total') return `"${model.totals[at]?.name ?? ''}"`;
  return `the ${of === 'most' ? 'maximum' : 'minimum'} of ${model.products[at]?.name ?? ''}`;
}

/** What binds or is to spare, and what more of it brings. */
const gainWords = (saying: Saying, gain: LimitGain): string => GAIN_WORDS[gain.of](saying, gain);

const spareWords = ({ writing }: Saying, { left }: LimitGain, many = ''): string =>
  left > 0 ? `${writing.amount(left)}${many} to spare` : 'nothing to spare';

const GAIN_WORDS: Readonly<Record<LimitGain['of'], (saying: Saying, gain: LimitGain) => string>> = {
  resource(saying, gain) {
    const { name = '', unit = '' } = saying.model.resources[gain.at] ?? {};
    return `${name}: ${spareWords(saying, gain, ` ${manyInWords(unit)}`)}. ${resourceGain(saying, gain)}`;
  },
  total(saying, gain) {
    const { model, writing, said } = saying;
    const total = model.totals[gain.at] as MixModel['totals'][number];
    const { name, measure } = total;
    const beyond = measure === 'units' ? '' : ' than that';
    const eased = `${gain.step < 0 ? 'One less' : 'One more'}${beyond}`;
    return `"${name}", ${totalRule(total, writing.amount)}: ${spareWords(saying, gain)}. ${broughtWords(eased, gain.ofOne, said)}`;
  },
  most({ model, writing, said }, { at, step, limit, ofOne }) {
    const more = step === 1 ? 'One more' : `${writing.amount(step)} more`;
    return `${model.products[at]?.name}: at its maximum of ${writing.amount(limit)}. ${broughtWords(`${more}, if sold,`, ofOne, said)}`;
  },
  least({ model, writing, said }, { at, step, limit, ofOne }) {
    const less = step === -1 ? 'One less' : `${writing.amount(-step)} less`;
    return `${model.products[at]?.name}: at its minimum of ${writing.amount(limit)}. ${broughtWords(less, ofOne, said)}`;
  },
};

function resourceGain({ model, said }: Saying, { at, ofOne, ofTen }: LimitGain): string {
  const { unit = '', normalPrice = 0 } = model.resources[at] ?? {};
  if (ofOne === 0 && ofTen === 0) return 'One or ten more bring nothing.';
  const isAbove = normalPrice > 0 && model.goal !== 'units' && model.goal !== 'revenue';
  const above = isAbove ? ` above the normal price of ${said(normalPrice)} each` : '';
  const one = typeof ofOne === 'number' ? `brings ${said(ofOne)}` : 'brings what is not known';
  const ten = typeof ofTen === 'number' ? `ten more bring ${said(ofTen)}` : 'what ten more bring is not known';
  return `One ${oneInWords(unit)} more ${one}, ${ten}${above}.`;
}

function broughtWords(eased: string, gain: MovedGain, said: Saying['said']): string {
  if (gain === 'not known') return `What ${eased.toLowerCase()} brings is not known.`;
  if (gain === 'no mix fits') return `With ${eased.toLowerCase()} no mix fits.`;
  if (gain === 0) return `${eased} brings nothing.`;
  return gain > 0 ? `${eased} brings ${said(gain)}.` : `${eased} costs ${said(-gain)}.`;
}

/** Other mixes that are as good, where there are some; for a continuous mix also that there are none. */
function asGoodReasons({ model, writing }: Saying, others: readonly OtherAsGood[], isContinuous: boolean): MixReason[] {
  if (others.length === 0) return isContinuous ? [reason('as-good', 'No other mix is as good.')] : [];
  const ranges = others.map(
    ({ at, least, most }) =>
      `${model.products[at]?.name} can be anything from ${writing.amount(least)} to ${writing.amount(most)}`,
  );
  return [reason('as-good', `Other mixes are as good: ${listed(ranges)}, with the rest to match.`)];
}

/** Why the ranking by one resource reaches less than the best mix, in a sentence; or that it is no mix that can be made. */
export function rankingWords(
  model: MixModel,
  at: number,
  ranked: RankedMix,
  goal: number,
  writing: MixWriting,
): string {
  const nameOf = (index: number) => model.resources[index]?.name ?? '';
  if (ranked.broken.length > 0) {
    const broken = ranked.broken.map((limit) => limitWords(model, limit, writing).sentence);
    return `The ranking by ${nameOf(at)} cannot keep to these limits: ${broken.join('; ')}. It is no mix that can be made.`;
  }
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
