import { equipmentRate, labourRate, sheetLayout } from '../../production/index.js';
import { shown, shownAll } from '../general/figure-view.js';
import { batchSizesView } from './batch-sizes-view.js';
import { equipmentYearView, labourYearView } from './costs-of-a-year-view.js';
import { loadView } from './equipment-view.js';
import { jointView } from './joint-view.js';
import { orderNeedsView } from './order-needs-view.js';
import { usesView } from './uses-view.js';
import { volumesView } from './volumes-view.js';
import { view } from '../view.js';

/** The views of production, each with the kind of row whose id it is asked with. */
export const PRODUCTION_VIEWS = {
  volumes: view(null, (evaluation, _id) => volumesView(evaluation)),
  joint: view('jointProcess', (evaluation, id) => jointView(evaluation, id)),
  orderNeeds: view(null, (evaluation, id) => orderNeedsView(evaluation, id)),
  labourRate: view('labourGrade', (evaluation, id) => shown(evaluation, labourRate, id, 'perHour')),
  equipment: view('equipment', (evaluation, id) => shown(evaluation, equipmentRate, id, 'perHour')),
  sheetLayout: view('billLine', (evaluation, id) =>
    shownAll(evaluation, sheetLayout, id, ['perSheet', 'perPart', 'usedPercent']),
  ),
  labourYear: view('labourGrade', (evaluation, id) => labourYearView(evaluation, id)),
  equipmentYear: view('equipment', (evaluation, id) => equipmentYearView(evaluation, id)),
  run: view('equipmentRun', (evaluation, id) => loadView(evaluation, id)),
  batchSizes: view('product', (evaluation, id) => batchSizesView(evaluation, id)),
  uses: view('product', (evaluation, id) => usesView(evaluation, id)),
} as const;
