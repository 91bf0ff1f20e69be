import { chargeOut } from '../../overhead/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shownAll } from '../general/figure-view.js';

const MEMBERS = [
  ...(['runningCosts', 'toEarn', 'hoursWorked', 'billableHours', 'perHour', 'perDay'] as const),
  ...(['perHourOneDayLess', 'moreForOneDay', 'lostForOneDay'] as const),
] as const;

export type ChargeOutView = Readonly<Record<(typeof MEMBERS)[number], FigureView>>;

/** What an hour and a day have to be charged at; the id is that of the rate. */
export const chargeOutView = (evaluation: Evaluation, id: string): ChargeOutView =>
  shownAll(evaluation, chargeOut, id, MEMBERS);
