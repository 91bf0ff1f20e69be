import { constant, type Figure, ofMissingRow, percentOf, sum, wholeOf } from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import { type Calculation, HOUR, money } from '../sheet/index.js';
import { productionGap } from './gaps.js';

/**
 * What an hour of making costs at a labour grade: wage x (100 % + on-costs) / productive share of paid time.
 */
export const labourRate: Calculation<{ perHour: Figure; perPaidHour: Figure }> = {
  name: 'labourRate',
  meanings: {
    perHour: 'What one productive hour of this grade costs, with what the employer pays on top of the wage.',
    perPaidHour: 'What one paid hour of this grade costs, with what the employer pays on top of the wage.',
  },
  work(sheet, gradeId) {
    const grade = sheet.row('labourGrade', gradeId);
    const perHour = money(sheet).per(HOUR);
    if (grade === undefined) {
      const gone = ofMissingRow({ name: 'Labour rate', unit: perHour }, 'a labour step');
      return { perHour: gone, perPaidHour: gone };
    }
    const subject = grade.name;
    const wage = sheet.input('labourGrade', grade, 'wagePerHour', {
      name: 'Wage',
      subject,
      unit: perHour,
      whenEmpty: (place) => productionGap('no-wage', place, { subject }),
    });
    const onCosts = sheet.input('labourGrade', grade, 'onCostPercent', { name: 'On-costs', subject, unit: PERCENT });
    const productive = sheet.input('labourGrade', grade, 'productivePercent', {
      name: 'Productive share of paid time',
      subject,
      unit: PERCENT,
    });
    const factor = sum('Wage with on-costs', PERCENT, [
      constant('The wage itself', '100', PERCENT, 'definition'),
      onCosts,
    ]);
    const perPaidHour = percentOf({ name: 'Pay per paid hour', subject }, factor, wage);
    return { perHour: wholeOf({ name: 'Labour rate', subject }, perPaidHour, productive), perPaidHour };
  },
};
