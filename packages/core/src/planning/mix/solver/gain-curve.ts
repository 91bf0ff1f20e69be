import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { chordOf, type CurvePoint, kinksBetween } from './curve.js';
import { asGain, movedLimit } from './moved-limit.js';
import { settledTo } from './noise.js';
import { inSession, SECONDS_EACH } from './session.js';

/**
 * What the goal comes to for every amount of one resource: its kinks in order, from the least that fits to where more brings
 * nothing; the slope of each is what one more brings from there on. None where something is counted whole, or nothing fits.
 */
export function gainCurve(highs: Highs, model: MixModel, resource: number): CurvePoint[] {
  return inSession(highs, model, SECONDS_EACH, (session) => {
    const moved = movedLimit(session, { of: 'resource', at: resource });
    if (moved === null || !session.program.isContinuous) return [];
    const { pointAt, limit, scale, worth } = moved;
    const less = moved.lowEnd()?.point ?? pointAt(limit / scale);
    const more = moved.highEnd()?.point ?? null;
    if (less === null || more === null || more.at <= less.at) return [];
    return kinksBetween(pointAt, less, more).map((point, index, all) => {
      const next = all[index + 1];
      return {
        at: settledTo(point.at * scale, scale * ROUGH),
        value: settledTo(asGain(model, point.value) * worth, worth * ROUGH),
        slope: next === undefined ? 0 : settledTo((asGain(model, chordOf(point, next)) * worth) / scale, worth / scale),
      };
    });
  });
}

/** The curve begins a hair beside its very end: what is no more than that is nothing. */
const ROUGH = 1e3;
