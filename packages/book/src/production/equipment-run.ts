import { Choice, DecimalText, Name, Reference, Row } from '../fields/index.js';

export const EMPTY_SPACE_RULES = ['carried by what is inside', 'shown as idle'] as const;
export type EmptySpaceRule = (typeof EMPTY_SPACE_RULES)[number];

/** A run of a machine that several products share by the space they take: a firing, an oven load. */
export class EquipmentRun extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @Reference('equipment', { label: 'Equipment', goesWithTarget: false, nullable: true })
  equipmentId: string | null = null;

  @DecimalText({ label: 'Hours per load', above: '0', to: '100000', nullable: true })
  hoursPerRun: string | null = null;

  /** Places in one run, in whatever the space is counted by: shelf places, trays, litres. */
  @DecimalText({ label: 'Total space', above: '0', to: '1000000000', nullable: true })
  space: string | null = null;

  /** The share of the space that is filled in a usual run. */
  @DecimalText({ label: 'Usually filled, %', above: '0', to: '100' })
  filledPercent = '100';

  @Choice(EMPTY_SPACE_RULES, { label: 'Empty space is' })
  emptySpace: EmptySpaceRule = 'carried by what is inside';
}
