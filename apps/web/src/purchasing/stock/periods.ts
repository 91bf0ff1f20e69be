import { monthText } from '../../figures/format.js';

/** A stretch of days that a ledger can be looked at for. */
export interface Period {
  readonly id: string;
  readonly label: string;
  readonly from: string;
  readonly to: string;
}

const twoDigits = (number: number) => String(number).padStart(2, '0');
const dayOf = (year: number, month: number, day: number) => `${year}-${twoDigits(month)}-${twoDigits(day)}`;
const lastDay = (year: number, month: number) => new Date(Date.UTC(year, month, 0)).getUTCDate();

/** This year, the months back from a day, and last year: what an accountant asks for. */
export function periodsBefore(day: string, locale: string): readonly Period[] {
  const [year = 0, month = 0] = day.split('-').map(Number);
  const months = Array.from({ length: 12 }, (_none, back): Period => {
    const of = new Date(Date.UTC(year, month - 1 - back, 1));
    const [ofYear, ofMonth] = [of.getUTCFullYear(), of.getUTCMonth() + 1];
    const from = dayOf(ofYear, ofMonth, 1);
    return {
      id: from.slice(0, 7),
      label: monthText(from, locale),
      from,
      to: dayOf(ofYear, ofMonth, lastDay(ofYear, ofMonth)),
    };
  });
  return [
    { id: 'year', label: `Year ${year}`, from: dayOf(year, 1, 1), to: dayOf(year, 12, 31) },
    ...months,
    { id: 'last-year', label: `Year ${year - 1}`, from: dayOf(year - 1, 1, 1), to: dayOf(year - 1, 12, 31) },
    { id: 'all', label: 'Everything', from: '0001-01-01', to: '9999-12-31' },
  ];
}
