import { createJSONStorage } from 'zustand/middleware';

const memory = new Map<string, string>();

/** Where there is no localStorage (tests, a locked-down browser) the session's own memory serves. */
const fallback = {
  getItem: (key: string) => memory.get(key) ?? null,
  setItem: (key: string, value: string) => void memory.set(key, value),
  removeItem: (key: string) => void memory.delete(key),
};

export type SmallStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** The browser's small storage, or what stands in for it. */
export function smallStorage(): SmallStorage {
  try {
    return globalThis.localStorage ?? fallback;
  } catch {
    return fallback;
  }
}

/** This tab's own storage: another tab has one of its own. */
export function tabStorage(): Storage | undefined {
  try {
    return globalThis.sessionStorage;
  } catch {
    return undefined;
  }
}

/** For settings: a storage that is full or refused must not stop the hand. */
export const deviceStorage = createJSONStorage(() => {
  const storage = smallStorage();
  return {
    getItem: (key) => storage.getItem(key),
    removeItem: (key) => storage.removeItem(key),
    setItem: (key, value) => {
      try {
        storage.setItem(key, value);
      } catch {
        fallback.setItem(key, value);
      }
    },
  };
});

/** Writes down what a store began with, where nothing was written yet: what is drawn anew at every start would not last. */
export function writeBeginning(name: string, store: { setState: (change: object) => void }): void {
  if (deviceStorage?.getItem(name) === null) store.setState({});
}
