import { useEffect, useState } from 'react';
import { whenIdle } from './idle';

const waiting = new Set<() => void>();
let isGoing = false;

async function takeTurns(): Promise<void> {
  isGoing = true;
  for (const turn of waiting) {
    await whenIdle();
    // who left meanwhile is no longer waiting
    if (waiting.delete(turn)) turn();
  }
  isGoing = false;
}

/** Asks for one idle moment of its own, after those who asked before; what is given back takes the asking back. */
export function queueIdle(turn: () => void): () => void {
  waiting.add(turn);
  if (!isGoing) void takeTurns();
  return () => void waiting.delete(turn);
}

/** Whether it is this one's turn: of many that are to be worked out, one is in each idle moment, and the page stays quick. */
export function useIdleTurn(isWorkedOut: boolean): boolean {
  const [isIts, setIts] = useState(isWorkedOut);
  useEffect(() => (isIts ? undefined : queueIdle(() => setIts(true))), [isIts]);
  return isIts;
}
