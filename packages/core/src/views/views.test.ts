import { describe, expect, it } from 'vitest';
import type { Figure } from '../figure/index.js';
import { Decimal, decimal, ZERO } from '../number/index.js';
import { demoRows, evaluated } from '../testing/evaluated.js';
import { reportOf } from './report.js';
import { VIEWS } from './views.js';
import { workAhead } from './work-ahead.js';

const rows = demoRows();
const evaluation = evaluated(rows);
const products = rows.all('product');
const figure = (key: string): Figure => {
  const found = evaluation.figure(key);
  if (found === null) throw new RangeError(`There is no figure ${key}.`);
  return found;
};
const near = (one: Decimal, other: Decimal) =>
  expect(one.minus(other).abs().lt('1e-24'), `${one.toFixed()} is ${other.toFixed()}`).toBe(true);
const amountOf = (view: { readonly amount: string | null }) => decimal(view.amount ?? 'NaN');

describe('the figures of the demo book hang together', () => {
  it('elements sum to the prime cost, and a batch divided by its good units is the unit', () => {
    for (const { id } of products) {
      const of = (name: string) => figure(`product/${id}/${name}`).amount ?? ZERO;
      near(Decimal.sum(of('materials'), of('landed'), of('packaging'), of('labour'), of('other')), of('primeCost'));
      near(of('primeCost').plus(of('equipment')), of('variableCost'));
      near(
        (figure(`cardSubtotals/${id}/variableCostPerBatch`).amount ?? ZERO).div(figure(`batch/${id}/good`).amount ?? 1),
        of('variableCost'),
      );
      near(of('variableCost').minus(of('labour')), figure(`cardSubtotals/${id}/withoutLabour`).amount ?? ZERO);
    }
  });

  it('shares that stand beside each other sum to exactly 100.0', () => {
    const cards = products
      .map(({ id }) => VIEWS.card(evaluation, id))
      .filter((card) => card.lines.every((line) => line.subtotal || line.share !== null));
    expect(cards.length).toBeGreaterThan(6);
    for (const card of cards) {
      const shares = card.lines.filter((line) => !line.subtotal).map((line) => decimal(line.share ?? '0'));
      expect(Decimal.sum(...shares).toFixed(1)).toBe('100.0');
    }
  });

  it('what is shared out and what is not are all the running costs, and the products carry what is shared out', () => {
    const overhead = VIEWS.overhead(evaluation, 'book');
    near(amountOf(overhead.sharedOut).plus(amountOf(overhead.notSharedOut)), amountOf(overhead.total));
    const carried = overhead.products
      .filter(({ perMonth }) => perMonth.amount !== null)
      .map(({ perMonth }) => amountOf(perMonth));
    near(Decimal.sum(...carried), amountOf(overhead.sharedOut));
    near(
      Decimal.sum(...Object.values(overhead.costs).map(({ perMonth }) => amountOf(perMonth))),
      amountOf(overhead.total),
    );
  });

  it('the parts of each strip and what is left are the price before tax', () => {
    for (const point of rows.all('pricePoint')) {
      const { strip } = VIEWS.price(evaluation, point.id);
      const parts = strip.parts.map((part) => amountOf(part.figure));
      near(
        Decimal.sum(...parts, amountOf(strip.profit ?? { amount: null })),
        amountOf(strip.price ?? { amount: null }),
      );
    }
  });

  it('the month of the overview is the sum of its products', () => {
    const overview = VIEWS.overview(evaluation, 'book');
    const months = overview.products.map(({ pricePointId }) =>
      amountOf(VIEWS.price(evaluation, pricePointId).contributionPerMonth),
    );
    near(Decimal.sum(...months), amountOf(overview.contributionPerMonth));
    expect([...months].sort((one, other) => other.comparedTo(one))).toEqual(months);
  });

  it('hold no number that is none, and every gap says where it is settled or states a result', () => {
    const report = JSON.stringify(reportOf(evaluation));
    expect(report).not.toMatch(/NaN|Infinity|undefined|\[object/);
    for (const end of VIEWS.looseEnds(evaluation, 'book')) {
      expect(end.sentence).toMatch(/^[A-Z"].*[^?]$|\?$/);
      expect(end.place).not.toBeNull();
    }
  });
});

/** What the parts of a figure come to by the operation that it says made it. */
function recomputed({ operation, parts }: Figure): Decimal | null {
  const [one = ZERO, other = ZERO] = parts.map((part) => part.amount ?? ZERO);
  switch (operation) {
    case 'sum':
      return Decimal.sum(0, ...parts.map((part) => part.amount ?? ZERO));
    case 'difference':
      return one.minus(other);
    case 'product':
      return one.mul(other);
    case 'quotient':
      return one.div(other);
    case 'percent of':
      return one.mul(other).div(100);
    case 'whole of':
      return one.mul(100).div(other);
    case 'share of':
      return one.mul(100).div(other);
    case 'choice':
      return one;
    case 'largest':
      return Decimal.max(...parts.map((part) => part.amount ?? ZERO));
    default:
      return null;
  }
}

it('every working adds up: each figure is what its parts come to by its operation, down to the inputs', () => {
  const seen = new Set<Figure>();
  const open = [
    ...rows
      .all('pricePoint')
      .flatMap(({ id }) =>
        ['pricePoint/profit', 'priceRatios/margin', 'priceLimits/suggested', 'priceLimits/profitFloor'].map((name) =>
          figure(name.replace('/', `/${id}/`)),
        ),
      ),
    ...rows
      .all('candidatePrice')
      .flatMap(({ id }) => ['units', 'revenue'].map((name) => figure(`breakEvenOfBook/${id}/${name}`))),
    figure('coverage/book/covered'),
  ];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (seen.has(next)) continue;
    seen.add(next);
    open.push(...next.parts);
    const expected = next.amount === null ? null : recomputed(next);
    if (expected !== null) near(expected, next.amount ?? ZERO);
  }
  expect(seen.size).toBeGreaterThan(600);
});

it('what was worked out ahead, all or a part, changes no view', () => {
  const expected = [VIEWS.overview(evaluation, 'book'), VIEWS.overhead(evaluation, 'book')];
  for (const steps of [0, 5, Infinity]) {
    const ahead = evaluated(rows);
    const work = workAhead(ahead);
    let taken = 0;
    while (taken < steps && work.next().done !== true) taken += 1;
    expect(taken).toBe(Math.min(steps, products.length * 2 + rows.all('pricePoint').length));
    expect([VIEWS.overview(ahead, 'book'), VIEWS.overhead(ahead, 'book')]).toEqual(expected);
  }
});
