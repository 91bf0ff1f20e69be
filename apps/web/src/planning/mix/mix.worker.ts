import {
  type CurvePoint,
  explainMix,
  type HoursWorth,
  gainCurve,
  isWhole,
  type MixAnswer,
  type MixExplanation,
  mixFile,
  type MixFileFormat,
  type MixModel,
  type MixProgress,
  type OtherAsGood,
  solveMix,
  wholeAsGood,
  wholeGain,
  type WholeGain,
  worthOfHours,
} from '@nuvar/core';
import { loadSolver } from '@nuvar/core/solver';
import wasmUrl from 'highs/runtime?url';

/** What the solver can be asked for. */
export type MixRequest =
  | { readonly of: 'best'; readonly model: MixModel }
  | { readonly of: 'curve'; readonly model: MixModel; readonly resource: number }
  | { readonly of: 'hours'; readonly model: MixModel; readonly resource: number; readonly hours: number }
  | { readonly of: 'file'; readonly model: MixModel; readonly format: MixFileFormat };

/** What it says: how far it is, what it found, and why; the last one of a request says that it is done. */
export type MixReply =
  | { readonly said: 'progress'; readonly progress: MixProgress }
  | { readonly said: 'answer'; readonly answer: MixAnswer }
  | { readonly said: 'explanation'; readonly explanation: MixExplanation | null }
  | { readonly said: 'gain'; readonly gain: WholeGain }
  | { readonly said: 'as good'; readonly asGood: readonly OtherAsGood[] }
  | { readonly said: 'curve'; readonly points: readonly CurvePoint[] }
  | { readonly said: 'hours'; readonly worth: HoursWorth }
  | { readonly said: 'file'; readonly text: string }
  | { readonly said: 'done' }
  | { readonly said: 'failed'; readonly reason: string };

export interface MixMessage {
  readonly id: number;
  readonly request: MixRequest;
}

export interface MixReplyMessage {
  readonly id: number;
  readonly reply: MixReply;
}

const SECONDS_A_GAIN = 5;
const highs = loadSolver({ locateFile: () => wasmUrl });

self.onmessage = ({ data: { id, request } }: MessageEvent<MixMessage>) => {
  const say = (reply: MixReply) => self.postMessage({ id, reply } satisfies MixReplyMessage);
  void answer(request, say)
    .catch((error: unknown) =>
      say({ said: 'failed', reason: error instanceof Error ? error.message : 'it could not be worked out' }),
    )
    .finally(() => say({ said: 'done' }));
};

async function answer(request: MixRequest, say: (reply: MixReply) => void): Promise<void> {
  const solver = await highs;
  const { model } = request;
  if (request.of === 'curve') return say({ said: 'curve', points: gainCurve(solver, model, request.resource) });
  if (request.of === 'hours')
    return say({ said: 'hours', worth: worthOfHours(solver, model, request.resource, request.hours) });
  if (request.of === 'file') return say({ said: 'file', text: mixFile(solver, model, request.format) });
  const found = solveMix(solver, model, (progress) => say({ said: 'progress', progress }));
  say({ said: 'answer', answer: found });
  if (found.status !== 'best' && found.status !== 'time limit') return undefined;
  if (!isWhole(model)) return say({ said: 'explanation', explanation: explainMix(solver, model) });
  model.resources.forEach((_resource, at) =>
    say({ said: 'gain', gain: wholeGain(solver, model, found.goal, at, SECONDS_A_GAIN) }),
  );
  return say({ said: 'as good', asGood: wholeAsGood(solver, model, SECONDS_A_GAIN) });
}
