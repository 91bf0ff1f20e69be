import { choice, type Figure, missing, multiplied } from '../figure/index.js';
import { MONTHS_A_YEAR } from '../overhead/index.js';
import { plannedMaterial } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, YEAR } from '../sheet/index.js';
import { planningGap } from './gaps.js';

/** How much of a material is needed in a year. */
export interface MaterialNeed {
  readonly perYear: Figure;
}

/**
 * Need of a material in a year, in base units: as typed, else what the plan needs in a month x 12. Gap: nothing is typed and
 * nothing planned needs it.
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
    const { perMonth } = sheet.read(plannedMaterial, materialId);
    if (perMonth.parts.length > 0) return { perYear: multiplied(called, perMonth, MONTHS_A_YEAR) };
    const place = { kind: 'material', id: materialId, field: 'yearlyNeed' } as const;
    return { perYear: missing({ ...called, unit: perYear }, planningGap('no-yearly-need', place, { subject })) };
  },
};
