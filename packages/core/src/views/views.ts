import { cashCosts, overheadTotals, poolCost, productDriverUse } from '../overhead/index.js';
import { mixVolumes } from '../planning/index.js';
import { equipmentRate, labourRate, sheetLayout } from '../production/index.js';
import { type Evaluation, WHOLE_BOOK } from '../sheet/index.js';
import { absorbedView } from './absorbed-view.js';
import { activitiesView } from './activities-view.js';
import { batchSizesView } from './batch-sizes-view.js';
import { behaviourView } from './behaviour-view.js';
import { billShareView } from './bill-share-view.js';
import { cardByMethodView } from './card-by-method-view.js';
import { cardView } from './card-view.js';
import { boardRowView } from './board-view.js';
import { bundleView } from './discounts-view.js';
import { chanceView } from './chance-view.js';
import { sensitivityView } from './sensitivity-view.js';
import { priceListView } from './price-list-view.js';
import { quoteSheetView, quoteView } from './quote-view.js';
import { comingFeesView } from './coming-fees-view.js';
import { chainView } from './chain-view.js';
import { discountsView } from './discounts-view.js';
import { productSalesView } from './product-sales-view.js';
import { bottleneckView, saleLeftView, sameResultView } from './sale-left-view.js';
import { targetCostView } from './target-cost-view.js';
import { channelView } from './channel-view.js';
import { chargeOutView } from './charge-out-view.js';
import { comparedShipmentsView } from './compared-shipments-view.js';
import { againstView, frozenView } from './comparison-view.js';
import { equipmentYearView, labourYearView } from './costs-of-a-year-view.js';
import { costCardSheetView } from './cost-card-sheet-view.js';
import { decisionView } from './decision-view.js';
import { departmentsView } from './departments-view.js';
import { loadView } from './equipment-view.js';
import { shown, shownAll } from './figure-view.js';
import { freezableView } from './freezable-view.js';
import { looseEndsView } from './loose-ends-view.js';
import { landedSheetView } from './landed-sheet-view.js';
import { landedSalesView } from './landed-sales-view.js';
import { listedPriceView, materialView, priceHistoryView, tiedPricesView } from './material-view.js';
import { orderView, toOrderView } from './order-view.js';
import { jointView } from './joint-view.js';
import { droppedView, methodEffectView } from './method-effect-view.js';
import { methodsView } from './methods-view.js';
import { mixRankingView, mixUseView } from './mix-ranking-view.js';
import { mixStockTermsView } from './mix-schedule-view.js';
import { mixApartView, mixBesideView, mixModelView, mixOutcomeView, mixView } from './mix-view.js';
import { neededMaterialsView } from './needed-materials-view.js';
import { numberedView } from './numbered-workings.js';
import { overheadView } from './overhead-view.js';
import { overviewView } from './overview-view.js';
import { profitView } from './profit-view.js';
import { runYearView } from './run-year-view.js';
import { candidateView, priceView, productView } from './sale-view.js';
import { landedPricesView } from './landed-prices-view.js';
import { paymentsView } from './payments-view.js';
import { shipmentPostingView } from './shipment-posting-view.js';
import { shipmentChargeView, shipmentLineView, shipmentView, termPricesView } from './shipment-view.js';
import { shipmentRulesView } from './shipment-rules-view.js';
import { orderNeedsView } from './order-needs-view.js';
import {
  lateChargeView,
  receiptToPostView,
  receivedView,
  stockPeriodView,
  stockRowView,
  stockTotalView,
} from './stock-view.js';
import { usesView } from './uses-view.js';
import { volumesView } from './volumes-view.js';
import { leversOf } from './levers-view.js';
import { priceStripView } from './strip-view.js';
import { workingView } from './working-view.js';

/** Everything that can be asked of an evaluation as plain data: by screens through the worker, by scripts over HTTP. */
export const VIEWS = {
  overview: (evaluation: Evaluation, _id: string) => overviewView(evaluation),
  looseEnds: (evaluation: Evaluation, _id: string) => looseEndsView(evaluation),
  overhead: (evaluation: Evaluation, _id: string) => overheadView(evaluation),
  runYear: (evaluation: Evaluation, _id: string) => runYearView(evaluation),
  volumes: (evaluation: Evaluation, _id: string) => volumesView(evaluation),
  behaviour: (evaluation: Evaluation, _id: string) => behaviourView(evaluation),
  departments: (evaluation: Evaluation, _id: string) => departmentsView(evaluation),
  activities: (evaluation: Evaluation, _id: string) => activitiesView(evaluation),
  methods: (evaluation: Evaluation, id: string) => methodsView(evaluation, id),
  methodEffect: (evaluation: Evaluation, id: string) => methodEffectView(evaluation, id),
  cardByMethod: (evaluation: Evaluation, id: string) => cardByMethodView(evaluation, id),
  billShare: (evaluation: Evaluation, id: string) => billShareView(evaluation, id),
  poolCost: (evaluation: Evaluation, id: string) => shown(evaluation, poolCost, id, 'all'),
  driverUse: (evaluation: Evaluation, id: string) => shown(evaluation, productDriverUse, id, 'perUnit'),
  methodTotals: (evaluation: Evaluation, id: string) =>
    shownAll(evaluation, overheadTotals, id, ['toAssign', 'assigned', 'unused', 'unassigned']),
  costCardSheet: (evaluation: Evaluation, id: string) => costCardSheetView(evaluation, id),
  numbered: (evaluation: Evaluation, key: string) => numberedView(evaluation, key),
  neededMaterials: (evaluation: Evaluation, _id: string) => neededMaterialsView(evaluation),
  dropped: (evaluation: Evaluation, id: string) => droppedView(evaluation, id),
  absorbed: (evaluation: Evaluation, id: string) => absorbedView(evaluation, id),
  joint: (evaluation: Evaluation, id: string) => jointView(evaluation, id),
  profit: (evaluation: Evaluation, id: string) => profitView(evaluation, id),
  channel: (evaluation: Evaluation, id: string) => channelView(evaluation, id),
  chargeOut: (evaluation: Evaluation, id: string) => chargeOutView(evaluation, id),
  material: (evaluation: Evaluation, id: string) => materialView(evaluation, id),
  tiedPrices: (evaluation: Evaluation, _id: string) => tiedPricesView(evaluation),
  priceHistory: (evaluation: Evaluation, id: string) => priceHistoryView(evaluation, id),
  listedPrice: (evaluation: Evaluation, id: string) => listedPriceView(evaluation, id),
  shipment: (evaluation: Evaluation, id: string) => shipmentView(evaluation, id),
  shipmentLine: (evaluation: Evaluation, id: string) => shipmentLineView(evaluation, id),
  comparedShipments: (evaluation: Evaluation, id: string) => comparedShipmentsView(evaluation, id),
  shipmentRules: (evaluation: Evaluation, id: string) => shipmentRulesView(evaluation, id),
  landedSales: (evaluation: Evaluation, id: string) => landedSalesView(evaluation, id),
  landedSheet: (evaluation: Evaluation, id: string) => landedSheetView(evaluation, id),
  landedPrices: (evaluation: Evaluation, id: string) => landedPricesView(evaluation, id),
  shipmentPosting: (evaluation: Evaluation, id: string) => shipmentPostingView(evaluation, id),
  orderQuantities: (evaluation: Evaluation, id: string) => orderView(evaluation, id),
  toOrder: (evaluation: Evaluation, _id: string) => toOrderView(evaluation),
  stockTotal: (evaluation: Evaluation, _id: string) => stockTotalView(evaluation),
  stockRow: (evaluation: Evaluation, id: string) => stockRowView(evaluation, id),
  stockPeriod: (evaluation: Evaluation, id: string) => stockPeriodView(evaluation, id),
  received: (evaluation: Evaluation, id: string) => receivedView(evaluation, id),
  receiptToPost: (evaluation: Evaluation, id: string) => receiptToPostView(evaluation, id),
  orderNeeds: (evaluation: Evaluation, id: string) => orderNeedsView(evaluation, id),
  lateCharge: (evaluation: Evaluation, id: string) => lateChargeView(evaluation, id),
  payments: (evaluation: Evaluation, id: string) => paymentsView(evaluation, id),
  termPrices: (evaluation: Evaluation, id: string) => termPricesView(evaluation, id),
  shipmentCharge: (evaluation: Evaluation, id: string) => shipmentChargeView(evaluation, id),
  labourRate: (evaluation: Evaluation, id: string) => shown(evaluation, labourRate, id, 'perHour'),
  equipment: (evaluation: Evaluation, id: string) => shown(evaluation, equipmentRate, id, 'perHour'),
  sheetLayout: (evaluation: Evaluation, id: string) =>
    shownAll(evaluation, sheetLayout, id, ['perSheet', 'perPart', 'usedPercent']),
  cashCosts: (evaluation: Evaluation, _id: string) =>
    shownAll(evaluation, cashCosts, WHOLE_BOOK, ['notPaid', 'repayments']),
  labourYear: (evaluation: Evaluation, id: string) => labourYearView(evaluation, id),
  equipmentYear: (evaluation: Evaluation, id: string) => equipmentYearView(evaluation, id),
  run: (evaluation: Evaluation, id: string) => loadView(evaluation, id),
  card: (evaluation: Evaluation, id: string) => cardView(evaluation, id),
  batchSizes: (evaluation: Evaluation, id: string) => batchSizesView(evaluation, id),
  freezable: (evaluation: Evaluation, id: string) => freezableView(evaluation, id),
  frozen: (evaluation: Evaluation, id: string) => frozenView(evaluation, id),
  against: (evaluation: Evaluation, id: string) => againstView(evaluation, id),
  uses: (evaluation: Evaluation, id: string) => usesView(evaluation, id),
  product: (evaluation: Evaluation, id: string) => productView(evaluation, id),
  price: (evaluation: Evaluation, id: string) => priceView(evaluation, id),
  strip: (evaluation: Evaluation, id: string) => priceStripView(evaluation, id),
  saleLeft: (evaluation: Evaluation, id: string) => saleLeftView(evaluation, id),
  bottleneck: (evaluation: Evaluation, id: string) => bottleneckView(evaluation, id),
  sameResult: (evaluation: Evaluation, id: string) => sameResultView(evaluation, id),
  productSales: (evaluation: Evaluation, id: string) => productSalesView(evaluation, id),
  discounts: (evaluation: Evaluation, id: string) => discountsView(evaluation, id),
  bundle: (evaluation: Evaluation, id: string) => bundleView(evaluation, id),
  sensitivity: (evaluation: Evaluation, id: string) => sensitivityView(evaluation, id),
  chance: (evaluation: Evaluation, id: string) => chanceView(evaluation, id),
  quote: (evaluation: Evaluation, id: string) => quoteView(evaluation, id),
  quoteSheet: (evaluation: Evaluation, id: string) => quoteSheetView(evaluation, id),
  priceList: (evaluation: Evaluation, id: string) => priceListView(evaluation, id),
  comingFees: (evaluation: Evaluation, id: string) => comingFeesView(evaluation, id),
  targetCost: (evaluation: Evaluation, id: string) => targetCostView(evaluation, id),
  chain: (evaluation: Evaluation, id: string) => chainView(evaluation, id),
  boardRow: (evaluation: Evaluation, id: string) => boardRowView(evaluation, id),
  decision: (evaluation: Evaluation, id: string) => decisionView(evaluation, id),
  mix: (evaluation: Evaluation, id: string) => mixView(evaluation, id),
  mixModel: (evaluation: Evaluation, id: string) => mixModelView(evaluation, id),
  mixOutcome: (evaluation: Evaluation, id: string) => mixOutcomeView(evaluation, id),
  mixVolumes: (evaluation: Evaluation, id: string) => mixVolumes(evaluation.sheet, id),
  mixBeside: (evaluation: Evaluation, id: string) => mixBesideView(evaluation, id),
  mixApart: (evaluation: Evaluation, id: string) => mixApartView(evaluation, id),
  mixRanking: (evaluation: Evaluation, id: string) => mixRankingView(evaluation, id),
  mixUse: (evaluation: Evaluation, id: string) => mixUseView(evaluation, id),
  mixStockTerms: (evaluation: Evaluation, id: string) => mixStockTermsView(evaluation, id),
  candidate: (evaluation: Evaluation, id: string) => candidateView(evaluation, id),
  working: (evaluation: Evaluation, id: string) => workingView(evaluation, id),
  levers: (evaluation: Evaluation, id: string) => leversOf(evaluation, id, 5),
} as const;

export type ViewName = keyof typeof VIEWS;
export type ViewOf<Name extends ViewName> = ReturnType<(typeof VIEWS)[Name]>;

/** True for the name of a view that can be asked for. */
export function isViewName(value: string): value is ViewName {
  return Object.hasOwn(VIEWS, value);
}
