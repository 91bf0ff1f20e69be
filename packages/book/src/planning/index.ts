export { CandidatePrice } from './candidate-price.js';
export { PlannedMonth } from './planned-month.js';
export { PlannedVolume } from './planned-volume.js';
export { MONTH_FIELDS, Season, type MonthField } from './season.js';
