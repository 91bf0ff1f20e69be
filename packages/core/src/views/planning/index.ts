export type { MixNote } from './mix-notes.js';
export type { MixResourceView } from './mix-resource-view.js';
export type { MixComponentView, MixScheduleView, MixSlotView, MixSoldView, MixStockView } from './mix-schedule-view.js';
export type { MixRankingView, MixUseView } from './mix-ranking-view.js';
export type { MixModelView } from './mix-model-view.js';
export type { MixProductView } from './mix-products-view.js';
export type { MixOutcomeView, MixTotalView, MixView } from './mix-view.js';
export type { DecisionAlternative, DecisionLine, DecisionRole, DecisionView } from './decision-view.js';
export { plainDecimal, quantitiesOfPlan } from './mix-model-view.js';
