import { DecimalText, Name, Reference, Row } from '../fields/index.js';

/**
 * A machine that works on products: a kiln, an oven, a wheel. Its hour costs energy, wear and upkeep; each of the three
 * is left out where nothing is said about it.
 */
export class Equipment extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @DecimalText({ label: 'Power, kW', from: '0', to: '100000', nullable: true, measuredIn: 'kW' })
  powerKilowatts: string | null = null;

  /** The share of its power that it draws on average while it runs. */
  @DecimalText({ label: 'Load, %', above: '0', to: '100' })
  loadPercent = '100';

  @DecimalText({ label: 'Purchase price', from: '0', to: '1000000000', nullable: true })
  purchasePrice: string | null = null;

  /** What it is still worth at the end of its life. */
  @DecimalText({ label: 'Renet proceeds', from: '0', to: '1000000000' })
  residualValue = '0';

  @DecimalText({ label: 'Life in hours', above: '0', to: '10000000', nullable: true })
  lifeHours: string | null = null;

  @DecimalText({ label: 'Upkeep per hour', from: '0', to: '1000000', nullable: true })
  upkeepPerHour: string | null = null;

  /** Where it stands. */
  @Reference('department', { label: 'Department', goesWithTarget: false, nullable: true })
  departmentId: string | null = null;

  /** In place of a life in hours: then its wear is committed, and unused hours are idle. */
  @DecimalText({ label: 'Life in years', above: '0', to: '200', nullable: true })
  lifeYears: string | null = null;

  /** The hours that it can run in a year, over which a life in years and the costs of a year are spread. */
  @DecimalText({ label: 'Hours a year', above: '0', to: '8784', nullable: true })
  hoursPerYear: string | null = null;

  /** Service contract, insurance, repairs of a year, spread over the hours of a year. */
  @DecimalText({ label: 'Upkeep a year', from: '0', to: '1000000000', nullable: true })
  upkeepPerYear: string | null = null;

  /** The floor that it takes up, which costs what the settings say. */
  @DecimalText({ label: 'Floor space, m²', from: '0', to: '1000000', nullable: true })
  floorSpace: string | null = null;
}
