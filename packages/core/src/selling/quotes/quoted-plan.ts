import type { RowOf } from '@nuvar/book';
import { difference, type Figure, multiplied, ofMissingRow, sum } from '../../figure/index.js';
import { labourHours, productCost } from '../../production/index.js';
import { type Unit, unit } from '../../quantity/index.js';
import { type Calculation, HOUR, money, type Sheet } from '../../sheet/index.js';
import { isSent } from './is-sent.js';
import { learntIn } from './learnt.js';

const JOB = unit('job');

/** What is planned to go into a whole job, against which what it really needed is held. */
export interface QuotedPlan {
  readonly materials: Figure;
  readonly labour: Figure;
  readonly hours: Figure;
  /** Other direct costs and machines. */
  readonly other: Figure;
}

/**
 * What is planned for the job of an option: what a unit takes x its units, less what is learnt; of a quote that was sent, what was
 * planned then, whatever moves later.
 */
export const quotedPlan: Calculation<QuotedPlan> = {
  name: 'quotedPlan',
  meanings: {
    materials: 'Materials that are planned for the job.',
    labour: 'What the labour that is planned for the job costs.',
    hours: 'Labour hours that are planned for the job.',
    other: 'Other direct costs and machines that are planned for the job.',
  },
  work(sheet, optionId) {
    const option = sheet.row('quoteOption', optionId);
    const quote = option && sheet.row('quote', option.quoteId);
    const product = option && sheet.row('product', option.productId);
    if (option === undefined || quote === undefined || product === undefined) {
      const gone = ofMissingRow({ name: 'Planned', unit: money(sheet).per(JOB) }, 'an option of a quote');
      return { materials: gone, labour: gone, hours: gone, other: gone };
    }
    return isSent(quote, option) ? asSent(sheet, option, product.name) : ofToday(sheet, option, product);
  },
};

function asSent(sheet: Sheet, option: RowOf<'quoteOption'>, subject: string): QuotedPlan {
  const kept = (field: 'sentMaterials' | 'sentLabour' | 'sentHours' | 'sentOther', name: string, of: Unit) =>
    sheet.input('quoteOption', option, field, { name, subject, unit: of });
  const perJob = money(sheet).per(JOB);
  return {
    materials: kept('sentMaterials', 'Materials as sent', perJob),
    labour: kept('sentLabour', 'Labour as sent', perJob),
    hours: kept('sentHours', 'Hours as sent', HOUR.per(JOB)),
    other: kept('sentOther', 'Other costs as sent', perJob),
  };
}

function ofToday(sheet: Sheet, option: RowOf<'quoteOption'>, product: RowOf<'product'>): QuotedPlan {
  const subject = product.name;
  const named = (name: string) => ({ name, subject });
  const leaf = { ...named('Units of the job'), unit: unit(product.outputUnit).per(JOB) };
  const units = sheet.input('quoteOption', option, 'units', leaf);
  const elements = sheet.read(productCost, product.id);
  const learnt = learntIn(sheet, option, product, units);
  const ofJob = (name: string, figure: Figure) => multiplied(named(name), figure, units);
  const lessLearnt = (name: string, first: Figure, saved: Figure | undefined) =>
    saved === undefined ? first : difference(named(name), first, saved);
  return {
    materials: ofJob('Materials planned', elements.directMaterials),
    labour: lessLearnt('Labour planned, learnt', ofJob('Labour planned', elements.labour), learnt?.saved),
    hours: lessLearnt(
      'Hours planned, learnt',
      ofJob('Hours planned', sheet.read(labourHours, product.id).perUnit),
      learnt?.hoursSaved,
    ),
    other: sum(named('Other planned'), money(sheet).per(JOB), [
      ofJob('Other direct costs', elements.other),
      ofJob('Machines', elements.equipment),
    ]),
  };
}
