import type { LimitWorth, MixModel, MixView, ProductReason } from '@nuvar/core';
import { useSettings } from '../../book/use-book.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { useStyle } from '../../figures/use-style.js';
import { MixRankingPart } from './mix-ranking.js';
import type { MixSearch } from './use-mix-search.js';
import { manyUnits } from '../../figures/format.js';
import { amountText, listed, moneyText, oneOf } from './words.js';

interface MixReasonsProps {
  readonly view: MixView;
  readonly search: MixSearch;
  readonly best: readonly string[];
}

/** Why the best mix is the best: what binds, what is spare, what one more is worth, and what would have to change. */
export function MixReasons({ view, search, best }: MixReasonsProps) {
  const { model, explanation, answer } = search;
  if (model === null || answer === null) return null;
  return (
    <section className="mt-5" aria-label="Reasons">
      <DetailHeading>Why this mix</DetailHeading>
      {search.isExplaining && <p className="text-soft">Working out the reasons.</p>}
      {explanation !== null && <Continuous search={search} model={model} />}
      {!answer.isContinuous && <Whole search={search} model={model} best={best} />}
      <AsGood search={search} model={model} />
      <MixRankingPart view={view} search={search} best={best} />
    </section>
  );
}

interface PartProps {
  readonly search: MixSearch;
  readonly model: MixModel;
}

function Continuous({ search: { explanation }, model }: PartProps) {
  const style = useStyle();
  const { currency } = useSettings();
  if (explanation === null) return null;
  const inGoal = goalWords(model, style, currency);
  const binding = explanation.resources.filter(({ up, down }) => up > 0 || down > 0);
  const spare = explanation.resources.filter(({ up, down }) => up === 0 && down === 0);
  return (
    <ul className="mt-1 grid gap-1.5" aria-label="Reasons for the best mix">
      {binding.map((worth) => (
        <li key={worth.at}>
          <BindingResource worth={worth} model={model} inGoal={inGoal} />
        </li>
      ))}
      {spare.map(({ at, left }) => (
        <li key={at}>
          {model.resources[at]?.name} is not what limits the mix: {amountText(left, style)}{' '}
          {manyUnits(model.resources[at]?.unit ?? '')} to spare. One more brings nothing.
        </li>
      ))}
      {explanation.totals
        .filter(({ up, down }) => up !== 0 || down !== 0)
        .map((worth) => (
          <li key={worth.at}>{totalWords(model, worth, inGoal)}</li>
        ))}
      {explanation.products.map((reason) => {
        const sentence = productWords(model, reason, inGoal, style);
        return sentence === '' ? null : <li key={reason.at}>{sentence}</li>;
      })}
    </ul>
  );
}

type Style = Parameters<typeof moneyText>[1];
type InGoal = (value: number) => string;

/** An amount of the goal in words: money, or units. */
function goalWords({ goal }: MixModel, style: Style, currency: string): InGoal {
  return (value) => (goal === 'units' ? `${amountText(value, style)} units` : `${moneyText(value, style)} ${currency}`);
}

interface BindingProps {
  readonly worth: LimitWorth;
  readonly model: MixModel;
  readonly inGoal: InGoal;
}

/** One resource that is used up, what one more of it is worth, and what that would change. */
function BindingResource({ worth, model, inGoal }: BindingProps) {
  const { at, up, down, isKink, from, until, mostToPay } = worth;
  const style = useStyle();
  const resource = model.resources[at];
  if (resource === undefined) return null;
  const { name, unit, normalPrice } = resource;
  const one = oneOf(unit);
  const range = `${from === null ? 'nothing' : amountText(from, style)} to ${
    until === null ? 'without end' : `${amountText(until, style)} ${unit}`
  }`;
  return (
    <details>
      <summary className="cursor-pointer">
        {name} is used up.{' '}
        {isKink ? (
          <>
            One {one} more brings {inGoal(up)}, one less costs {inGoal(down)}: the mix stands at a turning point. The
            first holds up to {until === null ? 'without end' : `${amountText(until, style)} ${unit}`}, the second down
            to {from === null ? 'nothing' : `${amountText(from, style)} ${unit}`}.
          </>
        ) : (
          <>
            One {one} more is worth <strong className="font-semibold">{inGoal(up)}</strong>
            {mostToPay !== null &&
              (normalPrice > 0 ? (
                <>
                  {' '}
                  above the normal price of {inGoal(normalPrice)}, so pay at most {inGoal(mostToPay)} for it
                </>
              ) : (
                <>, and that is the most to pay for it</>
              ))}
            . This holds from {range}.
          </>
        )}
      </summary>
      <Changes worth={worth} model={model} one={one} inGoal={inGoal} />
    </details>
  );
}

interface ChangesProps {
  readonly worth: LimitWorth;
  readonly model: MixModel;
  readonly one: string;
  readonly inGoal: InGoal;
}

/** The working of what one more is worth: what it changes in the mix, and what that brings. */
function Changes({ worth: { changes, byExtra, up }, model, one, inGoal }: ChangesProps) {
  const style = useStyle();
  const hasExtra = Math.abs(byExtra) > 0.005;
  return (
    <table className="table my-1 ml-4 w-auto" aria-label={`What one ${one} more changes`}>
      <thead>
        <tr>
          <th scope="col">With one {one} more</th>
          <th scope="col" className="text-right">
            Quantity
          </th>
          <th scope="col" className="text-right">
            Each brings
          </th>
          <th scope="col" className="text-right">
            Together
          </th>
        </tr>
      </thead>
      <tbody>
        {changes.map(({ product, by, each, together }) => (
          <tr key={product}>
            <th scope="row" className="font-normal">
              {model.products[product]?.name}
            </th>
            <td className="figure text-right">{amountText(by, style)}</td>
            <td className="figure text-right">{inGoal(each)}</td>
            <td className="figure text-right">{inGoal(together)}</td>
          </tr>
        ))}
        {hasExtra && (
          <tr>
            <th scope="row" className="font-normal">
              Extra had more or less of
            </th>
            <td />
            <td />
            <td className="figure text-right">{inGoal(byExtra)}</td>
          </tr>
        )}
        <tr className="border-t border-base-content font-semibold">
          <th scope="row">Worth of one {one} more</th>
          <td />
          <td />
          <td className="figure text-right">{inGoal(up)}</td>
        </tr>
      </tbody>
    </table>
  );
}

function totalWords({ totals }: MixModel, { at, up, down }: LimitWorth, inGoal: InGoal): string {
  const total = totals[at];
  if (total === undefined) return '';
  const more = up >= 0 ? `brings ${inGoal(up)}` : `costs ${inGoal(-up)}`;
  const less = down >= 0 ? `costs ${inGoal(down)}` : `brings ${inGoal(-down)}`;
  return `"${total.name}", ${total.rule} so many units, binds: one unit more in it ${more}, one less ${less}.`;
}

/** Why a product is made as it is, in a sentence; empty where there is nothing to say. */
function productWords(
  { products, isLeast }: MixModel,
  { at, quantity, isAtMost, lacking, from, until, maximumWorth, minimumCost }: ProductReason,
  inGoal: InGoal,
  style: Style,
): string {
  const product = products[at];
  if (product === undefined) return '';
  const { name, gain } = product;
  if (minimumCost > 0)
    return `${name} is made only because ${amountText(product.least, style)} have to be: each of them costs ${inGoal(minimumCost)} elsewhere.`;
  if (quantity === 0) {
    if (lacking === null) return `${name} is not made, whatever a unit of it brings.`;
    return isLeast
      ? `${name} is not made: a unit would have to cost ${inGoal(lacking)} less.`
      : `${name} is not made: a unit would have to bring ${inGoal(lacking)} more.`;
  }
  const held =
    from === null && until === null
      ? 'whatever a unit brings'
      : from === null
        ? `as long as a unit brings at most ${inGoal(until ?? 0)}`
        : until === null
          ? `as long as a unit brings at least ${inGoal(from)}`
          : `as long as a unit brings ${inGoal(from)} to ${inGoal(until)}`;
  const worth =
    isAtMost && maximumWorth > 0 ? ` One more, if it could be sold, would bring ${inGoal(maximumWorth)}.` : '';
  return `${name}: ${amountText(quantity, style)}${isAtMost ? ', its maximum,' : ''} ${held} (${inGoal(gain)} now).${worth}`;
}

/** Where something is counted whole, limits have no price: what more of them brings was found by solving again. */
function Whole({ search: { gains, isExplaining }, model, best }: PartProps & { readonly best: readonly string[] }) {
  const style = useStyle();
  const { currency } = useSettings();
  const inGoal = goalWords(model, style, currency);
  const brings = gains.filter(({ ofOne, ofTen }) => ofOne > 0 || ofTen > 0);
  const nothing = gains.filter(({ ofOne, ofTen }) => ofOne === 0 && ofTen === 0);
  const nameOf = (at: number) => model.resources[at]?.name ?? '';
  const unmade = model.products.filter(({ place }) => Number(best[place] ?? 0) === 0);
  return (
    <ul className="mt-1 grid gap-1.5" aria-label="Reasons for the best mix">
      <li className="text-soft">
        Something is counted whole or has a set-up, so no limit has a price of its own. What more of each brings was
        found by solving again.
      </li>
      {brings.map(({ at, ofOne, ofTen }) => {
        const { name = '', unit = '', normalPrice = 0 } = model.resources[at] ?? {};
        const above = normalPrice > 0 && model.goal !== 'units' && model.goal !== 'revenue';
        return (
          <li key={at}>
            {name}: one {oneOf(unit)} more brings {inGoal(ofOne)}, ten more bring {inGoal(ofTen)}
            {above && <> above the normal price of {inGoal(normalPrice)} each</>}.
          </li>
        );
      })}
      {!isExplaining && nothing.length > 0 && (
        <li>
          One or ten more of {listed(nothing.map(({ at }) => nameOf(at)))} {nothing.length === 1 ? 'bring' : 'bring'}{' '}
          nothing.
        </li>
      )}
      {unmade.length > 0 && <li>Not made: {listed(unmade.map(({ name }) => name))}.</li>}
    </ul>
  );
}

/** Other mixes that are as good, where there are some. */
function AsGood({ search: { explanation, asGood, isExplaining, answer }, model }: PartProps) {
  const style = useStyle();
  const others = explanation?.asGood ?? asGood;
  if (isExplaining || answer?.status !== 'best') return null;
  if (others.length === 0) return explanation === null ? null : <p className="mt-1.5">No other mix is as good.</p>;
  return (
    <p className="mt-1.5">
      Other mixes are as good:{' '}
      {listed(
        others.map(
          ({ at, least, most }) =>
            `${model.products[at]?.name ?? ''} can be anything from ${amountText(least, style)} to ${amountText(most, style)}`,
        ),
      )}
      , with the rest to match.
    </p>
  );
}
