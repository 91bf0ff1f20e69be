import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { chordOf, type CurvePoint, kinksBetween } from './curve.js';
import { asGain, goalByLimit, highEnd, limitOfRow, lowEnd } from './limit-worth.js';
import { inSession, SECONDS_EACH } from './session.js';
import { settled } from './solved.js';

/**
 * What the goal comes to for every amount of one resource: its kinks in order, from the least that fits to where more brings
 * nothing; the slope of each is what one more brings from there on. None where something is counted whole, or nothing fits.
 */
export function gainCurve(highs: Highs, model: MixModel, resource: number): CurvePoint[] {
  return inSession(highs, model, SECONDS_EACH, (session) => {
    const row = session.program.rows.findIndex(({ of, at }) => of === 'resource' && at === resource);
    if (row === -1 || !session.program.isContinuous) return [];
    const pointAt = goalByLimit(session, row);
    const less = lowEnd(session, row) ?? pointAt(limitOfRow(session, row));
    const more = highEnd(session, row);
    if (less === null || more === null || more.at <= less.at) return [];
    return kinksBetween(pointAt, less, more).map((point, index, all) => {
      const next = all[index + 1];
      return {
        at: settled(point.at),
        value: settled(asGain(session, point.value)),
        slope: next === undefined ? 0 : settled(chordOf(point, next)),
      };
    });
  });
}
