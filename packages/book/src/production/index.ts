export { BillLine, BILL_LINE_BASES, LOSS_BASES, type BillLineBasis, type LossBasis } from './bill-line.js';
export { COST_BEHAVIOURS, type CostBehaviour } from './cost-behaviour.js';
export { Equipment } from './equipment.js';
export { EMPTY_SPACE_RULES, EquipmentRun, type EmptySpaceRule } from './equipment-run.js';
export { EQUIPMENT_USE_BASES, EquipmentUse, type EquipmentUseBasis } from './equipment-use.js';
export { JointOutput } from './joint-output.js';
export {
  BY_PRODUCT_RULES,
  JOINT_METHODS,
  JointProcess,
  type ByProductRule,
  type JointMethod,
} from './joint-process.js';
export { LabourGrade } from './labour-grade.js';
export { LabourStep, LABOUR_TIME_BASES, type LabourTimeBasis } from './labour-step.js';
export { OtherCost, OTHER_COST_BASES, type OtherCostBasis } from './other-cost.js';
export { COSTINGS, Product, PRODUCT_KINDS, type Costing, type ProductKind } from './product.js';
export { RecoveredScrap } from './recovered-scrap.js';
export { TypedCost, TYPED_ELEMENTS, type TypedElement } from './typed-cost.js';
