import { createJSONStorage, type PersistStorage, type StorageValue } from 'zustand/middleware';
import { useBoard } from './board';

const memory = new Map<string, string>();

/** Where there is no localStorage (tests, a locked-down browser) the session's own memory serves. */
const fallback = {
  getItem: (key: string) => memory.get(key) ?? null,
  setItem: (key: string, value: string) => void memory.set(key, value),
  removeItem: (key: string) => void memory.delete(key),
};

function available(): Storage | typeof fallback {
  try {
    return globalThis.localStorage ?? fallback;
  } catch {
    return fallback;
  }
}

export const deviceStorage = createJSONStorage(available);

/** So long after the last change it is written down, ms. */
const CALM_MS = 250;

interface Pending {
  name: string;
  value: unknown;
}

let pending = new Map<string, Pending>();
let timer: ReturnType<typeof setTimeout> | undefined;

/** Writes down what waits once no hand draws: writing takes longer than a frame. */
function flushInCalm(): void {
  if (!useBoard.getState().dragging) return flush();
  timer = setTimeout(flushInCalm, CALM_MS);
}

function flush(): void {
  clearTimeout(timer);
  const due = pending;
  pending = new Map();
  for (const { name, value } of due.values()) available().setItem(name, JSON.stringify(value));
}

// a page that is left writes down what it holds before it goes
globalThis.addEventListener?.('pagehide', flush);
globalThis.document?.addEventListener?.('visibilitychange', flush);

/**
 * Storage for what changes with every movement of a hand: written down once it is calm, and before the page is left, so
 * that a drag does not write the whole library at every frame.
 */
export function calmStorage<State>(): PersistStorage<State> {
  return {
    getItem: (name) => {
      const text = available().getItem(name);
      return text === null ? null : (JSON.parse(text) as StorageValue<State>);
    },
    setItem: (name, value) => {
      pending.set(name, { name, value });
      clearTimeout(timer);
      timer = setTimeout(flushInCalm, CALM_MS);
    },
    removeItem: (name) => {
      pending.delete(name);
      available().removeItem(name);
    },
  };
}
