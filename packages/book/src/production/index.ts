export { BillLine, BILL_LINE_BASES, type BillLineBasis } from './bill-line.js';
export { LabourGrade } from './labour-grade.js';
export { LabourStep, LABOUR_TIME_BASES, type LabourTimeBasis } from './labour-step.js';
export { OtherCost, OTHER_COST_BASES, type OtherCostBasis } from './other-cost.js';
export { Product, PRODUCT_KINDS, type ProductKind } from './product.js';
