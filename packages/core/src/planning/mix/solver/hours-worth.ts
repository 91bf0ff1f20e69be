import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { inSession } from './session.js';
import { settled, type Solved } from './solved.js';

/** What some hours of a resource are worth in the best mix. */
export type HoursWorth =
  | { readonly said: 'worth'; readonly change: number; readonly perHour: string }
  /** Nothing fits without them, or the goal is no money, or it could not be proven in the time allowed. */
  | { readonly said: 'nothing fits' | 'no money' | 'not proven' };

const DIGITS = 4;

/**
 * What hours of a resource bring to the best mix where they are added to what is available, or what is lost where they are taken
 * from it (below zero), found by solving the plan with and without them: in all, in the money of the goal, and for one of those
 * hours, rounded to four decimals. Both are proven the best, whatever gap the plan allows.
 */
export function worthOfHours(highs: Highs, model: MixModel, at: number, hours: number): HoursWorth {
  if (model.goal === 'revenue' || model.goal === 'units' || model.isLeast) return { said: 'no money' };
  if (hours === 0) return { said: 'worth', change: 0, perHour: '0' };
  const [before, after] = [solvedWith(highs, model, at, 0), solvedWith(highs, model, at, hours)];
  if (before?.status === 'infeasible' || after === null || after.status === 'infeasible')
    return { said: 'nothing fits' };
  if (before?.status !== 'best' || after.status !== 'best') return { said: 'not proven' };
  const change = settled(after.goal - before.goal);
  const perHour = (change / hours).toFixed(DIGITS);
  return { said: 'worth', change, perHour: String(Number(perHour) + 0) };
}

/** The best mix with so many more of a resource; null where there are not so many to take. */
function solvedWith(highs: Highs, model: MixModel, at: number, more: number): Solved | null {
  const resources = model.resources.map((resource, index) =>
    index === at ? { ...resource, available: resource.available + more } : resource,
  );
  if ((resources[at]?.available ?? -1) < 0) return null;
  // The program is made anew: what bounds its set-ups follows what is available.
  return inSession(highs, { ...model, resources, gapPercent: 0 }, model.secondsAtMost, (session) => session.now());
}
