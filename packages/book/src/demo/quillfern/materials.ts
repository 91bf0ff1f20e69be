import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Name, kind, base unit, supplier, pack quantity, pack unit, pack price (or none yet), valid from, currency where it is not the book's. */
const MATERIALS: readonly (readonly [
  string,
  string,
  string,
  string,
  string,
  string,
  string | null,
  string,
  string?,
])[] = [
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
  ['Cane handle', 'ingredient', 'each', 'Lumera Cane Works', '50', 'each', '101.00', '2026-05-04', 'USD'],
  ['Cork trivet, round', 'resale', 'each', 'Lumera Cane Works', '40', 'each', '137.50', '2026-05-04', 'USD'],
  ['Single-wall carton, small', 'packaging', 'each', 'Fennwick Packaging', '100', 'each', '48.00', '2026-10-01'],
  ['Double-wall carton, large', 'packaging', 'each', 'Fennwick Packaging', '50', 'each', '71.50', '2026-10-01'],
  ['Gift box, two mugs', 'packaging', 'each', 'Fennwick Packaging', '60', 'each', '111.00', '2026-10-01'],
  ['Shredded paper', 'packaging', 'kg', 'Fennwick Packaging', '10', 'kg', '27.00', '2026-10-01'],
  ['Kraft paper', 'packaging', 'm', 'Fennwick Packaging', '100', 'm', '22.40', '2026-10-01'],
  ['Paper tape', 'packaging', 'm', 'Fennwick Packaging', '6', 'each', '19.20', '2026-10-01'],
  ['Care card', 'packaging', 'each', 'Print room Oldbridge', '500', 'each', '39.00', '2026-02-12'],
  ['Maker stamp label', 'packaging', 'each', 'Print room Oldbridge', '1000', 'each', '44.00', '2026-02-12'],
  ['Ribbon', 'packaging', 'm', 'Print room Oldbridge', '50', 'm', '18.50', '2025-07-02'],
  ['Workshop biscuit bowl', 'ingredient', 'each', 'Harrowmere Clays', '1', 'tray', '69.60', '2026-06-15'],
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

/** When some materials are ordered again, in base units. */
const REORDERED: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  'White stoneware clay': { reorderLevel: '120' },
  'Cane handle': { reorderLevel: '100' },
  'Gift box, two mugs': { reorderLevel: '60' },
};

/** Lower prices of the newest price for larger orders: from so many packs, the price of a pack. */
const BREAKS: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  'White stoneware clay': [
    ['20', '13.20'],
    ['80', '12.80'],
  ],
  'Gift box, two mugs': [['5', '104.00']],
};

/** Material, so many of a unit, are so many of another. */
const CONVERSIONS: readonly (readonly [string, string, string, string, string])[] = [
  ['White slip', '1', 'l', '1.42', 'kg'],
  ['Cane handle', '1', 'each', '46', 'g'],
  ['Workshop biscuit bowl', '1', 'tray', '24', 'each'],
  ['Workshop biscuit bowl', '1', 'each', '380', 'g'],
  ['Ribbon', '1', 'each', '0.9', 'm'],
];

/** What some materials are planned by, beside the newest price. */
const PLANNED: Readonly<Record<string, Record<string, unknown>>> = {
  // Tin oxide goes up and down: it is planned at its high.
  'Tin oxide': { planningBasis: 'highest', planningMonths: 12 },
  'Kraft paper': { planningBasis: 'standard' },
  'Cane handle': { landedAddOn: '12' },
  'Cork trivet, round': { landedAddOn: '14' },
  'Gift box, two mugs': { bufferPercent: '3' },
};

/** The shelf on which a material stands. */
const CATEGORIES: Readonly<Record<string, readonly string[]>> = {
  clay: ['White stoneware clay', 'Speckled stoneware clay', 'Porcelain body', 'White slip'],
  'glaze powder': [
    'Potash feldspar',
    'Silica',
    'Whiting',
    'China clay',
    'Talc',
    'Zinc oxide',
    'Tin oxide',
    'Copper carbonate',
    'Red iron oxide',
    'Cobalt oxide',
  ],
};

export function addMaterials(book: BookBuilder): { readonly materials: Ids; readonly suppliers: Ids } {
  book.add('bookUnit', { name: 'tray' });
  for (const [validFrom, rate] of [
    ['2026-01-01', '0.92'],
    ['2026-05-01', '0.9155'],
    ['2026-09-01', '0.928'],
  ] as const)
    book.add('exchangeRate', { currency: 'USD', validFrom, rate });
  const suppliers: Record<string, string> = {};
  const materials: Record<string, string> = {};
  for (const [
    name,
    kind,
    baseUnit,
    supplier,
    packQuantity,
    packUnit,
    price,
    validFrom,
    currency = 'EUR',
  ] of MATERIALS) {
    const supplierId = (suppliers[supplier] ??= book.add('supplier', { name: supplier }));
    const category = Object.keys(CATEGORIES).find((each) => CATEGORIES[each]?.includes(name)) ?? '';
    const materialId = book.add('material', { name, kind, baseUnit, category, ...PLANNED[name], ...REORDERED[name] });
    materials[name] = materialId;
    const earlier = EARLIER_PRICES.filter(([material]) => material === name);
    const all = [[price, validFrom] as const, ...earlier.map(([, was, from]) => [was, from] as const)];
    for (const [asked, from] of all) {
      const minimumOrder = supplier === 'Fennwick Packaging' ? '2' : null;
      const priceId = book.add('supplierPrice', {
        materialId,
        supplierId,
        packQuantity,
        packUnit,
        price: asked,
        currency,
        validFrom: from,
        minimumOrder,
      });
      if (asked !== price) continue;
      for (const [fromPacks, lower] of BREAKS[name] ?? []) book.add('priceBreak', { priceId, fromPacks, price: lower });
    }
  }
  book.add('standardPrice', { materialId: at(materials, 'Kraft paper'), validFrom: '2026-01-01', price: '0.23' });
  for (const [material, quantity, unit, equalQuantity, equalUnit] of CONVERSIONS)
    book.add('itemConversion', { materialId: at(materials, material), quantity, unit, equalQuantity, equalUnit });
  return { materials, suppliers };
}
