export { effectOf, type EffectView } from './effect-view.js';
export type { NumberedWorkings, StepPart, WorkingStep } from './numbered-workings.js';
export type { LeverView } from './levers-view.js';
export type { FigureView, GapView } from './figure-view.js';
export type { LooseEnd } from './loose-end.js';
export type { OverviewProduct, OverviewView } from './overview-view.js';
export type { PartView, WorkingView } from './working-view.js';
