import { simulate, type SimulationInput, type SimulationResult } from '@nuvar/core';

/** How a simulation ended: with its result, or with why there is none. */
export type SimulationAnswer = { readonly result: SimulationResult } | { readonly refused: string };

self.onmessage = ({ data }: MessageEvent<SimulationInput>) => {
  try {
    self.postMessage({ result: simulate(data) } satisfies SimulationAnswer);
  } catch (error) {
    const refused = error instanceof Error ? error.message : 'it could not be worked out';
    self.postMessage({ refused } satisfies SimulationAnswer);
  }
};
