import type { PoolUse } from '@nuvar/book';
import type { Figure, Gap } from '../figure/index.js';
import type { Driver } from './driver.js';

/** By what a product takes of a lot. Most lots are taken by one driver; a resource is taken by every activity that it does. */
export interface Bearing {
  readonly id: string;
  readonly label: string;
  readonly driver: Driver;
}

/** Overhead that is charged at one rate: that of a department, an activity, a resource, or of the whole book. */
export interface Lot {
  readonly id: string;
  readonly label: string;
  readonly use: PoolUse;
  /** Whether it goes up and down with its driver. */
  readonly isVariable: boolean;
  /** What it costs in a month. */
  readonly cost: Figure;
  /** The driver units over which that is shared. */
  readonly basis: Figure;
  readonly rate: Figure;
  readonly bearings: readonly Bearing[];
}

/** Overhead that no product is charged with, and why. */
export interface Unassigned {
  readonly id: string;
  readonly label: string;
  readonly cost: Figure;
  readonly why: string;
  /** What would settle it; null where it was chosen so, or is said of its lot already. */
  readonly gap: Gap | null;
  /** The lot that its cost is a part of; null where it is in none. */
  readonly lotId: string | null;
}

/** All overhead of a month as a method charges it: what is shared out in lots, and what is not. */
export interface SharedOut {
  readonly lots: readonly Lot[];
  readonly unassigned: readonly Unassigned[];
}
