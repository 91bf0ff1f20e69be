import type { MixGoal, MixTotalMeasure, MixTotalRule, MixTotalSide } from '@nuvar/book';
import type { Figure, Gap } from '../../figure/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { madeResources, mixComponentUse } from './mix-component.js';
import { fixedCostsOfMix, mixTotalOutcome } from './mix-outcome.js';
import { resourcesOfMix } from './mix-quantities.js';
import { mixProductTerms, nameInMix, outputInMix } from './mix-product.js';
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
  /** Of a component: what making one beyond its stock takes of other resources; null for what is not made. */
  readonly making: readonly ModelMaking[] | null;
}

/** What making one of a component takes of a resource. */
export interface ModelMaking {
  readonly resource: number;
  readonly perUnit: number;
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
  readonly measure: MixTotalMeasure;
  /** The limit as it is stated: units, or percent of all. */
  readonly stated: number;
  /** What its terms together are held against. */
  readonly units: number;
  /** The products that count in it, each with how much one of it counts. */
  readonly terms: readonly (readonly [product: number, by: number])[];
}

/** A mix plan as plain numbers: the solver, its files and its explanation read the same model. */
export interface MixModel {
  readonly name: string;
  readonly goal: MixGoal;
  /** By the goal: the most of it, or the least. */
  readonly isLeast: boolean;
  readonly secondsAtMost: number;
  readonly gapPercent: number;
  /** What is taken off the goal whatever is made (added to a cost). */
  readonly fixed: number;
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
  'operating profit': 'contribution',
  revenue: 'revenue',
  'least cost': 'variableCost',
} as const;

/** What is not known of some figures. */
const lackingOf = (figures: readonly (Figure | null)[]): readonly Gap[] =>
  figures.flatMap((figure) => figure?.gaps ?? []);

const countsMoney = (goal: MixGoal) => goal !== 'revenue' && goal !== 'units';
const countsSetUps = (goal: MixGoal) => countsMoney(goal) && goal !== 'contribution';
const goalOf = (sheet: Sheet, planId: string): MixGoal => sheet.row('mixPlan', planId)?.goal ?? 'contribution';

/** A line of a mix plan as the solver sees it, by itself: a quantity that is tried does not move it. */
interface ModelLine {
  readonly product: Omit<ModelProduct, 'place' | 'setUpWith'>;
  readonly headId: string;
  readonly gaps: readonly Gap[];
}

const modelLine: Calculation<ModelLine | null> = {
  name: 'mixModelLine',
  meanings: {},
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    if (row === undefined) return null;
    const goal = goalOf(sheet, row.planId);
    const terms = sheet.read(mixProductTerms, id);
    const gain = goal === 'units' ? null : terms[GAIN[goal]];
    return {
      headId: setUpHead(sheet, row),
      gaps: lackingOf([gain, countsSetUps(goal) ? terms.setUpCost : null, terms.step]),
      product: {
        id,
        name: nameInMix(sheet, row),
        unit: outputInMix(sheet, row).text,
        gain: goal === 'units' ? 1 : plain(gain),
        contribution: plain(terms.contribution),
        least: plain(terms.least),
        most: plainOr(terms.most, null),
        lot: plainOr(terms.lot, null),
        step: plainOr(terms.step, null),
        setUpCost: countsSetUps(goal) ? plain(terms.setUpCost) : 0,
      },
    };
  },
};

/** What a line of a mix plan takes of each resource that it takes anything of, or of which that is not known. */
interface LineUse {
  readonly resourceId: string;
  readonly perUnit: number;
  readonly forSetUp: number;
  readonly gaps: readonly Gap[];
}

const modelLineUses: Calculation<readonly LineUse[]> = {
  name: 'mixModelLineUses',
  meanings: {},
  work(sheet, id) {
    const planId = sheet.row('mixProduct', id)?.planId ?? '';
    return sheet.idsOf('mixResource', 'planId', planId).flatMap((resourceId): LineUse[] => {
      const { perUnit, forSetUp } = sheet.read(mixUse, `${id}@${resourceId}`);
      const use = {
        resourceId,
        perUnit: plain(perUnit),
        forSetUp: plain(forSetUp),
        gaps: lackingOf([perUnit, forSetUp]),
      };
      return use.perUnit === 0 && use.forSetUp === 0 && use.gaps.length === 0 ? [] : [use];
    });
  },
};

/**
 * The model of a mix plan, by the id of the plan. A product or a limit of which something is not known is left out, and its gaps
 * are told. The quantities tried by hand are no part of it.
 */
export const mixModel: Calculation<MixModelOfPlan> = {
  name: 'mixModel',
  meanings: {},
  work(sheet, planId) {
    const plan = sheet.row('mixPlan', planId);
    const goal = goalOf(sheet, planId);
    const gaps: Gap[] = [];
    const isKnown = (found: readonly Gap[]) => {
      gaps.push(...found);
      return found.length === 0;
    };
    const fixed = goal === 'operating profit' ? fixedCostsOfMix(sheet, planId) : null;
    isKnown(lackingOf([fixed]));
    const products = modelProducts(sheet, planId, isKnown);
    const uses = products.map(({ id }) => sheet.read(modelLineUses, id));
    const resources = withMaking(sheet, planId, modelResources(sheet, planId, goal, uses.flat(), isKnown), isKnown);
    const placeOf = new Map(resources.map(({ id }, at) => [id, at]));
    return {
      model: {
        name: plan?.name ?? '',
        goal,
        isLeast: goal === 'least cost',
        fixed: plain(fixed),
        products,
        resources,
        uses: uses.flatMap((ofLine, product) =>
          ofLine.flatMap(({ resourceId, perUnit, forSetUp }): ModelUse[] => {
            const resource = placeOf.get(resourceId);
            return resource === undefined ? [] : [{ product, resource, perUnit, forSetUp }];
          }),
        ),
        totals: modelTotals(sheet, planId, products, isKnown),
        secondsAtMost: Number(plan?.secondsAtMost ?? '10'),
        gapPercent: Number(plan?.gapPercent ?? '0'),
      },
      gaps: [...new Map(gaps.map((gap) => [`${gap.code}|${gap.place?.id}|${gap.place?.field}`, gap])).values()],
    };
  },
};

/** The resources, with what making components takes of the others. One of which that is not known is left as a limit. */
function withMaking(
  sheet: Sheet,
  planId: string,
  resources: readonly ModelResource[],
  isKnown: IsKnown,
): ModelResource[] {
  const made = new Set(madeResources(sheet, planId).map(({ id }) => id));
  if (made.size === 0) return [...resources];
  return resources.map((resource): ModelResource => {
    if (!made.has(resource.id)) return resource;
    const uses = resources.map((other, at) =>
      other.id === resource.id ? null : { at, ...sheet.read(mixComponentUse, `${resource.id}@${other.id}`) },
    );
    const there = uses.filter((use) => use !== null);
    if (!isKnown(there.flatMap(({ perUnit }) => lackingOf([perUnit])))) return resource;
    const making = there.map(({ at, perUnit }) => ({ resource: at, perUnit: plain(perUnit) }));
    return { ...resource, extra: 0, premium: 0, making: making.filter(({ perUnit }) => perUnit > 0) };
  });
}

type IsKnown = (gaps: readonly Gap[]) => boolean;

function modelProducts(sheet: Sheet, planId: string, isKnown: IsKnown): ModelProduct[] {
  const lines = sheet.idsOf('mixProduct', 'planId', planId).flatMap((id, place) => {
    const line = sheet.read(modelLine, id);
    return line === null ? [] : [{ line, place }];
  });
  const known = new Set(lines.flatMap(({ line }) => (isKnown(line.gaps) ? [line.product.id] : [])));
  // Without the line that says its set-up, a product would be made without one.
  const kept = lines.filter(({ line: { product, headId } }) => known.has(product.id) && known.has(headId));
  const placeOf = new Map(kept.map(({ line }, at) => [line.product.id, at]));
  return kept.map(({ line: { product, headId }, place }) => ({
    ...product,
    place,
    setUpWith: placeOf.get(headId) ?? 0,
  }));
}

function modelResources(
  sheet: Sheet,
  planId: string,
  goal: MixGoal,
  uses: readonly LineUse[],
  isKnown: IsKnown,
): ModelResource[] {
  const lackingUse = new Map<string, Gap[]>();
  for (const { resourceId, gaps } of uses)
    if (gaps.length > 0) lackingUse.set(resourceId, [...(lackingUse.get(resourceId) ?? []), ...gaps]);
  return resourcesOfMix(sheet, planId).flatMap((row): ModelResource[] => {
    const { available, extra, premium, normalPrice } = sheet.read(mixResourceTerms, row.id);
    const ofTerms = lackingOf([available, countsMoney(goal) ? premium : null]);
    if (!isKnown([...ofTerms, ...(lackingUse.get(row.id) ?? [])])) return [];
    return [
      {
        id: row.id,
        name: nameOfResource(sheet, row),
        unit: unitOfMixResource(sheet, row).text,
        available: plain(available),
        extra: plain(extra),
        normalPrice: plain(normalPrice),
        premium: countsMoney(goal) ? plain(premium) : 0,
        making: null,
      },
    ];
  });
}

function modelTotals(sheet: Sheet, planId: string, products: readonly ModelProduct[], isKnown: IsKnown): ModelTotal[] {
  const places = new Map(products.map(({ id }, index) => [id, index]));
  return sheet.rowsOf('mixTotal', 'planId', planId).flatMap(({ id, name, rule, measure }): ModelTotal[] => {
    const stated = sheet.read(mixTotalOutcome, id).stated;
    if (!isKnown(lackingOf([stated]))) return [];
    const sides = new Map(
      sheet.rowsOf('mixTotalProduct', 'totalId', id).flatMap(({ mixProductId, side }) => {
        const product = places.get(mixProductId);
        return product === undefined ? [] : [[product, side] as const];
      }),
    );
    const amount = plain(stated);
    if (measure !== 'share of all') {
      const sign = (side: MixTotalSide) => (measure === 'difference' && side === 'against' ? -1 : 1);
      const terms = [...sides].map(([product, side]) => [product, sign(side)] as const);
      return [{ id, name, rule, measure, stated: amount, units: amount, terms }];
    }
    // At most 40 % of all: 60 % of what is counted less 40 % of the rest is at most nothing.
    const share = amount / 100;
    const terms = products.map((_product, at) => [at, (sides.has(at) ? 1 : 0) - share] as const);
    return [{ id, name, rule, measure, stated: amount, units: 0, terms }];
  });
}
