import { gapSentence } from '../../figure/index.js';
import { decimal } from '../../number/index.js';
import { limitsByProduct, type MixModel, mixModel, productsOfMix } from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import type { GapView } from '../general/figure-view.js';
import type { MixSlotView } from './mix-schedule-view.js';

/** A mix plan as the solver is given it, apart from the quantities tried by hand. */
export interface MixModelView {
  readonly model: MixModel;
  /** By product of the plan: how much of it its limits allow by themselves, the end of its bar. Null where nothing limits it. */
  readonly rooms: readonly (number | null)[];
  readonly gaps: readonly GapView[];
}

const MODEL_VIEWS = new WeakMap<object, MixModelView>();

/** The model of a plan. It is the same object as long as nothing in it has changed, so that it is not sent again. */
export function mixModelView(evaluation: Evaluation, planId: string): MixModelView {
  const ofPlan = evaluation.read(mixModel, planId);
  const known = MODEL_VIEWS.get(ofPlan);
  if (known !== undefined) return known;
  const { model, gaps } = ofPlan;
  const limits = limitsByProduct(model);
  const rooms = new Map(model.products.map(({ place }, at) => [place, limits[at] ?? null]));
  const view: MixModelView = {
    model,
    rooms: productsOfMix(evaluation.sheet, planId).map((_row, place) => {
      const room = rooms.get(place) ?? null;
      return room === null || !Number.isFinite(room) ? null : room;
    }),
    gaps: gaps.map((gap) => ({
      code: gap.code,
      sentence: gapSentence(gap),
      stated: gap.stated,
      place: gap.place,
      values: gap.values,
    })),
  };
  MODEL_VIEWS.set(ofPlan, view);
  return view;
}

const PLACES = 12;

/** A number of the solver as a plain decimal, without an exponent, with the twelve places that a quantity can have. Its noise was taken off before. */
export const plainDecimal = (value: number): string =>
  Number.isFinite(value) ? decimal(String(value)).toDecimalPlaces(PLACES).toFixed() : '0';

/** Quantities by product of a model as decimals by quantity of the plan, as an outcome is asked for; what the model leaves out is not made. */
export function quantitiesOfPlan(
  slots: readonly Pick<MixSlotView, 'id'>[],
  model: MixModel,
  quantities: readonly number[],
): string[] {
  const places = new Map(model.products.map(({ id }, at) => [id, at]));
  return slots.map(({ id }) => plainDecimal(quantities[places.get(id) ?? -1] ?? 0));
}
