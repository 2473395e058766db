import type { Plan } from '../plan';

/** Something that happened to a make. Events are never changed, only added; the state is their sum. */
export type MakeEvent = EventBase &
  (
    | { kind: 'ticked' }
    /** Takes back one tick, by its id. */
    | { kind: 'undone'; undoes: string }
    | { kind: 'noted'; text: string; step: number }
    | { kind: 'finished' }
    | { kind: 'reopened' }
  );

interface EventBase {
  /** A UUID made by the device, so that sending twice is harmless. */
  id: string;
  make: string;
  device: string;
  /** ISO 8601, by the device's clock. */
  at: string;
}

/** A make as it is kept: the plan it follows, frozen when it was begun, and whose plan that was. */
export interface Make {
  format: typeof MAKE_FORMAT;
  title: string;
  planId: string;
  plan: Plan;
  startedAt: string;
}

export const MAKE_FORMAT = 'keep-snug.make/1';
