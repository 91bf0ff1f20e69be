import { unitItems } from '../costing/index.js';
import { choice, type Figure, missing, multiplied, sum } from '../figure/index.js';
import { MONTHS_A_YEAR } from '../overhead/index.js';
import { goesInto, plannedUnits, productsUsing } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, type Sheet, YEAR } from '../sheet/index.js';
import { planningGap } from './gaps.js';

/** How much of a material is needed in a year. */
export interface MaterialNeed {
  readonly perYear: Figure;
}

/**
 * Need of a material in a year, in base units: as typed, else quantity in a unit x planned units a month x 12, over all
 * products that are planned, with what is inside their components. Gap: nothing is typed and nothing planned needs it.
 */
export const materialNeed: Calculation<MaterialNeed> = {
  name: 'materialNeed',
  meanings: { perYear: 'How much of the material is needed in a year.' },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const subject = material?.name ?? 'this material';
    const perYear = unit(material?.baseUnit ?? 'each').per(YEAR);
    const called = { name: 'Need in a year', subject };
    if (material !== undefined && material.yearlyNeed !== null) {
      const typed = sheet.input('material', material, 'yearlyNeed', { ...called, unit: perYear });
      return { perYear: choice(called, typed, 'as entered') };
    }
    const needs = plannedNeeds(sheet, materialId, subject);
    if (needs.length > 0) return { perYear: sum(called, perYear, needs) };
    const place = { kind: 'material', id: materialId, field: 'yearlyNeed' } as const;
    return { perYear: missing({ ...called, unit: perYear }, planningGap('no-yearly-need', place, { subject })) };
  },
};

function plannedNeeds(sheet: Sheet, materialId: string, subject: string): Figure[] {
  const makers = productsUsing(sheet, materialId).map(({ id }) => id);
  return sheet.all('product').flatMap((product) => {
    if (product.archived || !makers.some((id) => id === product.id || isInside(sheet, product.id, id))) return [];
    const units = plannedUnits(sheet, product.id);
    const { inUnit } = sheet.read(materialInUnit, `${materialId}@${product.id}`);
    if (units.amount === null || inUnit === null) return [];
    const monthly = multiplied({ name: `Need of ${product.name} in a month`, subject }, inUnit, units);
    return [multiplied({ name: `Need of ${product.name} in a year`, subject }, monthly, MONTHS_A_YEAR)];
  });
}

const isInside = (sheet: Sheet, productId: string, componentId: string): boolean =>
  goesInto(sheet, productId).some(({ kind, id }) => kind === 'product' && id === componentId);

/** How much of a material goes into one unit of a product; null where none does. The id is "material@product". */
const materialInUnit: Calculation<{ readonly inUnit: Figure | null }> = {
  name: 'materialInUnit',
  meanings: { inUnit: 'How much of the material goes into one unit of the product, with what is in its components.' },
  work(sheet, id) {
    const [materialId = '', productId = ''] = id.split('@');
    const subject = sheet.row('product', productId)?.name ?? '';
    const parts = unitItems(sheet, productId).flatMap(({ source, quantity }) => {
      const [kind, of = ''] = source.split('.');
      if (kind === 'material') return of === materialId ? [quantity] : [];
      if (kind !== 'product') return [];
      const { inUnit } = sheet.read(materialInUnit, `${materialId}@${of}`);
      return inUnit === null ? [] : [multiplied({ name: 'In its component', subject }, quantity, inUnit)];
    });
    const [first] = parts;
    if (first === undefined) return { inUnit: null };
    return { inUnit: sum({ name: 'In one unit', subject }, first.unit, parts) };
  },
};
