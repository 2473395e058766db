import { create } from 'zustand';

/** Sides of a finished piece, as it is turned and then opened. */
export const SEEN_SIDES = ['front', 'back', 'side', 'open'] as const;

export type SeenSide = (typeof SEEN_SIDES)[number];

/** What comes after a side when the piece is turned once more. */
export const nextSide = (side: SeenSide): SeenSide => besideSide(side, 1);

/** The side that comes so many turns after it, or before it where that is less than none. */
export const besideSide = (side: SeenSide, turns: number): SeenSide =>
  SEEN_SIDES[(SEEN_SIDES.indexOf(side) + turns + SEEN_SIDES.length) % SEEN_SIDES.length]!;

interface Board {
  /** The stage that was opened in each plan; none, '', where all were closed. */
  stages: Readonly<Record<string, string>>;
  /** Which view of the piece is looked at on a phone. */
  view: string;
  /** From which side the finished piece is seen. */
  side: SeenSide;
  /** Whether it is seen with nothing in it. */
  empty: boolean;
  /** Whether a hand is dragging on the drawing now. */
  dragging: boolean;
  /** What the hand does now, from its first touch until it lets go; nothing between. */
  gesture: object | null;
  openStage: (plan: string, stage: string) => void;
  look: (view: string) => void;
  turn: (side: SeenSide) => void;
  takeOut: (empty: boolean) => void;
  drag: (dragging: boolean) => void;
  /** A hand takes hold, or lets go. */
  hold: (holds: boolean) => void;
}

/** What of the board is open, whichever plan lies on it. */
export const useBoard = create<Board>()((set) => ({
  stages: {},
  view: 'finished',
  side: 'front',
  empty: false,
  dragging: false,
  gesture: null,
  openStage: (plan, stage) => set(({ stages }) => ({ stages: { ...stages, [plan]: stage } })),
  look: (view) => set({ view }),
  turn: (side) => set({ side }),
  takeOut: (empty) => set({ empty }),
  hold: (holds) => set({ gesture: holds ? {} : null }),
  // told at every movement: only a change wakes those who listen
  drag: (dragging) => set((state) => (state.dragging === dragging ? state : { dragging })),
}));
