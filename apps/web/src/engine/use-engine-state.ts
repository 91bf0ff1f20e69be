import { useSyncExternalStore } from 'react';
import { engine, type EngineState } from './engine.js';

/** How it stands with the worker in which the open book is evaluated. */
export function useEngineState(): EngineState {
  return useSyncExternalStore(engine.watchState, engine.state);
}
