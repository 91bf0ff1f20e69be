import type { MixGoal } from '@nuvar/book';
import type { Gap } from '../../figure/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { madeResources, mixComponentUse } from './mix-component.js';
import type { MixModelOfPlan, ModelProduct, ModelResource, ModelUse } from './mix-model.js';
import { fixedCostsOfMix } from './mix-outcome.js';
import { resourcesOfMix } from './mix-quantities.js';
import { mixProductTerms, nameInMix, outputInMix } from './mix-product.js';
import { mixResourceTerms, nameOfResource, unitOfMixResource } from './mix-resource.js';
import { mixUse } from './mix-use.js';
import {
  countsMoney,
  countsSetUps,
  GAIN,
  gapsOfModel,
  goalOf,
  type IsKnown,
  lackingOf,
  modelTotals,
  plain,
  plainOr,
} from './model-parts.js';
import { isInPeriods } from './periods/mix-periods.js';
import { scheduleModel } from './periods/schedule-model.js';
import { setUpHead } from './set-up-head.js';

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
      gaps: lackingOf([gain, countsSetUps(goal) ? terms.setUpCost : null, terms.step, terms.batch]),
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
        batch: plainOr(terms.batch, null),
        setUpCost: countsSetUps(goal) ? plain(terms.setUpCost) : 0,
        useful: null,
        isCost: false,
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
    if (isInPeriods(sheet, planId)) return scheduleModel(sheet, planId);
    const { isKnown, all } = gapsOfModel();
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
        totals: modelTotals(sheet, planId, new Map(products.map(({ id }, at) => [id, [at]])), isKnown),
        isInPeriods: false,
        secondsAtMost: Number(plan?.secondsAtMost ?? '10'),
        gapPercent: Number(plan?.gapPercent ?? '0'),
      },
      gaps: all(),
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
        isStock: false,
      },
    ];
  });
}
