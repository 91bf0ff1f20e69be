import { gapOf, type MixAnswer, type MixFindings, type MixModel, type MixProgress } from '@nuvar/core';
import { useEffect, useRef, useState } from 'react';
import { ask, type Asked, warmUp } from './solver.js';

/** A search for the best mix: under way, or what it found. */
export interface MixSearch {
  readonly model: MixModel | null;
  readonly isUnderWay: boolean;
  readonly progress: MixProgress | null;
  /** What has been found so far; null before there is an answer. */
  readonly findings: MixFindings | null;
  /** True while reasons are still being worked out. */
  readonly isExplaining: boolean;
  readonly failed: string | null;
}

const NONE: MixSearch = {
  model: null,
  isUnderWay: false,
  progress: null,
  findings: null,
  isExplaining: false,
  failed: null,
};

/** Searches kept while the page is open, so that another screen can be looked at meanwhile. */
const KEPT = new Map<string, MixSearch>();

export interface MixSearching {
  readonly search: MixSearch;
  readonly find: (model: MixModel, tried: readonly number[]) => void;
  /** Ends the search, and keeps the best mix found so far. */
  readonly stop: () => void;
}

/** The search for the best mix of a plan. Cancelling ends it at once; what was found by then stays. */
export function useMixSearch(planId: string): MixSearching {
  const [search, setSearch] = useState(() => KEPT.get(planId) ?? NONE);
  const asked = useRef<Asked | null>(null);
  useEffect(() => {
    warmUp();
    return () => {
      asked.current?.stop();
      // Nobody goes on searching for a plan that is not looked at: what was found by then stays.
      KEPT.set(planId, ended(KEPT.get(planId) ?? NONE));
    };
  }, [planId]);
  const keep = (next: (so: MixSearch) => MixSearch) =>
    setSearch((so) => {
      const made = next(so);
      KEPT.set(planId, made);
      return made;
    });
  return {
    search,
    find: (model, tried) => {
      asked.current?.stop();
      keep(() => ({ ...NONE, model, isUnderWay: true }));
      asked.current = ask({ of: 'best', model, tried }, (reply) => {
        if (reply.said === 'progress') keep((so) => ({ ...so, progress: reply.progress }));
        else if (reply.said === 'found')
          keep((so) => ({ ...so, isUnderWay: false, isExplaining: true, findings: { model, ...reply.found } }));
        else if (reply.said === 'failed') keep((so) => ({ ...so, isUnderWay: false, failed: reply.reason }));
        else if (reply.said === 'done') keep((so) => ({ ...so, isUnderWay: false, isExplaining: false }));
      });
    },
    stop: () => {
      asked.current?.stop();
      keep(ended);
    },
  };
}

/** A search that was ended, with what it had found by then. */
const ended = (search: MixSearch): MixSearch => ({
  ...search,
  isUnderWay: false,
  isExplaining: false,
  findings: search.findings ?? foundSoFar(search),
});

/** The best mix that a search had found when it was stopped; null where it had none. */
function foundSoFar({ progress, model }: MixSearch): MixFindings | null {
  if (progress?.quantities == null || progress.goal === null || model === null) return null;
  const { goal, bound, quantities } = progress;
  const answer: MixAnswer = {
    status: 'time limit',
    isContinuous: false,
    goal,
    bound,
    quantities,
    gapPercent: gapOf(goal, bound),
    contradiction: [],
    unlimited: [],
  };
  return { model, answer, explanation: null, gains: [], asGood: [], ranked: [] };
}
