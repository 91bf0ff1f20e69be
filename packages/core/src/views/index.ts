export type { AbsorbedView } from './absorbed-view.js';
export type { EquipmentYearView, LabourYearView } from './costs-of-a-year-view.js';
export type { ActivitiesView } from './activities-view.js';
export type { BatchSizesView } from './batch-sizes-view.js';
export type { BehaviourView } from './behaviour-view.js';
export type { BillShare } from './bill-share-view.js';
export type { CardByMethod, CardByMethodView, OverheadLineView } from './card-by-method-view.js';
export type { ChargeOutView } from './charge-out-view.js';
export type { CardLine, CardView } from './card-view.js';
export type { ComparedRow } from './compared-shipments-view.js';
export type { ComparedLineView, ComparisonView } from './comparison-view.js';
export type { CostCardSheetView, SheetCard, SheetMethod } from './cost-card-sheet-view.js';
export type { DepartmentsView, ServiceMethodView } from './departments-view.js';
export { effectOf, type EffectView } from './effect-view.js';
export type { PaymentsView } from './payments-view.js';
export type { JointUse, JointView } from './joint-view.js';
export type { LandedSaleView } from './landed-sales-view.js';
export type { LandedSheetView, SheetCharge, SheetLine } from './landed-sheet-view.js';
export type { NumberedWorkings, StepPart, WorkingStep } from './numbered-workings.js';
export type { LeverView } from './levers-view.js';
export type { LoadView } from './equipment-view.js';
export type { FigureView, GapView } from './figure-view.js';
export type { FreezableView } from './freezable-view.js';
export { LOOSE_END_TITLES } from './loose-end-titles.js';
export type { LooseEnd } from './loose-end.js';
export type { MaterialView, PriceHistoryPoint } from './material-view.js';
export type { NeededMaterial } from './needed-materials-view.js';
export type { DroppedView, PriceEffect } from './method-effect-view.js';
export { MOST_METHODS, type MethodsView, type MethodView, type ProductByMethod } from './methods-view.js';
export type { OrderOptionView, OrderView } from './order-view.js';
export type { LotView, OverheadView, UnassignedView } from './overhead-view.js';
export type { OverviewProduct, OverviewView } from './overview-view.js';
export type { ProfitView } from './profit-view.js';
export { reportOf, type Report } from './report.js';
export type { RunYearView } from './run-year-view.js';
export type { CandidateView, PriceView, ProductView } from './sale-view.js';
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
export { STRIP_PARTS, type StripPart, type StripView } from './strip-view.js';
export { isViewName, VIEWS, type ViewName, type ViewOf } from './views.js';
export { VOLUME_DRIVERS_SHOWN, type VolumesView } from './volumes-view.js';
export type { UsedInView, UsesView } from './uses-view.js';
export { workAhead } from './work-ahead.js';
export type { PartView, WorkingView } from './working-view.js';
export type { BoardCell, BoardRow, PriceStanding } from './board-view.js';
export { repricedOf, type RepricedBoard, type RepricedView, type Repricing } from './repriced-view.js';
export type { PriceListRow, PriceListView } from './price-list-view.js';
export type { QuoteOptionView, QuoteSheetView, SentFields } from './quote-view.js';
export type { ComingFees } from './coming-fees-view.js';
export type { ChanceView } from './chance-view.js';
export type { ClosingInput } from './target-cost-view.js';
export type { ProductSale } from './product-sales-view.js';
export type { SaleColumn, SaleLeftView, SaleLine } from './sale-left-view.js';
export type { MovingInput, SensitivityView } from './sensitivity-view.js';
export type { MixNote } from './mix-notes.js';
export type { MixResourceView } from './mix-resource-view.js';
export type { MixComponentView, MixScheduleView, MixSlotView, MixSoldView, MixStockView } from './mix-schedule-view.js';
export type { MixRankingView, MixUseView } from './mix-ranking-view.js';
export type { MixModelView, MixOutcomeView, MixProductView, MixTotalView, MixView } from './mix-view.js';
export type { DecisionAlternative, DecisionLine, DecisionRole, DecisionView } from './decision-view.js';
export {
  differenceWords,
  endWords,
  inGoal,
  limitWords,
  listed,
  MIX_GOAL_WORDS,
  MIX_OUTCOME_WORDS,
  moneyDigits,
  type MixWriting,
  oneInWords,
  shortageWords,
  totalRule,
} from './mix-sentences.js';
export { mixReasons, type MixReason, rankingWords } from './mix-reasons.js';
export { plainDecimal, quantitiesOfPlan } from './mix-view.js';
