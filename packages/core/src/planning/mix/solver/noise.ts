import { settled } from './solved.js';

const NEAR = 1e-7;

/** True for what is no more than the noise of the solver beside amounts of such a size. */
export const isNothing = (value: number, scale = 1): boolean => Math.abs(value) <= NEAR * Math.max(1, Math.abs(scale));

/** A value without its noise, or that there is none. */
export const settledOr = (value: number | null): number | null => (value === null ? null : settled(value));
