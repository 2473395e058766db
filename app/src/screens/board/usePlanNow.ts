import type { Plan } from '@keep-snug/core';
import { startTransition, useEffect, useState } from 'react';
import { useBoard } from '@/data/board';
import { useLibrary } from '@/data/library';
import type { LocalDocument } from '@/data/types';

const heldNow = (id: string): LocalDocument<Plan> => useLibrary.getState().shelves.plans[id]!;

/**
 * The plan as it stands, told in one pass: a store's own hook would have the page drawn once for the news and once more
 * for what comes of it. While a hand draws it is drawn in slices, so that the hand itself is never held up.
 */
export function usePlanNow(id: string): Plan {
  const [plan, setPlan] = useState(() => heldNow(id).body);
  useEffect(() => {
    const follow = () => {
      // a plan taken away is not followed: its room closes
      const next = heldNow(id)?.body;
      if (!next) return;
      if (useBoard.getState().dragging) startTransition(() => setPlan(next));
      else setPlan(next);
    };
    follow();
    return useLibrary.subscribe(follow);
  }, [id]);
  return plan;
}

/** The plan as it stood when the hand last rested; taken up again in pieces that give way when it moves on. */
export function usePlanAtRest(id: string): LocalDocument<Plan> {
  const [held, setHeld] = useState(() => heldNow(id));
  useEffect(() => {
    let drawn = false;
    const follow = () => {
      if (useBoard.getState().dragging) {
        drawn = true;
        return;
      }
      const next = heldNow(id);
      if (!next) return;
      if (drawn) startTransition(() => setHeld(next));
      else setHeld(next);
      drawn = false;
    };
    follow();
    const stops = [useLibrary.subscribe(follow), useBoard.subscribe(follow)];
    return () => stops.forEach((stop) => stop());
  }, [id]);
  return held;
}
