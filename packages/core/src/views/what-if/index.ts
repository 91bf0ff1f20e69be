export { overrideWords, type DifferenceWords } from './row-words.js';
export { goalView, type GoalAsked, type GoalValue, type GoalView } from './goal-seek-view.js';
export type { BridgeView } from './sides-view.js';
export { twoInputsView, type TriedInput, type TwoInputsAsked, type TwoInputsView } from './two-inputs-view.js';
export type { GoalInput } from './goal-inputs.js';
export { type WhatIfChangeView, type WhatIfMarks, type WhatIfView } from './what-if-view.js';
export { besideBaseline } from './beside-baseline.js';
