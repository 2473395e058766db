import { create } from 'zustand';

interface Board {
  /** The stage that is open; none where all are closed. */
  stage: string;
  /** Which view of the piece is looked at on a phone. */
  view: string;
  /** Whether a hand is dragging on the drawing now. */
  dragging: boolean;
  openStage: (stage: string) => void;
  look: (view: string) => void;
  drag: (dragging: boolean) => void;
}

/** What of the board is open, whichever plan lies on it. */
export const useBoard = create<Board>()((set) => ({
  stage: 'fit',
  view: 'flat',
  dragging: false,
  openStage: (stage) => set({ stage }),
  look: (view) => set({ view }),
  // told at every movement: only a change wakes those who listen
  drag: (dragging) => set((state) => (state.dragging === dragging ? state : { dragging })),
}));
