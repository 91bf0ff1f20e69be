import type { MixGoal, MixTotalMeasure, MixTotalRule } from '@nuvar/book';
import type { Gap } from '../../figure/index.js';

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
  /** Of what it and the lines that share its set-up are a multiple together; null where that does not matter. */
  readonly batch: number | null;
  /** What its set-up takes off the goal; zero where the goal does not count it. */
  readonly setUpCost: number;
  /** The place in the model of the line that says its set-up and its lot: its own, or that of its product in another channel. */
  readonly setUpWith: number;
  /** Its place among the quantities of the plan: those that lack something are left out of the model. Less than zero where it is none. */
  readonly place: number;
  /** More than that is of no use to anybody; null where that is not said. It is no limit, and is never given as a reason. */
  readonly useful: number | null;
  /** True of what only costs, such as making for stock: what it adds to the goal is said as a cost. */
  readonly isCost: boolean;
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
  /** True of the stock of a product at the end of a period: it is spoken of only where more of it brings something. */
  readonly isStock: boolean;
}

/** What making one of a component takes of a resource. */
export interface ModelMaking {
  readonly resource: number;
  readonly perUnit: number;
}

/** What a unit takes of a resource; below zero for what it adds to it. */
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
  /** True of a plan of several periods: its products are what is made and what is sold in each of them, its resources too. */
  readonly isInPeriods: boolean;
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
