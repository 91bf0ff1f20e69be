import type { Kind } from '@nuvar/book';
import type { Evaluation } from '../sheet/index.js';

/** Something that can be asked of an evaluation as plain data. */
export interface View<Result> {
  readonly askedWith: Kind | null;
  readonly show: (evaluation: Evaluation, id: string) => Result;
}

/** A view, with the kind of row whose id it is asked with; null for one over the whole book, or of no row. */
export const view = <Result>(askedWith: Kind | null, show: View<Result>['show']): View<Result> => ({ askedWith, show });
