export type { CardByMethod, CardByMethodView, OverheadLineView } from './card-by-method-view.js';
export type { CardLine, CardView } from './card-view.js';
export type { ComparedLineView, ComparisonView } from './comparison-view.js';
export type { CostCardSheetView, SheetCard, SheetMethod } from './cost-card-sheet-view.js';
export type { FreezableView } from './freezable-view.js';
