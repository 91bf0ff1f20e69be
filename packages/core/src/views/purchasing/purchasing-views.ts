import { comparedShipmentsView } from './compared-shipments-view.js';
import { landedPricesView } from './landed-prices-view.js';
import { landedSheetView } from './landed-sheet-view.js';
import { listedPriceView, materialView, priceHistoryView, tiedPricesView } from './material-view.js';
import { neededMaterialsView } from './needed-materials-view.js';
import { orderView, toOrderView } from './order-view.js';
import { paymentsView } from './payments-view.js';
import { shipmentPostingView } from './shipment-posting-view.js';
import { shipmentRulesView } from './shipment-rules-view.js';
import { shipmentChargeView, shipmentLineView, shipmentView, termPricesView } from './shipment-view.js';
import {
  lateChargeView,
  receiptToPostView,
  receivedView,
  stockPeriodView,
  stockRowView,
  stockTotalView,
} from './stock-view.js';
import { view } from '../view.js';

/** The views of purchasing, each with the kind of row whose id it is asked with. */
export const PURCHASING_VIEWS = {
  neededMaterials: view(null, (evaluation, _id) => neededMaterialsView(evaluation)),
  material: view('material', (evaluation, id) => materialView(evaluation, id)),
  tiedPrices: view(null, (evaluation, _id) => tiedPricesView(evaluation)),
  priceHistory: view('material', (evaluation, id) => priceHistoryView(evaluation, id)),
  listedPrice: view('supplierPrice', (evaluation, id) => listedPriceView(evaluation, id)),
  shipment: view('shipment', (evaluation, id) => shipmentView(evaluation, id)),
  shipmentLine: view('shipmentLine', (evaluation, id) => shipmentLineView(evaluation, id)),
  comparedShipments: view('shipment', (evaluation, id) => comparedShipmentsView(evaluation, id)),
  shipmentRules: view('shipment', (evaluation, id) => shipmentRulesView(evaluation, id)),
  landedSheet: view('shipment', (evaluation, id) => landedSheetView(evaluation, id)),
  landedPrices: view('shipment', (evaluation, id) => landedPricesView(evaluation, id)),
  shipmentPosting: view('shipment', (evaluation, id) => shipmentPostingView(evaluation, id)),
  orderQuantities: view('material', (evaluation, id) => orderView(evaluation, id)),
  toOrder: view(null, (evaluation, _id) => toOrderView(evaluation)),
  stockTotal: view(null, (evaluation, _id) => stockTotalView(evaluation)),
  stockRow: view('material', (evaluation, id) => stockRowView(evaluation, id)),
  stockPeriod: view(null, (evaluation, id) => stockPeriodView(evaluation, id)),
  received: view('shipment', (evaluation, id) => receivedView(evaluation, id)),
  receiptToPost: view(null, (evaluation, id) => receiptToPostView(evaluation, id)),
  lateCharge: view(null, (evaluation, id) => lateChargeView(evaluation, id)),
  payments: view('shipment', (evaluation, id) => paymentsView(evaluation, id)),
  termPrices: view('shipment', (evaluation, id) => termPricesView(evaluation, id)),
  shipmentCharge: view('shipmentCharge', (evaluation, id) => shipmentChargeView(evaluation, id)),
} as const;
