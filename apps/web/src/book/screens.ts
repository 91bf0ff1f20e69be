import { WEEKDAYS, type Kind } from '@nuvar/book';

/** A field of a row, with what the row belongs to: the row itself where it belongs to nothing, or is not there yet. */
export interface PlaceOfRow {
  readonly field: string;
  readonly owner: string;
  readonly isOfMaterial: boolean;
}

/** How the rows of a kind are edited on a screen. */
interface Editing {
  /** Absent where all of the kind is edited there. */
  readonly when?: (at: PlaceOfRow) => boolean;
  /** The side of the detail where the field stands; the first one where it is empty. */
  readonly side?: (at: PlaceOfRow) => string;
}

export interface Screen {
  /** The route under that of the book. A parameter at its end names the row whose detail is shown. */
  readonly path: string;
  /** What the screen is called: in the search, and to those who hear it. */
  readonly name: string;
  /** True where the screen shows its title as a heading of its own; else it is said to those who hear it. */
  readonly hasHeading?: true;
  /** What it is called among the areas, where it is one. */
  readonly area?: string;
  /** The letter that leads there together with Alt and Shift. */
  readonly letter?: string;
  readonly edits?: Partial<Readonly<Record<Kind, Editing>>>;
  /** The rows that the search finds and opens here: what they are called beside their name, and the field to go to. */
  readonly finds?: readonly { readonly kind: Kind; readonly what: string; readonly field?: string }[];
}

const ABOUT = new Set([
  'madePerMonth',
  'name',
  'kind',
  'outputUnit',
  'category',
  'code',
  'gtin',
  'tags',
  'archived',
  'ruleSet',
  'note',
  'packedLength',
  'packedWidth',
  'packedHeight',
  'packedWeight',
  'packagingWeight',
]);
const OPEN_DAYS = new Set(['openDaysPerWeek', 'closedDaysPerYear', 'openDaysPerMonth', 'openDayRule', ...WEEKDAYS]);
const ORDERING = new Set(['reorderLevel', 'yearlyNeed']);
/** Of all materials, but asked for where one is ordered. */
const OF_AN_ORDER = new Set(['costPerOrder', 'holdingPercent']);
const ABOUT_SHIPMENT = new Set(['name', 'origin', 'destination', 'customsProfileId', 'customsRate', 'ruleSet', 'note']);
const RETURNS = new Set(['returnsPercent', 'refundsPostage', 'returnHandling', 'resaleablePercent', 'scrapWorth']);
const DISPATCH = new Set(['postageCharged', 'fulfilledById', 'monthsInStore', 'postageShares']);
const MIX_SIDES: Readonly<Record<string, string>> = {
  products: 'limits',
  secondsAtMost: 'limits',
  gapPercent: 'limits',
  resources: 'uses',
  interestPercent: 'periods',
};
const MIX_PRODUCT_SIDES: Readonly<Record<string, string>> = {
  quantity: '',
  openingStock: 'periods',
  closingStock: 'periods',
  storageCost: 'periods',
  keepsFor: 'periods',
};
const sideOfChannel = (field: string) => (RETURNS.has(field) ? 'returns' : DISPATCH.has(field) ? 'dispatch' : '');
const sideOf = ({ field }: PlaceOfRow, conversions: string) =>
  field === 'conversions' ? conversions : ABOUT.has(field) ? 'about' : '';

/**
 * The screens of a book, in the order in which they are listed. Routes, navigation, shortcuts, search and the way from a
 * loose end to its field follow from this table.
 */
export const SCREENS = {
  overview: { path: '', name: 'Overview', area: 'Overview', letter: 'O' },
  buy: {
    path: 'buy/:rowId?',
    name: 'Buy: materials',
    area: 'Buy',
    letter: 'B',
    edits: {
      material: { side: (at) => (ORDERING.has(at.field) ? 'order' : sideOf(at, 'units')) },
      supplier: {},
      supplierPrice: {},
      standardPrice: {},
      priceBreak: { side: () => 'order' },
      itemConversion: { when: ({ isOfMaterial }) => isOfMaterial, side: () => 'units' },
      settings: { when: ({ field }) => OF_AN_ORDER.has(field), side: () => 'order' },
    },
    finds: [{ kind: 'material', what: 'material' }],
  },
  shipments: {
    path: 'buy/shipments/:rowId?',
    name: 'Buy: shipments',
    edits: {
      shipment: { side: ({ field }) => (ABOUT_SHIPMENT.has(field) ? 'about' : '') },
      shipmentLine: {},
      shipmentCharge: {},
      chargedLine: {},
      shipmentPayment: { side: () => 'payments' },
    },
    finds: [{ kind: 'shipment', what: 'shipment' }],
  },
  stock: {
    path: 'buy/stock/:rowId?',
    name: 'Buy: stock',
    edits: { stockMovement: {}, stockPosition: {} },
    finds: [{ kind: 'material', what: 'stock' }],
  },
  chargeRules: {
    path: 'buy/rules/:rowId?',
    name: 'Charge rules',
    edits: { chargeRule: {}, ruleBracket: {} },
    finds: [{ kind: 'chargeRule', what: 'charge rule' }],
  },
  customs: {
    path: 'buy/customs',
    name: 'Customs profiles',
    hasHeading: true,
    edits: { customsProfile: {} },
    finds: [{ kind: 'customsProfile', what: 'customs profile', field: 'name' }],
  },
  import: { path: 'buy/import', name: 'Import a price list or an invoice', hasHeading: true },
  make: {
    path: 'make/:rowId?',
    name: 'Make: products',
    area: 'Make',
    letter: 'M',
    edits: {
      product: { side: (at) => sideOf(at, 'about') },
      itemConversion: { side: () => 'about' },
      billLine: {},
      recoveredScrap: {},
      labourStep: {},
      equipmentUse: {},
      otherCost: {},
      typedCost: {},
      candidateBatch: { side: () => 'batches' },
      frozenCard: { side: () => 'earlier' },
      frozenLine: { side: () => 'earlier' },
    },
    finds: [{ kind: 'product', what: 'product' }],
  },
  guide: { path: 'make/guide/:rowId?', name: 'Guide: cost a product step by step', hasHeading: true },
  grades: {
    path: 'make/grades',
    name: 'Labour grades',
    edits: { labourGrade: {} },
  },
  equipment: {
    path: 'make/equipment',
    name: 'Equipment and shared loads',
    hasHeading: true,
    edits: {
      equipment: {},
      equipmentRun: {},
      settings: { when: ({ field }) => field === 'electricityPerKilowattHour' || field === 'floorCostPerYear' },
    },
  },
  run: {
    path: 'run/:rowId?',
    name: 'Run: running costs',
    area: 'Run',
    letter: 'R',
    edits: {
      runningCost: {},
      costIncrease: {},
      costStep: {},
      settings: { when: ({ field }) => field === 'normalLabourHoursPerMonth' },
    },
    finds: [{ kind: 'runningCost', what: 'running cost', field: 'amount' }],
  },
  runYear: {
    path: 'run/year',
    name: 'Run: the year and open days',
    edits: {
      openSeason: {},
      closedDay: {},
      settings: { when: ({ field }) => OPEN_DAYS.has(field) },
    },
  },
  volumes: {
    path: 'run/volumes',
    name: 'Run: planned volumes',
    edits: { plannedVolume: {}, plannedMonth: {}, season: {} },
  },
  departments: {
    path: 'run/departments',
    name: 'Run: departments and cost pools',
    edits: { department: {}, departmentMeasure: {}, serviceUse: {}, apportionmentBasis: {}, costPool: {} },
    finds: [
      { kind: 'department', what: 'department', field: 'name' },
      { kind: 'costPool', what: 'cost pool', field: 'name' },
    ],
  },
  activities: {
    path: 'run/activities/:rowId?',
    name: 'Run: activities',
    edits: {
      activity: {},
      poolActivity: {},
      activityUse: {},
      timeTerm: {},
      costPool: { when: ({ field }) => field === 'practicalMinutes' || field === 'activities' },
    },
    finds: [{ kind: 'activity', what: 'activity' }],
  },
  methods: {
    path: 'run/methods',
    name: 'Run: costing methods',
    edits: { costingMethod: {} },
    finds: [{ kind: 'costingMethod', what: 'costing method', field: 'name' }],
  },
  absorption: {
    path: 'run/absorption/:rowId?',
    name: 'Run: over- and under-absorbed overhead',
    edits: { overheadActual: {} },
  },
  periodProfit: { path: 'run/profit', name: 'Run: marginal and absorption profit' },
  jointBatches: {
    path: 'run/joint/:rowId?',
    name: 'Run: joint batches',
    edits: { jointProcess: {}, jointOutput: {} },
    finds: [{ kind: 'jointProcess', what: 'joint batch' }],
  },
  chargeOut: {
    path: 'run/charge-out/:rowId?',
    name: 'Run: charge-out rates',
    edits: { chargeOutRate: {} },
    finds: [{ kind: 'chargeOutRate', what: 'charge-out rate' }],
  },
  sell: {
    path: 'sell/:rowId?',
    name: 'Sell: prices',
    area: 'Sell',
    letter: 'S',
    edits: {
      pricePoint: { side: ({ field }) => (field === 'marketPrice' ? 'target' : '') },
      datedPrice: {},
      quantityBreak: {},
      inputRange: { side: () => 'moves' },
    },
    finds: [{ kind: 'product', what: 'price' }],
  },
  priceBoard: { path: 'sell/board', name: 'Sell: price board' },
  channels: {
    path: 'sell/channels/:rowId?',
    name: 'Sales channels',
    edits: {
      channel: { side: ({ field }) => sideOfChannel(field) },
      feeRule: {},
      feeBand: {},
      sizeTier: {},
      packingLine: { side: () => 'dispatch' },
      postageShare: { side: () => 'dispatch' },
      chainStep: { side: () => 'chain' },
    },
    finds: [{ kind: 'channel', what: 'place to sell', field: 'name' }],
  },
  postage: {
    path: 'sell/postage/:rowId?',
    name: 'Sell: carrier tables',
    edits: { carrierTable: {}, carrierRate: {} },
    finds: [{ kind: 'carrierTable', what: 'carrier table', field: 'name' }],
  },
  quotes: {
    path: 'sell/quotes/:rowId?',
    name: 'Sell: quotes',
    edits: { quote: {}, quoteOption: { side: ({ field }) => (field.startsWith('actual') ? 'needed' : '') } },
    finds: [{ kind: 'quote', what: 'quote' }],
  },
  plan: {
    path: 'plan/:rowId?',
    name: 'Plan: break-even',
    area: 'Plan',
    letter: 'P',
    edits: { candidatePrice: {} },
  },
  mix: {
    path: 'plan/mix/:rowId?',
    name: 'Plan: product mix',
    edits: {
      mixPlan: { side: ({ field }) => MIX_SIDES[field] ?? '' },
      mixProduct: { side: ({ field }) => MIX_PRODUCT_SIDES[field] ?? 'limits' },
      mixPeriod: { side: () => 'periods' },
      mixPeriodProduct: { side: ({ field }) => (field === 'made' || field === 'sold' ? '' : 'periods') },
      mixPeriodResource: { side: ({ field }) => (field === 'made' ? '' : 'periods') },
      mixResource: { side: () => 'uses' },
      mixUse: { side: () => 'uses' },
      mixTotal: { side: () => 'limits' },
      mixTotalProduct: { side: () => 'limits' },
    },
    finds: [{ kind: 'mixPlan', what: 'mix plan', field: 'name' }],
  },
  decisions: {
    path: 'plan/decisions/:rowId?',
    name: 'Plan: make, buy or drop',
    edits: { decision: {}, decisionCost: {} },
    finds: [{ kind: 'decision', what: 'decision', field: 'name' }],
  },
  whatIfs: {
    path: 'plan/what-ifs/:rowId?',
    name: 'Plan: what-ifs',
    edits: { whatIf: {}, whatIfChange: {} },
    finds: [{ kind: 'whatIf', what: 'what-if', field: 'name' }],
  },
  compare: { path: 'plan/compare', name: 'Plan: side by side' },
  looseEnds: { path: 'loose-ends', name: 'Loose ends', hasHeading: true, letter: 'L' },
  history: { path: 'history', name: 'History', hasHeading: true, letter: 'H' },
  settings: {
    path: 'settings',
    name: 'Settings',
    hasHeading: true,
    edits: { settings: {}, salesTaxRate: {}, bookUnit: {}, exchangeRate: {}, taxRegistration: {} },
  },
} satisfies Record<string, Screen>;

export type ScreenId = keyof typeof SCREENS;
export const SCREEN_IDS = Object.keys(SCREENS) as ScreenId[];

/** A screen as any screen, whatever it says of itself. */
export const screenOf = (id: ScreenId): Screen => SCREENS[id];

/** The address of a screen under that of its book, with the row whose detail it is to show. */
export function screenPath(id: ScreenId, row?: string): string {
  const path = SCREENS[id].path.replace(/\/:\w+\?$/, row === undefined ? '' : `/${row}`);
  return path === '' ? '' : `/${path}`;
}

/**
 * Where a field is edited: the address under that of the book, with the field named in it. The first screen of the table
 * that edits it with a condition, else the one that edits all of its kind; none for a kind that is edited nowhere.
 */
export function placePath(kind: Kind, rowId: string, at: PlaceOfRow): string | null {
  const editing = SCREEN_IDS.flatMap((id) => {
    const found = screenOf(id).edits?.[kind];
    return found === undefined || found.when?.(at) === false ? [] : [{ id, ...found }];
  }).sort((one, other) => Number(one.when === undefined) - Number(other.when === undefined))[0];
  if (editing === undefined) return null;
  const side = editing.side?.(at) ?? '';
  // A supplier is edited in the list of materials, and belongs to none of them; settings belong to no row at all.
  const path = screenPath(editing.id, kind === 'supplier' || kind === 'settings' ? undefined : at.owner);
  return `${path}?at=${rowId}.${at.field}${side === '' ? '' : `&side=${side}`}`;
}
