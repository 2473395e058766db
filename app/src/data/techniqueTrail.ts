import { create } from 'zustand';

/** Which technique lies open beside the work, and those it was come from. */
interface TechniqueTrail {
  trail: readonly string[];
  show: (id: string) => void;
  back: () => void;
  close: () => void;
}

export const useTechniqueTrail = create<TechniqueTrail>()((set) => ({
  trail: [],
  show: (id) => set(({ trail }) => (trail.at(-1) === id ? { trail } : { trail: [...trail, id] })),
  back: () => set(({ trail }) => ({ trail: trail.slice(0, -1) })),
  close: () => set({ trail: [] }),
}));
