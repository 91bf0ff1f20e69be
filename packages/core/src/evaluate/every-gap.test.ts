import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { sharedOut } from '../overhead/index.js';
import type { Evaluation } from '../sheet/index.js';
import { evaluated, workshop, type Workshop, type WorkshopFields } from '../testing/evaluated.js';
import { reportOf, VIEWS } from '../views/index.js';
import { GAPS } from './index.js';

type Ids = Omit<Workshop, 'rows'>;
type Look = (evaluation: Evaluation, ids: Workshop) => unknown;

const nothing: Look = () => null;
/** What the method of the book shares out over no product, and why. */
const notSharedOut: Look = ({ sheet }) =>
  sheet.read(sharedOut, sheet.all('costingMethod')[0]?.id ?? '').unassigned.map(({ gap }) => ({ code: gap?.code }));
const first = (evaluation: Evaluation, kind: Parameters<Evaluation['sheet']['all']>[0]) =>
  evaluation.sheet.all(kind)[0]?.id ?? '';

const MONTH = { month: '2026-10-01', amount: '900', budgetAmount: '800', budgetQuantity: '10', basisQuantity: '10' };

/** What makes a gap appear: fields of the workshop, more rows, and where to look where neither report nor loose ends tell it. */
const RAISED: readonly (readonly [code: string, fields: WorkshopFields, look?: Look])[] = [
  ['no-standard-price', { settings: { planningBasis: 'standard' } }],
  ['no-pack-conversion', { supplierPrice: { packUnit: 'each' } }],
  [
    'no-hours-a-year',
    { more: (book, { product }) => machine(book, product, { purchasePrice: '1000', lifeYears: '5' }) },
  ],
  [
    'no-charge-in-price',
    {
      more: (book) =>
        void book.add('shipment', { name: 'Hooks', date: '2026-10-01', deliveryTerm: 'CIF', currency: 'EUR' }),
    },
    (evaluation) => VIEWS.termPrices(evaluation, first(evaluation, 'shipment')),
  ],
  [
    'no-delivery-term',
    { more: (book) => void book.add('shipment', { name: 'Hooks', date: '2026-10-01', currency: 'EUR' }) },
    (evaluation) => evaluation.figure(`priceUnderTerm/${first(evaluation, 'shipment')}@CIF/price`)?.gaps,
  ],
  ['no-stock-day', { product: { finishedStock: '5' } }],
  [
    'more-in-stock-than-absorbed',
    { more: (book) => void book.add('overheadActual', { ...MONTH, absorbedInStock: '900' }) },
  ],
  ['no-sheet-size', { billLine: { partLength: '300', partWidth: '200' } }],
  ['no-part-size', { material: { sheetLength: '900', sheetWidth: '600' }, billLine: { partLength: '300' } }],
  [
    'part-does-not-fit',
    { material: { sheetLength: '900', sheetWidth: '600' }, billLine: { partLength: '300', partWidth: '901' } },
  ],
  ['pool-without-activity', { more: (book, ids) => activity(book, ids, { amount: '2' }, '60') }, notSharedOut],
  [
    'service-unused',
    {
      more: (book) => {
        method(book, 'by department');
        serviceOf(book, 'Canteen');
      },
    },
    notSharedOut,
  ],
  [
    'services-in-a-circle',
    {
      more: (book) => {
        method(book, 'by department', { serviceMethod: 'reciprocal' });
        const [one, other] = [serviceOf(book, 'Canteen'), serviceOf(book, 'Cleaning')];
        book.add('serviceUse', { serviceId: one, departmentId: other, amount: '1' });
        book.add('serviceUse', { serviceId: other, departmentId: one, amount: '1' });
      },
    },
    notSharedOut,
  ],
  [
    'no-batch-size',
    { more: (book, { product: productId }) => void book.add('candidateBatch', { productId }) },
    (evaluation, { product }) => VIEWS.batchSizes(evaluation, product),
  ],
  [
    'frozen-in-other-currency',
    {
      more: (book, { product: productId }) => {
        const frozenCardId = book.add('frozenCard', { productId, name: 'Spring', frozenOn: '2026-03-01' });
        const amounts = { quantity: '1', unit: 'kg', price: '2', currency: 'USD' };
        book.add('frozenLine', { frozenCardId, source: 'x', element: 'materials', label: 'Stuff', ...amounts });
      },
    },
    (evaluation) => VIEWS.frozen(evaluation, first(evaluation, 'frozenCard')),
  ],
  [
    'margin-takes-all',
    { more: (book, { channel: channelId }) => void book.add('chainStep', { channelId, name: 'Shop', percent: '100' }) },
    (evaluation, { point }) => VIEWS.chain(evaluation, point),
  ],
  [
    'no-invested',
    { pricePoint: { basis: 'return', target: '10' } },
    (evaluation, { point }) => VIEWS.price(evaluation, point),
  ],
  [
    'earned-nothing-before',
    {
      // The fee takes nearly all above 15.00, and nothing of what 14.00 are after the discount.
      fees: [{ takenOf: 'price paid', bands: [{ upTo: '15', percent: '0' }, { percent: '95' }] }],
      pricePoint: { discountPercent: '30' },
    },
    (evaluation, { point }) => VIEWS.price(evaluation, point),
  ],
  ['no-floor-cost', { more: (book, { product }) => machine(book, product, { floorSpace: '4', hoursPerYear: '500' }) }],
  ['no-paid-hours', { labourGrade: { holidayHoursPerYear: '200' } }],
  [
    'no-hours-at-work',
    { labourGrade: { paidHoursPerYear: '1800', holidayHoursPerYear: '1000', absenceHoursPerYear: '800' } },
  ],
  ['no-machine', { more: (book, { product: productId }) => void book.add('equipmentUse', { productId, amount: '5' }) }],
  ['no-run-size', { more: (book, { product }) => load(book, product, { hoursPerRun: null }) }],
  ['no-use-amount', { more: (book, { product }) => machine(book, product, { powerKilowatts: '1' }, { amount: null }) }],
  [
    'no-scrap',
    { more: (book, { product: productId }) => void book.add('recoveredScrap', { productId, name: 'Offcuts' }) },
  ],
  [
    'no-cost-amount',
    { more: (book, { product: productId }) => void book.add('otherCost', { productId, name: 'Licence' }) },
  ],
  ['no-start', { runningCost: { rhythm: 'one-off', months: 12 } }],
  ['no-driver-units', { more: (book, ids) => activity(book, ids, { amount: null }) }],
  [
    'no-planned-output',
    { plannedVolume: { unitsPerMonth: '0' }, more: (book, ids) => activity(book, ids, { amount: '2', per: 'month' }) },
  ],
  ['no-practical-minutes', { more: (book, ids) => timed(book, ids, { minutes: '5' }) }],
  ['no-minutes', { more: (book, ids) => timed(book, ids, { minutes: null }) }],
  [
    'no-actual',
    { more: (book) => void book.add('overheadActual', { month: '2026-10-01', basisQuantity: '10' }) },
    (evaluation) => VIEWS.absorbed(evaluation, first(evaluation, 'overheadActual')),
  ],
  ['no-actual-basis', { more: (book) => void method(book, 'single rate', { capacity: 'actual' }) }],
  [
    'nothing-packed',
    { more: (book, { channel: channelId }) => void book.add('packingLine', { channelId, quantity: '1' }) },
  ],
  [
    'no-packing-quantity',
    {
      more: (book, { channel: channelId, material: materialId }) =>
        void book.add('packingLine', { channelId, materialId, unit: 'kg' }),
    },
  ],
  [
    'packing-unit',
    {
      more: (book, { channel: channelId, material: materialId }) =>
        void book.add('packingLine', { channelId, materialId, quantity: '1', unit: 'm' }),
    },
  ],
  ['no-target', { pricePoint: { basis: 'margin', target: null } }],
  ['price-is-typed', {}],
  [
    'no-candidate-price',
    {
      more: (book, { product: productId, channel: channelId }) =>
        void book.add('candidatePrice', { productId, channelId }),
    },
  ],
  [
    'no-decision-price',
    { more: (book, { product: productId }) => void book.add('decision', { name: 'Buy it', productId }) },
    (evaluation) => VIEWS.decision(evaluation, first(evaluation, 'decision')),
  ],
  ['nothing-planned-in-channel', { plannedVolume: { unitsPerMonth: '0' }, fees: [{ takenOf: 'month', amount: '9' }] }],
  ['no-goods', { more: (book) => void shipment(book) }],
  ['no-line-quantity', { more: (book, { material }) => line(book, material, { quantity: null }) }],
  ['no-line-price', { more: (book, { material }) => line(book, material, { price: null }) }],
  [
    'no-common-unit',
    {
      more: (book, { material: materialId }) => {
        const shipmentId = line(book, materialId, {});
        book.add('shipmentLine', { shipmentId, position: 1, materialId, unit: 'each', quantity: '1', price: '1' });
        book.add('shipmentCharge', { shipmentId, currency: 'EUR', amount: '5', basis: 'quantity' });
      },
    },
  ],
  [
    'no-goods-value',
    { more: (book, { material }) => void line(book, material, { price: '0' }) },
    (evaluation) => VIEWS.shipmentLine(evaluation, first(evaluation, 'shipmentLine')),
  ],
  [
    'not-linked',
    {
      more: (book, { product: productId }) =>
        void book.add('billLine', { productId, text: 'Glitter', quantity: '1', unit: 'g' }),
    },
  ],
  ['no-grade', { labourStep: { gradeId: null } }],
  ['no-time', { labourStep: { time: null } }],
  [
    'season-of-zero',
    {
      more: (book, { product: productId, channel: channelId }) => {
        const none = Object.fromEntries(MONTHS.map((month) => [month, '0']));
        const seasonId = book.add('season', { name: 'Never', ...none });
        book.add('plannedVolume', { productId, channelId, unitsPerMonth: '5', seasonId });
      },
    },
    (evaluation) => VIEWS.volumes(evaluation, 'book'),
  ],
  [
    'space-or-time',
    { more: (book, { product }) => machine(book, product, { powerKilowatts: '1' }) },
    // A change is refused that would make it so; what is tried is not.
    (evaluation, { product }) => {
      const id = first(evaluation, 'equipmentUse');
      const fork = evaluation.fork([{ kind: 'equipmentUse', id, field: 'basis', how: 'set', value: 'space per unit' }]);
      return VIEWS.card(fork, product);
    },
  ],
  [
    'fee-of-a-product',
    { fees: [{ takenOf: 'weight', amount: '1' }] },
    (evaluation, { channel }) => VIEWS.channel(evaluation, `${channel}@20`),
  ],
  [
    'no-mix-price',
    {
      more: (book, { product: productId }) => {
        const channelId = book.add('channel', { name: 'Market' });
        book.add('mixProduct', { planId: book.add('mixPlan', { name: 'Week' }), productId, channelId });
      },
    },
  ],
  [
    'no-mix-revenue',
    {
      more: (book) =>
        void book.add('mixProduct', {
          planId: book.add('mixPlan', { name: 'Week', goal: 'revenue' }),
          name: 'Thing',
          contribution: '5',
        }),
    },
    (evaluation) => VIEWS.mix(evaluation, first(evaluation, 'mixPlan')),
  ],
  [
    'no-mix-cost',
    {
      more: (book) =>
        void book.add('mixProduct', {
          planId: book.add('mixPlan', { name: 'Week', goal: 'least cost' }),
          name: 'Thing',
          contribution: '5',
        }),
    },
    (evaluation) => VIEWS.mix(evaluation, first(evaluation, 'mixPlan')),
  ],
  [
    'no-mix-total',
    { more: (book) => void book.add('mixTotal', { planId: book.add('mixPlan', { name: 'Week' }), name: 'All' }) },
    (evaluation) => VIEWS.mix(evaluation, first(evaluation, 'mixPlan')),
  ],
];

type Book = Parameters<NonNullable<WorkshopFields['more']>>[0];

function machine(book: Book, productId: string, fields: object, use: object = { amount: '5' }): void {
  const equipmentId = book.add('equipment', { name: 'Kiln', ...fields });
  book.add('equipmentUse', { productId, equipmentId, ...use });
}

function load(book: Book, productId: string, fields: object, basis = 'space per unit'): void {
  const equipmentId = book.add('equipment', { name: 'Kiln', powerKilowatts: '2' });
  const runId = book.add('equipmentRun', { name: 'Firing', equipmentId, ...fields });
  book.add('equipmentUse', { productId, runId, amount: '1', basis });
}

const method = (book: Book, type: string, fields: object = {}): string =>
  book.add('costingMethod', { name: 'Ours', type, role: 'book', ...fields });

function serviceOf(book: Book, name: string): string {
  const id = book.add('department', { name, type: 'service' });
  const poolId = book.add('costPool', { name, departmentId: id });
  book.add('runningCost', { name, amount: '100', poolId });
  return id;
}

function activity(book: Book, { product: productId }: Ids, use: object, percent = '100'): void {
  method(book, 'activities');
  const activityId = book.add('activity', { name: 'Design', driver: 'typed' });
  const poolId = book.add('costPool', { name: 'Desk' });
  book.add('runningCost', { name: 'Desk rent', amount: '100', poolId });
  book.add('poolActivity', { poolId, activityId, percent });
  book.add('activityUse', { activityId, productId, ...use });
}

function timed(book: Book, ids: Ids, fields: object): void {
  method(book, 'time-driven activities');
  const poolId = book.add('costPool', { name: 'Desk' });
  book.add('runningCost', { name: 'Desk rent', amount: '100', poolId });
  const activityId = book.add('activity', { name: 'Ordering', driver: 'typed', resourcePoolId: poolId, ...fields });
  book.add('activityUse', { activityId, productId: ids.product, amount: '1', per: 'unit' });
}

const MONTHS = [
  ...['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october'],
  ...['november', 'december'],
];

const shipment = (book: Book): string => book.add('shipment', { name: 'Goods', date: '2026-05-01', currency: 'EUR' });

function line(book: Book, materialId: string, fields: object): string {
  const shipmentId = shipment(book);
  book.add('shipmentLine', { shipmentId, materialId, unit: 'kg', quantity: '1', price: '1', ...fields });
  return shipmentId;
}

/** The codes of all gaps and loose ends of a book. */
function codesOf(fields: WorkshopFields, look: Look): ReadonlySet<string> {
  const made = workshop(fields);
  const evaluation = evaluated(made.rows);
  const seen = JSON.stringify([reportOf(evaluation), look(evaluation, made)]);
  return new Set([...seen.matchAll(/"code":"([a-z-]+)"/g)].map(([, code = '']) => code));
}

describe('a gap', () => {
  const raised = RAISED.map(([code, fields, look = nothing]) => ({ code, fields, look }));
  it.each(raised)('$code is told where something lacks it', ({ code, fields, look }) => {
    expect(GAPS).toHaveProperty(code);
    expect([...codesOf(fields, look)]).toContain(code);
  });
});

it('is said in a sentence that names what it is about, as it is on record', async () => {
  const lines = RAISED.map(([code, fields, look = nothing]) => {
    const made = workshop(fields);
    const evaluation = evaluated(made.rows);
    const said = new Set<string>();
    JSON.stringify([reportOf(evaluation), look(evaluation, made)], (_key, value: unknown) => {
      if (typeof value !== 'object' || value === null || !('code' in value) || value.code !== code) return value;
      const { sentence = '', values = {} } = value as { sentence?: string; values?: Record<string, string> };
      said.add(sentence.replace(/\{(\w+)\}/g, (mark, name: string) => values[name] ?? mark));
      return value;
    });
    return `${code}: ${[...said].join(' / ')}`;
  });
  expect(lines.join('\n')).not.toMatch(/\{\w+\}|undefined/);
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('gap-sentences.txt');
});

/** The texts of all tests of this package. */
function testsBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return testsBelow(path);
    return entry.name.endsWith('.test.ts') ? [readFileSync(path, 'utf8')] : [];
  });
}

it('of every kind is named by a test, so that none is added that nothing raises', () => {
  const tests = testsBelow(fileURLToPath(new URL('..', import.meta.url))).join('\n');
  const unnamed = Object.keys(GAPS).filter((code) => !new RegExp(`['"\`]${code}[ '"\`]`).test(tests));
  expect(unnamed).toEqual([]);
});
