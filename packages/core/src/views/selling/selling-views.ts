import { boardRowView } from './board-view.js';
import { chainView } from './chain-view.js';
import { chanceView } from './chance-view.js';
import { channelView } from './channel-view.js';
import { chargeOutView } from './charge-out-view.js';
import { comingFeesView } from './coming-fees-view.js';
import { bundleView, discountsView } from './discounts-view.js';
import { landedSalesView } from './landed-sales-view.js';
import { priceListView } from './price-list-view.js';
import { productSalesView } from './product-sales-view.js';
import { quoteSheetView, quoteView } from './quote-view.js';
import { bottleneckView, saleLeftView, sameResultView } from './sale-left-view.js';
import { candidateView, priceView, productView } from './sale-view.js';
import { sensitivityView } from './sensitivity-view.js';
import { priceStripView } from './strip-view.js';
import { targetCostView } from './target-cost-view.js';
import { view } from '../view.js';

/** The views of selling, each with the kind of row whose id it is asked with. */
export const SELLING_VIEWS = {
  channel: view('channel', (evaluation, id) => channelView(evaluation, id)),
  chargeOut: view('chargeOutRate', (evaluation, id) => chargeOutView(evaluation, id)),
  landedSales: view('shipment', (evaluation, id) => landedSalesView(evaluation, id)),
  product: view('product', (evaluation, id) => productView(evaluation, id)),
  price: view('pricePoint', (evaluation, id) => priceView(evaluation, id)),
  strip: view('pricePoint', (evaluation, id) => priceStripView(evaluation, id)),
  saleLeft: view('pricePoint', (evaluation, id) => saleLeftView(evaluation, id)),
  bottleneck: view('pricePoint', (evaluation, id) => bottleneckView(evaluation, id)),
  sameResult: view('pricePoint', (evaluation, id) => sameResultView(evaluation, id)),
  productSales: view('product', (evaluation, id) => productSalesView(evaluation, id)),
  discounts: view('pricePoint', (evaluation, id) => discountsView(evaluation, id)),
  bundle: view('pricePoint', (evaluation, id) => bundleView(evaluation, id)),
  sensitivity: view('pricePoint', (evaluation, id) => sensitivityView(evaluation, id)),
  chance: view('pricePoint', (evaluation, id) => chanceView(evaluation, id)),
  quote: view('quote', (evaluation, id) => quoteView(evaluation, id)),
  quoteSheet: view('quote', (evaluation, id) => quoteSheetView(evaluation, id)),
  priceList: view('channel', (evaluation, id) => priceListView(evaluation, id)),
  comingFees: view('channel', (evaluation, id) => comingFeesView(evaluation, id)),
  targetCost: view('pricePoint', (evaluation, id) => targetCostView(evaluation, id)),
  chain: view('pricePoint', (evaluation, id) => chainView(evaluation, id)),
  boardRow: view('product', (evaluation, id) => boardRowView(evaluation, id)),
  candidate: view('candidatePrice', (evaluation, id) => candidateView(evaluation, id)),
} as const;
