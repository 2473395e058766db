import { create } from 'zustand';

/** The address whose page is drawn: until a page's script has come there is none, and its shape stands there. */
export const useArrived = create<{ path: string | null; at: (path: string) => void }>((set) => ({
  path: null,
  at: (path) => set({ path }),
}));
