import {
  type CurvePoint,
  findMix,
  gainCurve,
  type HoursWorth,
  type MixFindings,
  type MixModel,
  type MixProgress,
  worthOfHours,
} from '@nuvar/core';
import { loadSolver, warmSolver } from '@nuvar/core/solver';
import wasmUrl from 'highs/runtime?url';

/** What the solver can be asked for. */
export type MixRequest =
  | { readonly of: 'best'; readonly model: MixModel; readonly tried: readonly number[] }
  | { readonly of: 'curve'; readonly model: MixModel; readonly resource: number }
  | { readonly of: 'hours'; readonly model: MixModel; readonly resource: number; readonly hours: number };

/** What it says: how far it is, what it has found; the last one of a request says that it is done. */
export type MixReply =
  | { readonly said: 'progress'; readonly progress: MixProgress }
  | { readonly said: 'found'; readonly found: Omit<MixFindings, 'model'> }
  | { readonly said: 'curve'; readonly points: readonly CurvePoint[] }
  | { readonly said: 'hours'; readonly worth: HoursWorth }
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

const highs = loadSolver({ locateFile: () => wasmUrl }).then(warmSolver);

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
  switch (request.of) {
    case 'curve':
      return say({ said: 'curve', points: gainCurve(solver, model, request.resource) });
    case 'hours':
      return say({ said: 'hours', worth: worthOfHours(solver, model, request.resource, request.hours) });
    case 'best': {
      const onProgress = (progress: MixProgress) => say({ said: 'progress', progress });
      for (const { model: _model, ...found } of findMix(solver, model, { tried: request.tried, onProgress }))
        say({ said: 'found', found });
    }
  }
}
