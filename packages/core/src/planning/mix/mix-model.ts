import type { MixGoal, MixTotalRule } from '@nuvar/book';
import type { Figure, Gap } from '../../figure/index.js';
import type { Sheet } from '../../sheet/index.js';
import { mixTotalOutcome, productsOfMix, resourcesOfMix } from './mix-outcome.js';
import { mixProductTerms, type MixProductTerms, nameInMix, outputInMix } from './mix-product.js';
import { mixResourceTerms, nameOfResource, unitOfMixResource } from './mix-resource.js';
import { mixUse } from './mix-use.js';
import { setUpHead } from './set-up-head.js';

/** A product as the solver sees it. Amounts are binary floats: this is one of the places where they are right. */
export interface ModelProduct {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  /** What a unit adds to the goal. */
  readonly gain: number;
  readonly contribution: number;
  readonly least: number;
  readonly most: number | null;
  readonly lot: number | null;
  readonly step: number | null;
  /** What its set-up takes off the goal; zero where the goal does not count it. */
  readonly setUpCost: number;
  readonly quantity: number;
  /** The place in the model of the line that says its set-up and its lot: its own, or that of its product in another channel. */
  readonly setUpWith: number;
  /** Its place among the products of the plan: those that lack something are left out of the model. */
  readonly place: number;
}

export interface ModelResource {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly available: number;
  readonly extra: number;
  /** What an extra unit takes off the goal. */
  readonly premium: number;
  /** What the contributions hold for a unit of it; zero where nothing. */
  readonly normalPrice: number;
}

export interface ModelUse {
  readonly product: number;
  readonly resource: number;
  readonly perUnit: number;
  readonly forSetUp: number;
}

export interface ModelTotal {
  readonly id: string;
  readonly name: string;
  readonly rule: MixTotalRule;
  readonly units: number;
  readonly products: readonly number[];
}

/** A mix plan as plain numbers: the solver, its files and its explanation read the same model. */
export interface MixModel {
  readonly name: string;
  readonly goal: MixGoal;
  /** By the goal: the most of it, or the least. */
  readonly isLeast: boolean;
  readonly secondsAtMost: number;
  readonly gapPercent: number;
  readonly products: readonly ModelProduct[];
  readonly resources: readonly ModelResource[];
  readonly uses: readonly ModelUse[];
  readonly totals: readonly ModelTotal[];
}

/** A mix plan as a model, and what of it is left out because something is not known. */
export interface MixModelOfPlan {
  readonly model: MixModel;
  readonly gaps: readonly Gap[];
}

const plain = (figure: Figure | null): number => figure?.amount?.toNumber() ?? 0;
const plainOr = <Otherwise>(figure: Figure | null, otherwise: Otherwise) =>
  figure?.amount == null ? otherwise : figure.amount.toNumber();

const GAIN = {
  contribution: 'contribution',
  'profit after set-up': 'contribution',
  revenue: 'revenue',
  'least cost': 'variableCost',
} as const;

/** Keeps what is lacking, and says whether anything is. */
interface Lacking {
  readonly gaps: Gap[];
  readonly isKnown: (figures: readonly (Figure | null)[]) => boolean;
}

function lacking(): Lacking {
  const gaps: Gap[] = [];
  return {
    gaps,
    isKnown: (figures) => {
      const found = figures.flatMap((figure) => figure?.gaps ?? []);
      gaps.push(...found);
      return found.length === 0;
    },
  };
}

/** The model of a mix plan. A product or a limit of which something is not known is left out, and its gaps are told. */
export function mixModelOf(sheet: Sheet, planId: string): MixModelOfPlan {
  const plan = sheet.row('mixPlan', planId);
  const goal = plan?.goal ?? 'contribution';
  const unknown = lacking();
  const products = modelProducts(sheet, planId, goal, unknown);
  const resources = modelResources(sheet, planId, goal, products, unknown);
  return {
    model: {
      name: plan?.name ?? '',
      goal,
      isLeast: goal === 'least cost',
      products,
      resources,
      uses: modelUses(sheet, products, resources),
      totals: modelTotals(sheet, planId, products, unknown),
      secondsAtMost: Number(plan?.secondsAtMost ?? '10'),
      gapPercent: Number(plan?.gapPercent ?? '0'),
    },
    gaps: [...new Map(unknown.gaps.map((gap) => [`${gap.code}|${gap.place?.id}|${gap.place?.field}`, gap])).values()],
  };
}

const countsMoney = (goal: MixGoal) => goal !== 'revenue' && goal !== 'units';

function modelProducts(sheet: Sheet, planId: string, goal: MixGoal, unknown: Lacking): ModelProduct[] {
  const countsSetUps = countsMoney(goal) && goal !== 'contribution';
  const gainOf = (terms: MixProductTerms) => (goal === 'units' ? null : terms[GAIN[goal]]);
  const rows = productsOfMix(sheet, planId).map((row, place) => ({ row, place, headId: setUpHead(sheet, row) }));
  const known = new Set(
    rows.flatMap(({ row }) => {
      const terms = sheet.read(mixProductTerms, row.id);
      return unknown.isKnown([gainOf(terms), countsSetUps ? terms.setUpCost : null, terms.step]) ? [row.id] : [];
    }),
  );
  // Without the line that says its set-up, a product would be made without one.
  const kept = rows.filter(({ row, headId }) => known.has(row.id) && known.has(headId));
  const placeOf = new Map(kept.map(({ row }, at) => [row.id, at]));
  return kept.map(({ row, place, headId }): ModelProduct => {
    const terms = sheet.read(mixProductTerms, row.id);
    return {
      id: row.id,
      name: nameInMix(sheet, row),
      unit: outputInMix(sheet, row).text,
      place,
      gain: goal === 'units' ? 1 : plain(gainOf(terms)),
      contribution: plain(terms.contribution),
      least: plain(terms.least),
      most: plainOr(terms.most, null),
      lot: plainOr(terms.lot, null),
      step: plainOr(terms.step, null),
      setUpCost: countsSetUps ? plain(terms.setUpCost) : 0,
      quantity: Number(row.quantity),
      setUpWith: placeOf.get(headId) ?? 0,
    };
  });
}

function modelResources(
  sheet: Sheet,
  planId: string,
  goal: MixGoal,
  products: readonly ModelProduct[],
  unknown: Lacking,
): ModelResource[] {
  return resourcesOfMix(sheet, planId).flatMap((row): ModelResource[] => {
    const { available, extra, premium, normalPrice } = sheet.read(mixResourceTerms, row.id);
    const uses = products.flatMap(({ id }) => {
      const { perUnit, forSetUp } = sheet.read(mixUse, `${id}@${row.id}`);
      return [perUnit, forSetUp];
    });
    if (!unknown.isKnown([available, countsMoney(goal) ? premium : null, ...uses])) return [];
    return [
      {
        id: row.id,
        name: nameOfResource(sheet, row),
        unit: unitOfMixResource(sheet, row).text,
        available: plain(available),
        extra: plain(extra),
        normalPrice: plain(normalPrice),
        premium: countsMoney(goal) ? plain(premium) : 0,
      },
    ];
  });
}

function modelUses(sheet: Sheet, products: readonly ModelProduct[], resources: readonly ModelResource[]): ModelUse[] {
  return products.flatMap(({ id }, product) =>
    resources.flatMap((resource, index): ModelUse[] => {
      const { perUnit, forSetUp } = sheet.read(mixUse, `${id}@${resource.id}`);
      const use = { product, resource: index, perUnit: plain(perUnit), forSetUp: plain(forSetUp) };
      return use.perUnit === 0 && use.forSetUp === 0 ? [] : [use];
    }),
  );
}

function modelTotals(sheet: Sheet, planId: string, products: readonly ModelProduct[], unknown: Lacking): ModelTotal[] {
  const places = new Map(products.map(({ id }, index) => [id, index]));
  return sheet.rowsOf('mixTotal', 'planId', planId).flatMap(({ id, name, rule }): ModelTotal[] => {
    const { limit } = sheet.read(mixTotalOutcome, id);
    if (!unknown.isKnown([limit])) return [];
    const members = sheet.rowsOf('mixTotalProduct', 'totalId', id);
    return [
      {
        id,
        name,
        rule,
        units: plain(limit),
        products: members.flatMap(({ mixProductId }) => places.get(mixProductId) ?? []),
      },
    ];
  });
}
