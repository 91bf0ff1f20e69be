import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** What a mix plan draws from. */
interface Sources {
  readonly products: Ids;
  readonly channels: Ids;
  readonly materials: Ids;
  readonly grades: Ids;
  readonly machines: Ids;
}

/** Product, channel, quantity tried by hand, and what else is said of it. */
type Line = readonly [product: string, channel: string, quantity: string, more?: Record<string, unknown>];

const SHORT_WEEK: readonly Line[] = [
  ['Everyday mug', 'Own web shop', '40', { maximum: '60' }],
  ['Everyday mug', 'Homeware shops', '12', { agreed: '12', maximum: '48' }],
  ['Breakfast bowl', 'Own web shop', '16', { maximum: '45' }],
  ['Teapot with cane handle', 'Own web shop', '12', { maximum: '16' }],
  ['Serving platter', 'Own web shop', '4', { maximum: '12' }],
];

const WHOLE = { countedIn: 'whole units' } as const;
const WITH_SET_UPS: readonly Line[] = [
  // Set up once for both channels.
  ['Everyday mug', 'Own web shop', '40', { ...WHOLE, maximum: '60', setUp: 'once in the plan', lot: '20' }],
  ['Everyday mug', 'Homeware shops', '12', { ...WHOLE, agreed: '12', maximum: '48' }],
  ['Breakfast bowl', 'Own web shop', '16', { ...WHOLE, maximum: '45', setUpCost: '14', lot: '12' }],
  ['Teapot with cane handle', 'Own web shop', '8', { ...WHOLE, maximum: '16', setUp: 'once in the plan', lot: '4' }],
  ['Serving platter', 'Own web shop', '4', { ...WHOLE, maximum: '12', setUpCost: '22', lot: '4' }],
];

const GIFTS: readonly Line[] = [
  ['Gift set, two mugs', 'Own web shop', '20', { ...WHOLE, maximum: '40' }],
  ['Everyday mug', 'Own web shop', '30', { ...WHOLE, maximum: '50' }],
];

/**
 * Adds the plan of a short week before the fair, in which kiln, wheel, glazing and imported handles run short; once more with
 * set-ups, one of them shared by two channels; one of gift sets, for which mugs are in stock; and one of the four weeks to the fair,
 * over which stock is carried. Gives the id of the first.
 */
export function addMixPlans(book: BookBuilder, sources: Sources): string {
  const shortWeek = addPlan(book, sources, { name: 'Short week before the fair', openDays: '4' }, SHORT_WEEK);
  addPlan(book, sources, { name: 'Short week, whole pieces and set-ups', openDays: '4' }, WITH_SET_UPS);
  addGiftPlan(book, sources);
  addFourWeeks(book, sources);
  return shortWeek;
}

function addGiftPlan(book: BookBuilder, { products, channels, machines, grades }: Sources): void {
  const planId = book.add('mixPlan', { name: 'Gift sets from the mugs in stock', openDays: '2' });
  addLines(book, planId, GIFTS, { products, channels });
  const resources = [
    { componentId: at(products, 'Everyday mug'), available: '48' },
    { equipmentId: at(machines, 'kiln'), available: '6' },
    { gradeId: at(grades, 'helper'), available: '4' },
  ];
  resources.forEach((resource, position) => book.add('mixResource', { planId, position, ...resource }));
}

const WEEKS = ['First week', 'Second week', 'Third week', 'Week of the fair'];

const STORED = { storageCost: '0.05' } as const;
const FOUR_WEEKS: readonly Line[] = [
  ['Everyday mug', 'Own web shop', '0', { ...WHOLE, ...STORED, openingStock: '24', closingStock: '12', lot: '12' }],
  ['Everyday mug', 'Homeware shops', '0', WHOLE],
  ['Breakfast bowl', 'Own web shop', '0', { ...WHOLE, ...STORED, setUpCost: '14', lot: '12' }],
  ['Teapot with cane handle', 'Own web shop', '0', { ...WHOLE, storageCost: '0.15', setUpCost: '18' }],
];

/** What each line could sell in each week at most, and what is made and sold of it as tried by hand. */
const DEMANDS: readonly (readonly string[])[] = [
  ['20', '30', '45', '80'],
  ['24', '12', '24', '12'],
  ['10', '20', '30', '60'],
  ['3', '4', '8', '14'],
];
const MADE: readonly (readonly string[])[] = [
  ['30', '40', '50', '50'],
  [],
  ['12', '18', '24', '24'],
  ['4', '4', '6', '4'],
];
const SOLD: readonly (readonly string[])[] = [
  ['20', '30', '35', '50'],
  ['12', '12', '12', '11'],
  ['10', '18', '24', '26'],
  ['3', '4', '6', '5'],
];

function addFourWeeks(book: BookBuilder, sources: Sources): void {
  const { machines, grades, materials } = sources;
  const planId = book.add('mixPlan', { name: 'Four weeks to the fair', openDays: '20', interestPercent: '6' });
  const lines = addLines(book, planId, FOUR_WEEKS, sources);
  const periods = WEEKS.map((name, position) => book.add('mixPeriod', { planId, position, name, openDays: '5' }));
  const resources = [
    { equipmentId: at(machines, 'kiln'), available: '120', extra: '16', extraPrice: '9' },
    { equipmentId: at(machines, 'wheel'), available: '56' },
    { gradeId: at(grades, 'helper'), available: '44', extra: '8', extraPrice: '26' },
    { materialId: at(materials, 'Cane handle'), available: '9' },
  ].map((resource, position) => book.add('mixResource', { planId, position, ...resource }));
  // A parcel of handles comes in the third week.
  book.add('mixPeriodResource', { periodId: periods[2], resourceId: resources[3], available: '12' });
  lines.forEach((mixProductId, line) =>
    periods.forEach((periodId, period) =>
      book.add('mixPeriodProduct', {
        ...{ periodId, mixProductId, maximum: DEMANDS[line]?.[period] },
        ...{ made: MADE[line]?.[period] ?? '0', sold: SOLD[line]?.[period] ?? '0' },
      }),
    ),
  );
}

/** Adds the lines of a plan; gives their ids. */
function addLines(
  book: BookBuilder,
  planId: string,
  lines: readonly Line[],
  { products, channels }: Pick<Sources, 'products' | 'channels'>,
): string[] {
  return lines.map(([product, channel, quantity, more], position) =>
    book.add('mixProduct', {
      planId,
      position,
      productId: at(products, product),
      channelId: at(channels, channel),
      quantity,
      ...more,
    }),
  );
}

function addPlan(
  book: BookBuilder,
  { products, channels, materials, grades, machines }: Sources,
  fields: Record<string, unknown>,
  lines: readonly Line[],
): string {
  const planId = book.add('mixPlan', { goal: 'profit after set-up', ...fields });
  const added = addLines(book, planId, lines, { products, channels });
  const resources = [
    { equipmentId: at(machines, 'kiln'), available: '27', extra: '4', extraPrice: '9' },
    { equipmentId: at(machines, 'wheel'), available: '12' },
    { gradeId: at(grades, 'helper'), available: '8', extra: '2', extraPrice: '26' },
    { materialId: at(materials, 'Cane handle'), available: '9' },
  ];
  resources.forEach((resource, position) => book.add('mixResource', { planId, position, ...resource }));
  const totalId = book.add('mixTotal', {
    planId,
    name: 'Large pieces that can be packed',
    rule: 'at most',
    units: '26',
  });
  for (const mixProductId of added.slice(2)) book.add('mixTotalProduct', { totalId, mixProductId });
  return planId;
}
