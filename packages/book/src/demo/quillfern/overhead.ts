import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** The rooms of the studio, with what they need of each other. */
export function addDepartments(book: BookBuilder): Ids {
  const add = (name: string, fields: Record<string, unknown>, position: number) =>
    book.add('department', { name, position, ...fields });
  const departments = {
    'Throwing room': add('Throwing room', { basis: 'labour hours', normalCapacity: '130' }, 0),
    'Kiln room': add('Kiln room', { basis: 'machine hours', normalCapacity: '160' }, 1),
    'Glazing and packing': add('Glazing and packing', { basis: 'labour hours', normalCapacity: '110' }, 2),
    'Studio upkeep': add('Studio upkeep', { type: 'service' }, 3),
    'Materials store': add('Materials store', { type: 'service' }, 4),
  };
  const floor = book.add('apportionmentBasis', { name: 'Floor area', countedIn: 'm²' });
  const areas = ['34', '18', '30', '6', '8'];
  Object.values(departments).forEach((departmentId, index) =>
    book.add('departmentMeasure', { apportionmentBasisId: floor, departmentId, amount: areas[index] }),
  );
  // Hours of upkeep and requisitions of the store, by who uses them; each of the two serves the other.
  const uses = [
    ['Studio upkeep', ['14', '6', '18', '2', '4']],
    ['Materials store', ['40', '4', '25', '6', null]],
  ] as const;
  for (const [service, amounts] of uses)
    Object.values(departments).forEach((departmentId, index) => {
      const amount = amounts[index];
      if (amount != null) book.add('serviceUse', { serviceId: departments[service], departmentId, amount });
    });
  return { ...departments, 'Floor area': floor };
}

/** Pool, name, amount, rhythm, and what else is to be said of the bill. */
type Bill = readonly [pool: string, name: string, amount: string, rhythm: string, more?: Record<string, unknown>];

const BILLS: readonly Bill[] = [
  ['Premises', 'Studio rent', '1450', 'month', { accountCode: '6100' }],
  ['Premises', 'Electricity, standing charge and light', '168', 'month', { accountCode: '6130' }],
  ['Premises', 'Business insurance', '612', 'year', { dueMonth: 3, accountCode: '6200' }],
  ['Selling and office', 'Accounts and tax return', '1150', 'year', { dueMonth: 10, accountCode: '6710' }],
  ['Selling and office', 'Phone and internet', '46', 'month', { accountCode: '6500' }],
  ['Selling and office', 'Web shop subscription', '29', 'month', { accountCode: '6510' }],
  ['Premises', 'Waste and water', '118', 'quarter', { dueMonth: 2, accountCode: '6140' }],
  ['Studio upkeep', 'Cleaning', '32', 'week', { accountCode: '6150' }],
  ['Selling and office', 'Coffee for the shop', '3.20', 'day', { accountCode: '6800' }],
  ['Kiln room', 'New kiln shelves', '840', 'one-off', { months: 24, startsOn: '2026-02-01', accountCode: '6320' }],
  ['Kiln room', 'Kiln service and elements', '390', 'year', { dueMonth: 8, accountCode: '6320' }],
  ['Studio upkeep', 'Repairs and small tools', '42', 'month', { accountCode: '6330' }],
  ['Premises', 'Storage unit', '0', 'month', { behaviour: 'stepped', driver: 'units', accountCode: '6110' }],
  [
    'Selling and office',
    'Order supplies',
    '0.35',
    'month',
    { behaviour: 'variable', driver: 'orders', accountCode: '6420' },
  ],
];

/** The bills that come whether or not anything is made, in their pools; the rent and the storage with what is known of them ahead. */
export function addRunningCosts(book: BookBuilder, departments: Ids): Ids {
  const pool = (name: string, position: number, fields: Record<string, unknown>) =>
    book.add('costPool', { name, position, ...fields });
  const floor = at(departments, 'Floor area');
  const pools = {
    Premises: pool('Premises', 0, { apportionmentBasisId: floor, practicalMinutes: '14400' }),
    'Kiln room': pool('Kiln room', 1, { departmentId: at(departments, 'Kiln room'), practicalMinutes: '14400' }),
    'Studio upkeep': pool('Studio upkeep', 2, {
      departmentId: at(departments, 'Studio upkeep'),
      practicalMinutes: '1800',
    }),
    'Selling and office': pool('Selling and office', 3, { use: 'non-production', practicalMinutes: '4800' }),
  } satisfies Ids;
  const costs: Record<string, string> = {};
  BILLS.forEach(([poolName, name, amount, rhythm, more = {}], position) => {
    costs[name] = book.add('runningCost', {
      name,
      position,
      amount,
      rhythm,
      poolId: at(pools, poolName),
      ...more,
    });
  });
  book.add('costIncrease', { runningCostId: at(costs, 'Studio rent'), validFrom: '2027-07-01', amount: '1520' });
  const storage = at(costs, 'Storage unit');
  book.add('costStep', { runningCostId: storage, upTo: '400', amount: '45' });
  book.add('costStep', { runningCostId: storage, upTo: '700', amount: '80' });
  book.add('costStep', { runningCostId: storage, amount: '130' });
  return pools;
}

interface ActivityOf {
  readonly name: string;
  readonly level: string;
  readonly driver: string;
  readonly practicalVolume?: string;
  readonly isCharged?: boolean;
  /** Pool and minutes of each occurrence. */
  readonly timed?: readonly [pool: string, minutes: string];
  readonly takes: readonly (readonly [pool: string, percent: string])[];
}

const ACTIVITIES: readonly ActivityOf[] = [
  {
    name: 'Setting up batches',
    level: 'batch',
    driver: 'batches',
    practicalVolume: '36',
    timed: ['Studio upkeep', '45'],
    takes: [
      ['Premises', '20'],
      ['Studio upkeep', '80'],
    ],
  },
  {
    name: 'Working in the studio',
    level: 'unit',
    driver: 'labour hours',
    practicalVolume: '240',
    timed: ['Premises', '60'],
    takes: [
      ['Premises', '35'],
      ['Studio upkeep', '20'],
    ],
  },
  {
    name: 'Firing',
    level: 'unit',
    driver: 'machine hours',
    practicalVolume: '240',
    timed: ['Kiln room', '60'],
    takes: [
      ['Premises', '20'],
      ['Kiln room', '100'],
    ],
  },
  {
    name: 'Handling orders',
    level: 'batch',
    driver: 'orders',
    practicalVolume: '480',
    timed: ['Selling and office', '9'],
    takes: [['Selling and office', '50']],
  },
  {
    name: 'Developing designs',
    level: 'product',
    driver: 'typed',
    practicalVolume: '12',
    takes: [['Selling and office', '20']],
  },
  {
    name: 'Buying from abroad',
    level: 'product',
    driver: 'typed',
    practicalVolume: '8',
    takes: [
      ['Premises', '5'],
      ['Selling and office', '30'],
    ],
  },
  {
    name: 'Keeping the studio open',
    level: 'facility',
    driver: 'labour hours',
    isCharged: false,
    takes: [['Premises', '20']],
  },
];

/** Hours a month that go into a product: into its designs, and into buying for it overseas. */
const HOURS_A_MONTH = [
  ['Developing designs', 'Serving platter', '3'],
  ['Developing designs', 'Teapot with cane handle', '2'],
  ['Developing designs', 'Everyday mug', '1'],
  ['Developing designs', 'Glazing workshop, two hours', '2'],
  ['Buying from abroad', 'Cork trivet', '4.5'],
  ['Buying from abroad', 'Teapot with cane handle', '1.5'],
] as const;

/** What is done for the products and costs overhead. */
export function addActivities(book: BookBuilder, pools: Ids, products: Ids): void {
  const activities: Record<string, string> = {};
  ACTIVITIES.forEach(({ timed, takes, ...fields }, position) => {
    const [pool, minutes] = timed ?? [];
    const activityId = book.add('activity', {
      ...fields,
      position,
      minutes: minutes ?? null,
      resourcePoolId: pool === undefined ? null : at(pools, pool),
    });
    for (const [name, percent] of takes) book.add('poolActivity', { poolId: at(pools, name), activityId, percent });
    activities[fields.name] = activityId;
  });
  for (const [activity, product, amount] of HOURS_A_MONTH)
    book.add('activityUse', {
      activityId: at(activities, activity),
      productId: at(products, product),
      amount,
      per: 'month',
    });
  book.add('timeTerm', {
    activityId: at(activities, 'Handling orders'),
    name: 'Wrapping a gift',
    minutes: '4',
    condition: 'category',
    matches: 'gifts',
  });
  book.add('timeTerm', {
    activityId: at(activities, 'Setting up batches'),
    name: 'Laying out materials',
    minutes: '2',
    times: 'bill line',
    condition: 'all',
  });
}

/** The methods that stand beside each other, and two months of what really came of the overhead. */
export function addMethods(book: BookBuilder, departments: Ids): void {
  [
    { name: 'Single rate', type: 'single rate', role: 'book' },
    { name: 'By department', type: 'by department', serviceMethod: 'reciprocal' },
    { name: 'By activity', type: 'activities' },
    { name: 'By time', type: 'time-driven activities' },
  ].forEach((fields, position) => book.add('costingMethod', { position, ...fields }));
  [
    { month: '2026-09-01', amount: '2058', basisQuantity: '221', standardQuantity: '214' },
    { month: '2026-10-01', amount: '1996', basisQuantity: '236', standardQuantity: '241' },
  ].forEach((fields) => book.add('overheadActual', fields));
  book.add('overheadActual', {
    month: '2026-10-01',
    departmentId: at(departments, 'Kiln room'),
    amount: '462',
    basisQuantity: '131',
    standardQuantity: '128',
  });
  book.add('chargeOutRate', { name: 'Commissions and repairs', incomePerYear: '32000', runningCostPercent: '25' });
}
