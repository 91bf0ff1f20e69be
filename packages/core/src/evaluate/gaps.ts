import { COSTING_GAPS } from '../costing/index.js';
import { FIGURE_GAPS, type GapDefinition } from '../figure/index.js';
import { OVERHEAD_GAPS } from '../overhead/index.js';
import { PLANNING_GAPS } from '../planning/index.js';
import { PRICE_GAPS } from '../price/index.js';
import { PRODUCTION_GAPS } from '../production/index.js';
import { PURCHASING_GAPS } from '../purchasing/index.js';
import { SELLING_GAPS } from '../selling/index.js';
import { SHEET_GAPS } from '../sheet/index.js';

/** Every gap that a figure can have, by its code. docs/figures.md lists them; a test keeps the two in step. */
export const GAPS: Readonly<Record<string, GapDefinition>> = {
  ...PURCHASING_GAPS,
  ...PRODUCTION_GAPS,
  ...PRICE_GAPS,
  ...OVERHEAD_GAPS,
  ...COSTING_GAPS,
  ...SELLING_GAPS,
  ...PLANNING_GAPS,
  ...SHEET_GAPS,
  ...FIGURE_GAPS,
};
