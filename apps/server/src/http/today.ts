/** What gives the day on which a question without a day is answered, "2026-03-31": handed in, so that tests have a day of their own. */
export type Today = () => string;

/** Under which name it is injected. */
export const TODAY = Symbol('today');

/** The day on this machine, in universal time. */
export const machineDay: Today = () => new Date().toISOString().slice(0, 10);
