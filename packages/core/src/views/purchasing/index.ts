export type { ComparedRow } from './compared-shipments-view.js';
export type { PaymentsView } from './payments-view.js';
export type { LandedSheetView, SheetCharge, SheetLine } from './landed-sheet-view.js';
export type { MaterialView, PriceHistoryPoint } from './material-view.js';
export type { NeededMaterial } from './needed-materials-view.js';
export type { OrderOptionView, OrderView } from './order-view.js';
export type { ShipmentLineView, ShipmentView } from './shipment-view.js';
export type { ShipmentPostingView } from './shipment-posting-view.js';
export type { ShipmentRuleView } from './shipment-rules-view.js';
export type {
  ReceiptToPostView,
  ReceiptView,
  ReceivedLineView,
  StockEntryView,
  StockMethodView,
  StockPeriodView,
  StockRowView,
} from './stock-view.js';
