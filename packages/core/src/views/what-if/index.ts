export { overrideWords, type DifferenceWords } from './row-words.js';
export { goalView, type GoalAsked, type GoalInput, type GoalValue, type GoalView } from './goal-seek-view.js';
export { twoInputsView, type BridgeView, type DifferenceView } from './sides-view.js';
export { type WhatIfChangeView, type WhatIfMarks, type WhatIfView } from './what-if-view.js';
export { besideBaseline } from './beside-baseline.js';
