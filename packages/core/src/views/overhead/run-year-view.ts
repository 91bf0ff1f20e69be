import { calendarMonth, costMonth, costYear, planningMonths } from '../../overhead/index.js';
import { ZERO, type Decimal } from '../../number/index.js';
import { type Evaluation, WHOLE_BOOK } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** A year of running costs: when the bills fall, against what to put aside each month. */
export interface RunYearView {
  readonly months: readonly {
    /** Its first day. */
    readonly month: string;
    readonly openDays: FigureView;
    /** Exact, of what is known. */
    readonly bills: string;
    readonly putAside: string;
    /** What is put aside so far less the bills so far. */
    readonly inHand: string;
  }[];
  readonly costs: readonly {
    readonly id: string;
    readonly name: string;
    readonly bills: readonly FigureView[];
    readonly putAside: readonly FigureView[];
  }[];
  readonly bills: FigureView;
  readonly putAside: FigureView;
  /** The least that has to be in hand before the first month so that no bill finds too little. */
  readonly neededAtStart: string;
  /** True where some amount is not known yet. */
  readonly isPartial: boolean;
}

/** When the bills of the twelve months from this one on fall, cost by cost and together. */
export function runYearView(evaluation: Evaluation): RunYearView {
  const { sheet } = evaluation;
  const months = planningMonths(sheet);
  const costs = sheet.all('runningCost').map(({ id, name }) => {
    const of = (member: 'bills' | 'putAside') =>
      months.map((month) => shown(evaluation, costMonth, `${id}@${month}`, member));
    return { id, name, bills: of('bills'), putAside: of('putAside') };
  });
  const totals = (member: 'bills' | 'putAside') =>
    months.map((month) =>
      addedUp(sheet.all('runningCost').map(({ id }) => evaluation.read(costMonth, `${id}@${month}`)[member].amount)),
    );
  const [bills, putAside] = [totals('bills'), totals('putAside')];
  const inHand = runningTotals(bills, putAside);
  const lowest = inHand.reduce((so, each) => (each.lt(so) ? each : so), ZERO);
  return {
    months: months.map((month, index) => ({
      month,
      openDays: shown(evaluation, calendarMonth, month, 'days'),
      bills: text(bills[index]),
      putAside: text(putAside[index]),
      inHand: text(inHand[index]),
    })),
    costs,
    ...shownAll(evaluation, costYear, WHOLE_BOOK, ['bills', 'putAside']),
    neededAtStart: text(lowest.neg()),
    isPartial: costs.some((cost) => [...cost.bills, ...cost.putAside].some(({ gaps }) => gaps.length > 0)),
  };
}

const text = (amount: Decimal | undefined) => (amount ?? ZERO).toFixed();

const addedUp = (amounts: readonly (Decimal | null)[]): Decimal =>
  amounts.reduce<Decimal>((so, each) => (each === null ? so : so.plus(each)), ZERO);

function runningTotals(bills: readonly Decimal[], putAside: readonly Decimal[]): Decimal[] {
  let inHand: Decimal = ZERO;
  return bills.map((bill, index) => (inHand = inHand.plus(putAside[index] ?? ZERO).minus(bill)));
}
