import type { FigureView } from '../general/figure-view.js';

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
