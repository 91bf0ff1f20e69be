export type { EquipmentYearView, LabourYearView } from './costs-of-a-year-view.js';
export type { BatchSizesView } from './batch-sizes-view.js';
export type { JointUse, JointView } from './joint-view.js';
export type { LoadView } from './equipment-view.js';
export { VOLUME_DRIVERS_SHOWN, type VolumesView } from './volumes-view.js';
export type { UsedInView, UsesView } from './uses-view.js';
