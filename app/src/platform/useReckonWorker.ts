import type { Chance, Plan, WaysAsk, WaysSoFar } from '@keep-snug/core';
import type { RepeatAsk, RepeatTold } from '@keep-snug/core/repeat';
import type { DaysAsk } from '@keep-snug/core/batches';
import type { SittingsTold } from '@keep-snug/core/sittings';
import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { reportFault } from './page';
import type { ReckonWorker } from './reckon.worker';

let remote: Remote<ReckonWorker> | null = null;

/** The worker, begun when it is first asked; none where there are no workers. */
function worker(): Remote<ReckonWorker> | null {
  if (remote || typeof Worker === 'undefined') return remote;
  remote = wrap<ReckonWorker>(new Worker(new URL('./reckon.worker.ts', import.meta.url)));
  return remote;
}

/** An answer of the worker's: what it was asked, and what came of it. */
interface Answer<Ask, Found> {
  ask: Ask;
  found: Found | null;
}

/** Asks the worker whenever the question changes; the last answer stays until the next one comes. */
function useAnswer<Ask, Found>(
  ask: Ask | null,
  put: (worker: Remote<ReckonWorker>, ask: Ask) => Promise<Found>,
): { found: Found | null; stale: boolean } {
  const [answer, setAnswer] = useState<Answer<Ask, Found> | null>(null);
  useEffect(() => {
    const to = worker();
    if (ask === null || !to) return undefined;
    let current = true;
    put(to, ask)
      .then((found) => current && setAnswer({ ask, found }))
      .catch((error: Error) => {
        // a plan that cannot be reckoned has no chance to show, and the board says why; anything else is a fault of ours
        if (error.name !== 'PlanProblem') reportFault(error);
        if (current) setAnswer({ ask, found: null });
      });
    return () => {
      current = false;
    };
  }, [ask, put]);
  return { found: answer?.found ?? null, stale: answer?.ask !== ask };
}

const askChance = (to: Remote<ReckonWorker>, plan: Plan): Promise<Chance> => to.chance(plan);

const askRepeat = (to: Remote<ReckonWorker>, ask: RepeatAsk): Promise<RepeatTold> => to.repeat(ask);

const askSittings = (to: Remote<ReckonWorker>, ask: DaysAsk): Promise<SittingsTold> => to.sittings(ask);

/** What is worked on which day, and when each make is done. */
export function useSittings(ask: DaysAsk | null) {
  return useAnswer(ask, askSittings);
}

/** What a repeating yarn comes to on a plan's piece. */
export function useRepeat(ask: RepeatAsk | null) {
  return useAnswer(ask, askRepeat);
}

/** How sure it is that the plan's piece fits. */
export function useChance(plan: Plan | null) {
  return useAnswer(plan, askChance);
}

interface WaysFound {
  ask: WaysAsk;
  soFar: WaysSoFar | null;
  is: 'looking' | 'stopped' | 'whole';
}

/** Every way to make a cover for the plan's thing, shape by shape as they are found; it can be stopped, and taken up again. */
export function useWays(ask: WaysAsk | null) {
  const [state, setState] = useState<WaysFound | null>(null);
  const [turn, setTurn] = useState(0);
  const stopped = useRef(false);
  useEffect(() => {
    const to = worker();
    if (ask === null || !to) return undefined;
    let current = true;
    stopped.current = false;
    const tell = (soFar: WaysSoFar): boolean => {
      if (!current) return false;
      const is = soFar.done === soFar.of ? 'whole' : stopped.current ? 'stopped' : 'looking';
      setState({ ask, soFar, is });
      return is === 'looking';
    };
    to.ways(ask, proxy(tell)).catch((error: Error) => {
      if (error.name !== 'PlanProblem') reportFault(error);
      if (current) setState({ ask, soFar: null, is: 'whole' });
    });
    return () => {
      current = false;
    };
  }, [ask, turn]);
  const stop = useCallback(() => {
    stopped.current = true;
    setState((old) => old && { ...old, is: 'stopped' });
  }, []);
  const takeUp = useCallback(() => {
    setState(null);
    setTurn((old) => old + 1);
  }, []);
  const isOfThis = state?.ask === ask;
  return { soFar: state?.soFar ?? null, is: isOfThis ? state.is : ('looking' as const), stop, takeUp };
}
