import { create } from 'zustand';

interface Board {
  /** The stage that was opened in each plan; none, '', where all were closed. */
  stages: Readonly<Record<string, string>>;
  /** Which view of the piece is looked at on a phone. */
  view: string;
  /** Whether a hand is dragging on the drawing now. */
  dragging: boolean;
  openStage: (plan: string, stage: string) => void;
  look: (view: string) => void;
  drag: (dragging: boolean) => void;
}

/** What of the board is open, whichever plan lies on it. */
export const useBoard = create<Board>()((set) => ({
  stages: {},
  view: 'flat',
  dragging: false,
  openStage: (plan, stage) => set(({ stages }) => ({ stages: { ...stages, [plan]: stage } })),
  look: (view) => set({ view }),
  // told at every movement: only a change wakes those who listen
  drag: (dragging) => set((state) => (state.dragging === dragging ? state : { dragging })),
}));
