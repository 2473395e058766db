import type { Figure, Term } from '@keep-snug/core';
import { create } from 'zustand';

export interface NamedFigure {
  name: string;
  figure: Figure;
}

/** The figures whose workings are open: the one that was pressed, and on from there those it stands on. */
interface WorkingsTrail {
  trail: readonly NamedFigure[];
  ask: (name: string, figure: Figure) => void;
  /** Goes on to a term that was itself reckoned. */
  into: (term: Term) => void;
  back: () => void;
  close: () => void;
}

export const useWorkingsTrail = create<WorkingsTrail>()((set) => ({
  trail: [],
  ask: (name, figure) => set({ trail: [{ name, figure }] }),
  into: ({ name, workings, from: _from, ...figure }) =>
    set(({ trail }) => (workings ? { trail: [...trail, { name, figure: { ...figure, workings } }] } : { trail })),
  back: () => set(({ trail }) => ({ trail: trail.slice(0, -1) })),
  close: () => set({ trail: [] }),
}));
