import type { SimulationInput, SimulationResult } from '@nuvar/core';
import { useEffect, useState } from 'react';
import { startJob } from '../../engine/job.js';
import type { SimulationAnswer } from './simulation.worker.js';

interface Simulation {
  readonly result: SimulationResult | null;
  readonly refused: string | null;
}

const NONE: Simulation = { result: null, refused: null };

/** Draws in a worker of its own, anew whenever the input changes; the one before is stopped. */
export function useSimulation(input: SimulationInput | null): Simulation {
  const [simulation, setSimulation] = useState(NONE);
  useEffect(() => {
    if (input === null) return undefined;
    const worker = new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });
    const job = startJob<SimulationInput, SimulationAnswer>(worker, input, {
      isAnswer: () => true,
      said: (answer) =>
        setSimulation(
          'result' in answer ? { result: answer.result, refused: null } : { result: null, refused: answer.refused },
        ),
      died: () => setSimulation({ result: null, refused: 'The simulation takes more memory than there is.' }),
    });
    return job.stop;
  }, [input]);
  return input === null ? NONE : simulation;
}
