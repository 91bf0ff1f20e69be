import type { RowOf } from '@nuvar/book';
import { ZERO } from '../../number/index.js';
import {
  madeOf,
  madeResources,
  mixComponentUse,
  mixLineName,
  mixResourceOutcome,
  mixResourceTerms,
  mixTakers,
  nameOfResource,
  unitOfMixResource,
  withQuantities,
} from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { filledPercent, isBeyond } from './mix-measures.js';

/** A resource under a mix: how much of it is used, and by which products. */
export interface MixResourceView {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly available: FigureView;
  readonly extra: FigureView | null;
  readonly normalPrice: FigureView | null;
  readonly premium: FigureView | null;
  readonly used: FigureView;
  readonly left: FigureView;
  readonly extraUsed: FigureView | null;
  readonly extraCost: FigureView | null;
  readonly short: FigureView;
  /** True where it lacks more than a millionth of what there is: less is noise of the solver. */
  readonly isShort: boolean;
  /** What of a component is made beyond its stock; null for what is not made. */
  readonly made: FigureView | null;
  /** What each product takes of it, and each component that is made; the shade by which it is told apart. */
  readonly shares: readonly { readonly name: string; readonly amount: number; readonly shade: number }[];
  /** Used, in percent of what there is with its extra. Null where it is not known how much there is. */
  readonly filled: number | null;
}

/** How much of a resource there is in all, and what it costs. */
export interface MixSupplyView {
  readonly id: string;
  readonly available: FigureView;
  readonly normalPrice: FigureView | null;
  readonly premium: FigureView | null;
}

export function supplyOf(evaluation: Evaluation, id: string): MixSupplyView {
  const terms = evaluation.read(mixResourceTerms, id);
  const known = (member: 'normalPrice' | 'premium') =>
    terms[member] === null ? null : shown(evaluation, mixResourceTerms, id, member);
  return {
    id,
    available: shown(evaluation, mixResourceTerms, id, 'available'),
    normalPrice: known('normalPrice'),
    premium: known('premium'),
  };
}

/** A resource of a plan of one period under some quantities. */
export function resourceOf(
  evaluation: Evaluation,
  id: string,
  quantities: readonly string[] | null,
  made: readonly string[],
): MixResourceView {
  const { sheet } = evaluation;
  const row = sheet.row('mixResource', id);
  const asked = withQuantities(id, quantities);
  const terms = evaluation.read(mixResourceTerms, id);
  const outcome = evaluation.read(mixResourceOutcome, asked);
  const of = (member: 'extraUsed' | 'extraCost' | 'made') =>
    outcome[member] === null ? null : shown(evaluation, mixResourceOutcome, asked, member);
  const there = terms.available.amount?.plus(terms.extra?.amount ?? ZERO) ?? null;
  const used = outcome.used.amount;
  return {
    name: row === undefined ? '' : nameOfResource(sheet, row),
    unit: row === undefined ? '' : unitOfMixResource(sheet, row).text,
    ...supplyOf(evaluation, id),
    extra: terms.extra === null ? null : shown(evaluation, mixResourceTerms, id, 'extra'),
    ...shownAll(evaluation, mixResourceOutcome, asked, ['used', 'left', 'short']),
    extraUsed: of('extraUsed'),
    extraCost: of('extraCost'),
    made: of('made'),
    isShort: isBeyond(outcome.short.amount, there),
    shares: row === undefined ? [] : sharesOf(evaluation, row, quantities, made),
    filled: outcome.made === null ? filledPercent(there, used) : null,
  };
}

/** What each product takes of a resource, and each component that is made beyond its stock. */
function sharesOf(
  evaluation: Evaluation,
  { id, planId }: RowOf<'mixResource'>,
  quantities: readonly string[] | null,
  made: readonly string[],
): MixResourceView['shares'] {
  const { sheet } = evaluation;
  const { heads } = madeOf(sheet, planId, quantities);
  const lines = sheet.idsOf('mixProduct', 'planId', planId);
  const ofProducts = evaluation.read(mixTakers, id).map(({ place, lineId, perUnit, forSetUp }) => {
    const setUp = heads.has(lineId) ? (forSetUp?.amount?.toNumber() ?? 0) : 0;
    const amount = Math.max(0, Number(made[place] ?? '0')) * (perUnit.amount?.toNumber() ?? 0) + setUp;
    return { lineId, amount, shade: place };
  });
  const ofComponents = madeResources(sheet, planId).map((component, index) => {
    const own = evaluation.read(mixResourceOutcome, withQuantities(component.id, quantities)).made;
    const perUnit = component.id === id ? null : evaluation.read(mixComponentUse, `${component.id}@${id}`).perUnit;
    const amount = (own?.amount?.toNumber() ?? 0) * (perUnit?.amount?.toNumber() ?? 0);
    return { name: nameOfResource(sheet, component), amount, shade: lines.length + index };
  });
  const named = ofProducts
    .filter(({ amount }) => amount !== 0)
    .map(({ lineId, amount, shade }) => ({ name: sheet.read(mixLineName, lineId), amount, shade }));
  return [...named, ...ofComponents.filter(({ amount }) => amount !== 0)];
}
