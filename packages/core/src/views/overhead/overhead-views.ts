import { cashCosts, overheadTotals, poolCost, productDriverUse } from '../../overhead/index.js';
import { WHOLE_BOOK } from '../../sheet/index.js';
import { shown, shownAll } from '../general/figure-view.js';
import { absorbedView } from './absorbed-view.js';
import { activitiesView } from './activities-view.js';
import { behaviourView } from './behaviour-view.js';
import { billShareView } from './bill-share-view.js';
import { departmentsView } from './departments-view.js';
import { droppedView, methodEffectView } from './method-effect-view.js';
import { methodsView } from './methods-view.js';
import { overheadView } from './overhead-view.js';
import { profitView } from './profit-view.js';
import { runYearView } from './run-year-view.js';
import { view } from '../view.js';

/** The views of overhead, each with the kind of row whose id it is asked with. */
export const OVERHEAD_VIEWS = {
  overhead: view(null, (evaluation, _id) => overheadView(evaluation)),
  runYear: view(null, (evaluation, _id) => runYearView(evaluation)),
  behaviour: view(null, (evaluation, _id) => behaviourView(evaluation)),
  departments: view(null, (evaluation, _id) => departmentsView(evaluation)),
  activities: view(null, (evaluation, _id) => activitiesView(evaluation)),
  methods: view(null, (evaluation, id) => methodsView(evaluation, id)),
  methodEffect: view('costingMethod', (evaluation, id) => methodEffectView(evaluation, id)),
  billShare: view('runningCost', (evaluation, id) => billShareView(evaluation, id)),
  poolCost: view('costPool', (evaluation, id) => shown(evaluation, poolCost, id, 'all')),
  driverUse: view('product', (evaluation, id) => shown(evaluation, productDriverUse, id, 'perUnit')),
  methodTotals: view('costingMethod', (evaluation, id) =>
    shownAll(evaluation, overheadTotals, id, ['toAssign', 'assigned', 'unused', 'unassigned']),
  ),
  dropped: view('product', (evaluation, id) => droppedView(evaluation, id)),
  absorbed: view('overheadActual', (evaluation, id) => absorbedView(evaluation, id)),
  profit: view(null, (evaluation, id) => profitView(evaluation, id)),
  cashCosts: view(null, (evaluation, _id) => shownAll(evaluation, cashCosts, WHOLE_BOOK, ['notPaid', 'repayments'])),
} as const;
