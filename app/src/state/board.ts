import { create } from 'zustand';

interface Board {
  /** The stage that is open; none where all are closed. */
  stage: string;
  /** Which view of the piece is looked at on a phone. */
  view: string;
  /** Whether a hand is drawing on the drawing now. */
  drawing: boolean;
  openStage: (stage: string) => void;
  look: (view: string) => void;
  draw: (drawing: boolean) => void;
}

/** What of the board is open, whichever plan lies on it. */
export const useBoard = create<Board>()((set) => ({
  stage: 'fit',
  view: 'flat',
  drawing: false,
  openStage: (stage) => set({ stage }),
  look: (view) => set({ view }),
  // told at every movement: only a change wakes those who listen
  draw: (drawing) => set((state) => (state.drawing === drawing ? state : { drawing })),
}));
