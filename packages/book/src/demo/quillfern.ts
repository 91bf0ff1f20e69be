import type { BookFile } from '../file/index.js';
import { bookBuilder, type BookBuilder } from './demo-book.js';

/**
 * The demo book: Quillfern Pottery, an invented studio. Every name and figure is made up. It looks like a business that
 * somebody runs: a few products earn little, one loses, and there are loose ends to settle.
 */
export function quillfernPottery(): BookFile {
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
  });
  const materials = addMaterials(book);
  for (const [material, quantity, unit, equalQuantity, equalUnit] of CONVERSIONS) {
    book.add('itemConversion', { materialId: at(materials, material), quantity, unit, equalQuantity, equalUnit });
  }
  const grades = addGrades(book);
  const products = addProducts(book, materials, grades);
  addRunningCosts(book);
  addPrices(book, products);
  return book.file();
}

type Ids = Readonly<Record<string, string>>;
const at = (ids: Ids, name: string): string => ids[name] as string;

/** Name, kind, base unit, supplier, pack quantity, pack unit, pack price (or none yet), valid from. */
const MATERIALS: readonly (readonly [string, string, string, string, string, string, string | null, string])[] = [
  ['White stoneware clay', 'ingredient', 'kg', 'Harrowmere Clays', '12.5', 'kg', '13.75', '2026-09-01'],
  ['Speckled stoneware clay', 'ingredient', 'kg', 'Harrowmere Clays', '12.5', 'kg', '17.90', '2026-09-01'],
  ['Porcelain body', 'ingredient', 'kg', 'Harrowmere Clays', '10', 'kg', '24.50', '2026-06-15'],
  ['White slip', 'ingredient', 'l', 'Harrowmere Clays', '5', 'l', '31.00', '2026-06-15'],
  ['Potash feldspar', 'ingredient', 'kg', 'Tolvane Minerals', '25', 'kg', '28.75', '2026-03-10'],
  ['Silica', 'ingredient', 'kg', 'Tolvane Minerals', '25', 'kg', '21.25', '2026-03-10'],
  ['Whiting', 'ingredient', 'kg', 'Tolvane Minerals', '25', 'kg', '18.40', '2026-03-10'],
  ['China clay', 'ingredient', 'kg', 'Tolvane Minerals', '25', 'kg', '26.10', '2026-03-10'],
  ['Talc', 'ingredient', 'kg', 'Tolvane Minerals', '10', 'kg', '14.20', '2025-08-20'],
  ['Zinc oxide', 'ingredient', 'kg', 'Tolvane Minerals', '5', 'kg', '36.50', '2026-03-10'],
  ['Tin oxide', 'ingredient', 'g', 'Tolvane Minerals', '500', 'g', '38.90', '2026-03-10'],
  ['Copper carbonate', 'ingredient', 'g', 'Tolvane Minerals', '500', 'g', '19.60', '2026-03-10'],
  ['Red iron oxide', 'ingredient', 'g', 'Tolvane Minerals', '1', 'kg', '7.80', '2026-03-10'],
  ['Cobalt oxide', 'ingredient', 'g', 'Tolvane Minerals', '100', 'g', null, '2026-03-10'],
  ['Wax resist', 'ingredient', 'ml', 'Harrowmere Clays', '1', 'l', '16.80', '2026-06-15'],
  ['Underglaze pencil', 'ingredient', 'each', 'Harrowmere Clays', '1', 'dozen', '41.40', '2026-06-15'],
  ['Cane handle', 'ingredient', 'each', 'Lumera Cane Works', '50', 'each', '92.50', '2026-05-04'],
  ['Cork trivet, round', 'resale', 'each', 'Lumera Cane Works', '40', 'each', '126.00', '2026-05-04'],
  ['Single-wall carton, small', 'packaging', 'each', 'Fennwick Packaging', '100', 'each', '48.00', '2026-10-01'],
  ['Double-wall carton, large', 'packaging', 'each', 'Fennwick Packaging', '50', 'each', '71.50', '2026-10-01'],
  ['Gift box, two mugs', 'packaging', 'each', 'Fennwick Packaging', '60', 'each', '111.00', '2026-10-01'],
  ['Shredded paper', 'packaging', 'kg', 'Fennwick Packaging', '10', 'kg', '27.00', '2026-10-01'],
  ['Kraft paper', 'packaging', 'm', 'Fennwick Packaging', '100', 'm', '22.40', '2026-10-01'],
  ['Paper tape', 'packaging', 'm', 'Fennwick Packaging', '6', 'each', '19.20', '2026-10-01'],
  ['Care card', 'packaging', 'each', 'Print room Oldbridge', '500', 'each', '39.00', '2026-02-12'],
  ['Maker stamp label', 'packaging', 'each', 'Print room Oldbridge', '1000', 'each', '44.00', '2026-02-12'],
  ['Ribbon', 'packaging', 'm', 'Print room Oldbridge', '50', 'm', '18.50', '2025-07-02'],
  ['Workshop biscuit bowl', 'ingredient', 'each', 'Harrowmere Clays', '24', 'each', '69.60', '2026-06-15'],
];

/** What some materials cost before: material, pack price, valid from. */
const EARLIER_PRICES: readonly (readonly [string, string, string])[] = [
  ['White stoneware clay', '12.90', '2025-09-01'],
  ['White stoneware clay', '13.20', '2026-03-01'],
  ['Tin oxide', '44.20', '2026-01-12'],
  ['Tin oxide', '36.10', '2025-06-03'],
  ['Shredded paper', '24.50', '2025-11-10'],
  ['Gift box, two mugs', '98.00', '2026-01-20'],
];

/** Material, so many of a unit, are so many of another. */
const CONVERSIONS: readonly (readonly [string, string, string, string, string])[] = [
  ['White slip', '1', 'l', '1.42', 'kg'],
  ['Cane handle', '1', 'each', '46', 'g'],
  ['Workshop biscuit bowl', '1', 'each', '380', 'g'],
  ['Ribbon', '1', 'each', '0.9', 'm'],
];

function addMaterials(book: BookBuilder): Ids {
  const suppliers: Record<string, string> = {};
  const materials: Record<string, string> = {};
  for (const [name, kind, baseUnit, supplier, packQuantity, packUnit, price, validFrom] of MATERIALS) {
    const supplierId = (suppliers[supplier] ??= book.add('supplier', { name: supplier }));
    // Tin oxide goes up and down: it is planned at its high.
    const planned = name === 'Tin oxide' ? { planningBasis: 'highest', planningMonths: 12 } : {};
    const materialId = book.add('material', { name, kind, baseUnit, ...planned });
    materials[name] = materialId;
    const earlier = EARLIER_PRICES.filter(([material]) => material === name).map(
      ([, was, from]) => [was, from] as const,
    );
    for (const [asked, from] of [[price, validFrom] as const, ...earlier]) {
      book.add('supplierPrice', {
        materialId,
        supplierId,
        packQuantity,
        packUnit,
        price: asked,
        currency: 'EUR',
        validFrom: from,
      });
    }
  }
  return materials;
}

function addGrades(book: BookBuilder): Ids {
  return {
    owner: book.add('labourGrade', {
      name: "Owner's own time",
      wagePerHour: '24',
      onCostPercent: '0',
      productivePercent: '80',
      ownersTime: true,
    }),
    maker: book.add('labourGrade', {
      name: 'Maker',
      wagePerHour: '16.50',
      onCostPercent: '22',
      productivePercent: '85',
    }),
    helper: book.add('labourGrade', {
      name: 'Studio helper',
      wagePerHour: '13.20',
      onCostPercent: '18',
      productivePercent: '90',
    }),
  };
}

interface Recipe {
  readonly fields: Record<string, unknown>;
  /** Item, quantity, unit, basis (started unit unless said), loss %. */
  readonly lines?: readonly (readonly [item: string, quantity: string, unit: string, basis?: string, loss?: string])[];
  /** Step, grade, stated as, time. */
  readonly steps?: readonly (readonly [
    name: string,
    grade: string,
    timeBasis: string,
    time: string,
    people?: string,
  ])[];
  readonly others?: readonly (readonly [name: string, amount: string, basis: string])[];
}

const RECIPES: readonly Recipe[] = [
  {
    fields: {
      name: 'Moss glaze',
      outputUnit: 'kg',
      batchSize: '10',
      yieldPercent: '96',
      note: 'Weighed dry, sold to nobody: it goes into the ware.',
    },
    lines: [
      ['Potash feldspar', '4.2', 'kg', 'batch'],
      ['Silica', '2.4', 'kg', 'batch'],
      ['Whiting', '1.8', 'kg', 'batch'],
      ['China clay', '1.1', 'kg', 'batch'],
      ['Copper carbonate', '350', 'g', 'batch', '2'],
      ['Red iron oxide', '120', 'g', 'batch', '2'],
    ],
    steps: [['Weigh and sieve', 'helper', 'minutes per batch', '75']],
  },
  {
    fields: { name: 'Everyday mug', plannedUnitsPerMonth: '240', batchSize: '60', yieldPercent: '92' },
    lines: [
      ['White stoneware clay', '420', 'g', 'started unit', '8'],
      ['Moss glaze', '38', 'g', 'started unit', '5'],
      ['Wax resist', '3', 'ml'],
      ['Maker stamp label', '1', 'each', 'good unit'],
      ['Single-wall carton, small', '1', 'each', 'good unit'],
      ['Shredded paper', '60', 'g', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Throw and turn', 'maker', 'units per hour', '11'],
      ['Pull and fix handles', 'maker', 'minutes per unit', '3'],
      ['Glaze', 'helper', 'minutes per unit', '2'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '50'],
      ['Pack', 'helper', 'minutes per unit', '2'],
    ],
    others: [['Kiln firing, bisque and glaze', '37.80', 'batch']],
  },
  {
    fields: { name: 'Breakfast bowl', plannedUnitsPerMonth: '120', batchSize: '40', yieldPercent: '90' },
    lines: [
      ['Speckled stoneware clay', '650', 'g', 'started unit', '8'],
      ['White slip', '45', 'ml', 'started unit', '10'],
      ['Maker stamp label', '1', 'each', 'good unit'],
      ['Single-wall carton, small', '1', 'each', 'good unit'],
      ['Shredded paper', '80', 'g', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Throw and turn', 'maker', 'units per hour', '9'],
      ['Slip and glaze', 'helper', 'minutes per unit', '3'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '45'],
      ['Pack', 'helper', 'minutes per unit', '2'],
    ],
    others: [['Kiln firing, bisque and glaze', '37.80', 'batch']],
  },
  {
    fields: { name: 'Teapot with cane handle', plannedUnitsPerMonth: '24', batchSize: '12', yieldPercent: '83' },
    lines: [
      ['Speckled stoneware clay', '1.35', 'kg', 'started unit', '10'],
      ['Moss glaze', '110', 'g', 'started unit', '5'],
      ['Cane handle', '1', 'each', 'good unit', '3'],
      ['Double-wall carton, large', '1', 'each', 'good unit'],
      ['Shredded paper', '220', 'g', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Throw body, lid and spout', 'maker', 'minutes per unit', '34'],
      ['Assemble', 'maker', 'minutes per unit', '16'],
      ['Glaze', 'maker', 'minutes per unit', '6'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '50'],
      ['Fix handle and pack', 'helper', 'minutes per unit', '7'],
    ],
    others: [['Kiln firing, bisque and glaze', '37.80', 'batch']],
  },
  {
    fields: { name: 'Serving platter', plannedUnitsPerMonth: '18', batchSize: '10', yieldPercent: '78' },
    lines: [
      ['White stoneware clay', '2.6', 'kg', 'started unit', '6'],
      ['White slip', '85', 'g', 'started unit', '10'],
      ['Double-wall carton, large', '1', 'each', 'good unit'],
      ['Kraft paper', '1.8', 'm', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Roll and form', 'maker', 'minutes per unit', '22'],
      ['Decorate', 'owner', 'minutes per unit', '14'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '50'],
      ['Pack', 'helper', 'minutes per unit', '6'],
    ],
    others: [['Kiln firing, bisque and glaze', '37.80', 'batch']],
  },
  {
    fields: { name: 'Cobalt side plate', batchSize: '30', yieldPercent: '88', note: 'On trial: not on sale yet.' },
    lines: [
      ['Porcelain body', '380', 'g', 'started unit', '9'],
      ['Cobalt oxide', '6', 'g'],
      ['Single-wall carton, small', '1', 'each', 'good unit'],
      ['Paper tape', '0.8', 'm', 'good unit'],
    ],
    steps: [
      ['Throw and turn', 'maker', 'units per hour', '8'],
      ['Decorate', 'owner', 'minutes per unit', '6'],
    ],
    others: [['Kiln firing, bisque and glaze', '37.80', 'batch']],
  },
  {
    fields: { name: 'Gift set, two mugs', kind: 'bundle', plannedUnitsPerMonth: '30' },
    lines: [
      ['Everyday mug', '2', 'each'],
      ['Gift box, two mugs', '1', 'each'],
      ['Ribbon', '1', 'each'],
    ],
    steps: [['Wrap', 'helper', 'minutes per unit', '6']],
  },
  {
    fields: { name: 'Cork trivet', kind: 'resale', plannedUnitsPerMonth: '40' },
    lines: [
      ['Cork trivet, round', '1', 'each', 'started unit', '1.5'],
      ['Kraft paper', '0.5', 'm', 'good unit'],
    ],
    steps: [['Check, label and pack', 'helper', 'minutes per unit', '3']],
  },
  {
    fields: { name: 'Glazing workshop, two hours', kind: 'service', plannedUnitsPerMonth: '48', batchSize: '8' },
    lines: [
      ['Workshop biscuit bowl', '1', 'each', 'started unit', '4'],
      ['Moss glaze', '60', 'g', 'started unit', '15'],
      ['Underglaze pencil', '0.25', 'each'],
    ],
    steps: [
      ['Teach', 'owner', 'minutes per batch', '120'],
      ['Prepare and clear up', 'helper', 'minutes per batch', '90'],
    ],
    others: [
      ['Kiln firing, glaze only', '21.50', 'batch'],
      ['Tea and biscuits', '1.60', 'unit'],
    ],
  },
];

function addProducts(book: BookBuilder, materials: Ids, grades: Ids): Ids {
  const products: Record<string, string> = {};
  for (const { fields, lines = [], steps = [], others = [] } of RECIPES) {
    const productId = book.add('product', fields);
    lines.forEach(([item, quantity, unit, basis = 'started unit', lossPercent = '0'], position) => {
      const to = item in products ? { componentId: at(products, item) } : { materialId: at(materials, item) };
      book.add('billLine', { productId, position, ...to, quantity, unit, basis, lossPercent });
    });
    steps.forEach(([name, grade, timeBasis, time, people = '1'], position) => {
      book.add('labourStep', { productId, position, name, gradeId: at(grades, grade), timeBasis, time, people });
    });
    others.forEach(([name, amount, basis], position) =>
      book.add('otherCost', { productId, position, name, amount, basis }),
    );
    products[fields.name as string] = productId;
  }
  return products;
}

function addRunningCosts(book: BookBuilder): void {
  const costs: readonly (readonly [string, string, string, number?, string?])[] = [
    ['Studio rent', '1450', 'month'],
    ['Electricity, standing charge and light', '168', 'month'],
    ['Business insurance', '612', 'year'],
    ['Accounts and tax return', '1150', 'year'],
    ['Phone and internet', '46', 'month'],
    ['Web shop subscription', '29', 'month'],
    ['Waste and water', '118', 'quarter'],
    ['Cleaning', '32', 'week'],
    ['Coffee for the shop', '3.20', 'day'],
    ['New kiln shelves', '840', 'one-off', 24, '2026-02-01'],
  ];
  costs.forEach(([name, amount, rhythm, months, startsOn], position) => {
    book.add('runningCost', { name, position, amount, rhythm, months: months ?? null, startsOn: startsOn ?? null });
  });
}

function addPrices(book: BookBuilder, products: Ids): void {
  const channelId = book.add('channel', {
    name: 'Own web shop',
    feePercent: '2.9',
    feeBasis: 'price paid',
    feePerOrder: '0.30',
    unitsPerOrder: '1.6',
  });
  const price = (product: string, fields: Record<string, unknown>) =>
    book.add('pricePoint', { productId: at(products, product), channelId, taxInside: true, ...fields });
  price('Everyday mug', { price: '19.50' });
  price('Breakfast bowl', { basis: 'margin', target: '18', price: '17.95', ending: '.95' });
  price('Teapot with cane handle', {
    basis: 'markup',
    target: '25',
    price: '74.00',
    ending: '.00',
    endingDirection: 'nearest',
  });
  price('Serving platter', { price: '52.00' });
  price('Gift set, two mugs', { price: '32.00' });
  price('Cork trivet', { basis: 'profit', target: '1.50', price: '6.90', ending: '.90' });
  price('Glazing workshop, two hours', { price: '36.00', taxPercent: '10' });
  const candidates = (product: string, prices: readonly string[]) =>
    prices.forEach((each, position) =>
      book.add('candidatePrice', { productId: at(products, product), channelId, position, price: each }),
    );
  candidates('Everyday mug', ['17.50', '19.50', '21.50', '24.00']);
  candidates('Glazing workshop, two hours', ['32.00', '36.00', '42.00']);
}
