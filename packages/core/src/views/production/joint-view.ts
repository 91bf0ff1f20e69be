import { JOINT_METHODS, type JointMethod } from '@nuvar/book';
import {
  bestUse,
  furtherProcessing,
  jointBatch,
  jointPart,
  jointShare,
  type OutputUse,
  outputsOf,
} from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** What is best done with an output. */
export type JointUse = OutputUse;

type ShareFigures = Readonly<Record<'share' | 'perUnit' | 'profit' | 'margin', FigureView>>;

export interface JointView extends Readonly<
  Record<
    'jointCost' | 'byProducts' | 'toSplit' | 'sales' | 'furtherCosts' | 'profit' | 'margin' | 'bestProfit',
    FigureView
  >
> {
  /** By the id of the output: its share under the method of the batch and under each of the four. */
  readonly outputs: Readonly<
    Record<
      string,
      ShareFigures & {
        readonly basis: FigureView;
        readonly methods: Readonly<Record<JointMethod, ShareFigures>>;
        /** What going further than split-off brings; null where it cannot be sold at split-off, or goes no further. */
        readonly further: Readonly<Record<'more' | 'cost' | 'gain', FigureView>> | null;
        /** What is best done with it; null while that is not known. */
        readonly use: OutputUse | null;
        readonly worth: FigureView;
      }
    >
  >;
}

/** A joint batch with its outputs: what each bears under the four methods, and whether it is worth taking further. */
export function jointView(evaluation: Evaluation, id: string): JointView {
  const shareAt = (key: string) => shownAll(evaluation, jointShare, key, ['share', 'perUnit', 'profit', 'margin']);
  return {
    ...shownAll(evaluation, jointBatch, id, [
      'jointCost',
      'byProducts',
      'toSplit',
      'sales',
      'furtherCosts',
      'profit',
      'margin',
      'bestProfit',
    ]),
    outputs: Object.fromEntries(
      outputsOf(evaluation.sheet, id).map((output) => [
        output.id,
        {
          ...shareAt(output.id),
          basis: shown(evaluation, jointPart, output.id, 'basis'),
          methods: Object.fromEntries(
            JOINT_METHODS.map((method) => [method, shareAt(`${output.id}@${method}`)]),
          ) as Record<JointMethod, ShareFigures>,
          further:
            output.splitOffPrice === null || output.finalPrice === null
              ? null
              : shownAll(evaluation, furtherProcessing, output.id, ['more', 'cost', 'gain']),
          use: evaluation.read(bestUse, output.id).use,
          worth: shown(evaluation, bestUse, output.id, 'worth'),
        },
      ]),
    ),
  };
}
