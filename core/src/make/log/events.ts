import type { Plan } from '../../plan/plan';

/** Something that happened to a make. Events are never changed, only added; the state is their sum. */
export type MakeEvent = EventBase & Happening;

/** What happened, without when, where and to which make. */
export type Happening =
  /** The step it completes; `under`, the last decision the device had seen. Neither stands in ticks of earlier versions. */
  | { kind: 'ticked'; step?: string; under?: string | null }
  /** Takes back ticks and placings by their ids; `undoes` one, as earlier versions wrote it. */
  | { kind: 'undone'; ticks?: readonly string[]; undoes?: string }
  /** So many rows or rounds of a piece are done, whatever was ticked of it before. */
  | { kind: 'placed'; piece: string; course: number }
  | {
      kind: 'measured';
      piece: string;
      what: 'width' | 'height' | 'girth' | 'diameter' | 'stitches' | 'rows';
      /** Stitches for a width, rows or rounds for a height. */
      count?: number;
      mm: number;
      by?: string;
      counted?: string;
      atStep: string | null;
    }
  /** Of the ball that is left. `colour`: of which of several yarns; that on the hook where nothing is said. */
  | { kind: 'weighed'; grams: number; by?: 'eye'; colour?: string }
  /** Where a row or round ended in a yarn that repeats: so many stitches into one of its runs, counted from 0. */
  | { kind: 'landed'; run: number; stitches: number; atStep: string }
  /** `asked`: the plan as it was changed to, where that was the question. */
  | { kind: 'decided'; choice: string; from: Place | null; plan: Plan; asked?: Plan }
  /** `step` by its id; its number, as earlier versions wrote it. */
  | { kind: 'noted'; text: string; step: string | number }
  | { kind: 'paused' }
  | { kind: 'resumed' }
  | {
      kind: 'finished';
      /** `strap`: its loop, hanging with the item in it. */
      asMade?: { width?: number; height?: number; girth?: number; depth?: number; strap?: number };
      /** How deep each of several pockets is inside, in the order the plan has them, mm; nothing where it was not measured. */
      pockets?: readonly (number | null)[];
      /** How it sits; yes or no, as earlier versions wrote it. */
      fits?: Fitted | boolean;
      /** Which of several rooms sit so, by name; all of them where none is named. */
      rooms?: readonly string[];
      grams?: number;
      minutes?: number;
      note?: string;
      /** A small picture of it, as a data URI. */
      picture?: string;
    }
  | { kind: 'reopened' };

/** How a finished piece sits on its thing. */
export type Fitted = 'tight' | 'right' | 'loose';

/** A row or round of a piece, counted from 1. */
export interface Place {
  piece: string;
  course: number;
}

interface EventBase {
  /** A UUID made by the device, so that sending twice is harmless. */
  id: string;
  make: string;
  device: string;
  /** ISO 8601, by the device's clock: shown, never compared. */
  at: string;
  /** One more than the greatest seen in its make when it happened; missing counts as 0. */
  n?: number;
}

/** An event as a store has it: with the server's sequence, once the server has taken it in. */
export type KeptEvent = MakeEvent & { seq?: number };

/** A make as it is kept: the plan it follows, frozen when it was begun, and whose plan that was. */
export interface Make {
  format: typeof MAKE_FORMAT;
  title: string;
  planId: string;
  plan: Plan;
  startedAt: string;
  /** Put aside: it lies at the end of the bench until it is taken up again. */
  aside?: boolean;
  /** Which piece of a batch it is: the batch by its id, and the variant. */
  batch?: { batch: string; variant: string };
}

export const MAKE_FORMAT = 'keep-snug.make/1';
