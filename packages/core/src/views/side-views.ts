import type { Evaluation } from '../sheet/index.js';
import { bridgeView, differenceView, sidesView } from './what-if/sides-view.js';

/** What can be asked of several evaluations beside each other, as plain data. The first side is what the others are compared with. */
export const SIDE_VIEWS = {
  sides: sidesView,
  bridge: bridgeView,
  difference: differenceView,
} as const;

export type SideViewName = keyof typeof SIDE_VIEWS;
export type SideViewOf<Name extends SideViewName> = ReturnType<(typeof SIDE_VIEWS)[Name]>;

/** True for the name of a view over several sides. */
export const isSideViewName = (value: string): value is SideViewName => Object.hasOwn(SIDE_VIEWS, value);

/** One of them, asked for by its name. */
export const sideView = (name: SideViewName, sides: readonly Evaluation[], id: string): unknown =>
  SIDE_VIEWS[name](sides, id);
