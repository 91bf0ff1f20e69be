import type { BookFile } from '../../file/index.js';
import type { Kind } from '../../kinds.js';
import { bookBuilder } from '../demo-book.js';
import { addPrices } from './business.js';
import { addChannels } from './channels.js';
import { addDecisions } from './decisions.js';
import { addFrozenCard } from './frozen-card.js';
import { movedByMonths, wholeMonthsBetween } from '../moved-by-months.js';
import { at } from './ids.js';
import { addActivities, addDepartments, addMethods, addRunningCosts } from './overhead.js';
import { addMaterials } from './materials.js';
import { addMixPlans } from './mix.js';
import { addJointBatch } from './joint.js';
import { addPlan } from './plan.js';
import { addProducts } from './products.js';
import { addQuote } from './quotes.js';
import { addShipments } from './shipments.js';
import { addStock } from './stock.js';
import { addWhatIfs } from './what-ifs.js';
import { addGrades, addMachines } from './work-and-machines.js';

/** The day for which the demo book is written. Its figures stay as they are until a month later. */
export const DEMO_DAY = '2026-11-25';

/**
 * The demo book: Quillfern Pottery, an invented studio. Every name and figure is made up. It looks like a business that
 * somebody runs: a few products earn little, one loses, and there are loose ends to settle. All days in it are moved by
 * whole months to lie about `today` as they lie about the day for which it is written: no price grows old, no quote runs out.
 */
export function quillfernPottery(today = DEMO_DAY): BookFile {
  const book = bookBuilder();
  book.add('settings', {
    name: 'Quillfern Pottery',
    currency: 'EUR',
    locale: 'en-IE',
    salesTaxPercent: '20',
    pricesIncludeTax: true,
    openDaysPerWeek: 5,
    closedDaysPerYear: '20',
    normalLabourHoursPerMonth: '240',
    electricityPerKilowattHour: '0.29',
    costPerOrder: '14',
    holdingPercent: '18',
    letterhead: 'Quillfern Pottery\nThe Old Dairy, Fernhollow Lane\nhello@quillfern.example',
  });
  const { materials, suppliers } = addMaterials(book);
  const departments = addDepartments(book);
  const grades = addGrades(book, departments);
  const machines = addMachines(book, departments);
  const products = addProducts(book, materials, { grades, machines, departments });
  addFrozenCard(book, { materials, grades, products, machines });
  const pools = addRunningCosts(book, departments);
  const channels = addChannels(book, materials, at(grades, 'helper'));
  addPrices(book, products, channels);
  addPlan(book, products, channels);
  addActivities(book, pools, products);
  addMethods(book, departments);
  addJointBatch(book);
  const lines = addShipments(book, materials, at(suppliers, 'Lumera Cane Works'));
  addStock(book, materials, lines);
  addQuote(book, materials, grades, machines);
  const shortWeek = addMixPlans(book, { products, channels, materials, grades, machines });
  addDecisions(book, { products, grades, machines, shortWeek });
  addWhatIfs(book, { materials, products, channels, pools });
  return movedByMonths(book.file(), wholeMonthsBetween(DEMO_DAY, today));
}

/** What the studio budgeted in the summer, as a baseline: cheaper clay, a lower rent, fewer and cheaper mugs at the market. */
export function quillfernBudget(today = DEMO_DAY): BookFile {
  const file = quillfernPottery(today);
  const named = (kind: Kind, name: string) => file.rows[kind]?.find((row) => row.name === name)?.id;
  const [clay, mug] = [named('material', 'White stoneware clay'), named('product', 'Everyday mug')];
  const market = named('channel', 'Weekend market');
  const set = (kind: Kind, is: (row: Row) => boolean, fields: Row) =>
    (file.rows[kind] ?? []).map((row) => (is(row) ? { ...row, ...fields } : row));
  return {
    ...file,
    rows: {
      ...file.rows,
      supplierPrice: set('supplierPrice', ({ materialId }) => materialId === clay, { price: '12.60' }),
      plannedVolume: set('plannedVolume', ({ productId, channelId }) => productId === mug && channelId === market, {
        unitsPerMonth: '48',
      }),
      pricePoint: set('pricePoint', ({ productId, channelId }) => productId === mug && channelId === market, {
        price: '17.50',
      }),
      runningCost: set('runningCost', ({ name }) => name === 'Studio rent', { amount: '1420' }),
    },
  };
}

type Row = Readonly<Record<string, unknown>>;
