import {
  foldMake,
  madeUncounted,
  minutesLeft,
  nextStep,
  paceWithin,
  partsOf,
  tapeChecks,
  planFollowed,
  stepsToMake,
  tapeOf,
  type KeptEvent,
  type MakingStep,
  type TapeCheck,
  type Make,
  type MakePart,
  type MakeState,
  type Pace,
  type Plan,
  type Step,
  type WorkedPiece,
  type Worked,
} from '@keep-snug/core';
import { useMemo } from 'react';
import { reckonFor, useReader } from './useWorked';
import { useMakeEvents } from '@/data/events';

export interface Progress {
  worked: Omit<Worked, 'steps'> & { steps: readonly MakingStep[] };
  state: MakeState;
  /** The step that is next; none when all are done. */
  next: MakingStep | undefined;
  /** The piece that is on the hook: that of the next step, or the last one. */
  piece: WorkedPiece;
  /** Height reached and height in all, mm: all pieces one after the other. */
  reachedMm: number;
  lengthMm: number;
  /** Where sections and pieces end along the tape, mm. */
  marksMm: readonly number[];
  /** When the tape is laid on the work. */
  checks: readonly TapeCheck[];
  /** Those of them along the tape: measured, passed without, still to come. */
  checksAt: readonly CheckAt[];
  /** Rows or rounds done of the piece on the hook. */
  rowsDone: number;
  /** Rows done of each piece, of its first copy; nothing once every one is. */
  rowsMade: Readonly<Record<string, number>> | undefined;
  /** What is made by itself, each with its own progress, and which of them is on the hook. */
  parts: readonly MakePart[];
  part: string | undefined;
  /** How fast it goes, and what is left at that pace, minutes; nothing before it shows. */
  pace: (Pace & { left: number }) | undefined;
}

/** Where along the tape it is asked for, and what came of it. */
export interface CheckAt {
  mm: number;
  is: 'measured' | 'passed' | 'ahead';
}

/** A row or a round, as it begins a line. */
export function courseWord({ kind }: Pick<Step, 'kind'>): 'Row' | 'Round' {
  return kind === 'round' ? 'Round' : 'Row';
}

/** The plan a make follows now: the one it was begun with, or that of what was decided on the way. */
export function useFollowed(id: string, make: Make): Plan {
  const events = useMakeEvents(id);
  return useMemo(() => planFollowed(make.plan, events), [make.plan, events]);
}

/**
 * How far a make has got: its frozen plan, reckoned, and the sum of what happened.
 *
 * @param chosen the part that was turned to, where one was
 */
export function useProgress(id: string, make: Make, chosen?: string): Progress | null {
  const reader = useReader();
  const events = useMakeEvents(id);
  const plan = useFollowed(id, make);
  const { worked: told } = reckonFor(plan, reader);
  const steps = useMemo(() => stepsToMake(told?.steps ?? []), [told]);
  const state = useMemo(() => foldMake(events, steps), [events, steps]);
  const checks = useMemo(() => (told ? tapeChecks(steps, ringedIn(told)) : []), [told, steps]);
  const pace = useMemo(() => paceWithin(plan, steps, events), [plan, steps, events]);
  if (!told) return null;
  const worked = { ...told, steps };
  const ticked = new Set(state.done);
  const isDone = new Set([...ticked, ...madeUncounted(steps, ticked)]);
  const next = nextStep(steps, isDone, chosen, state.last?.step);
  const tape = tapeOf(told);
  const done = steps.filter((step) => isDone.has(step.id));
  const piece = worked.pieces.find((one) => one.id === (next ?? worked.steps.at(-1))?.piece) ?? worked.pieces[0]!;
  return {
    worked,
    state,
    next,
    piece,
    reachedMm: Math.max(
      0,
      ...done.map((step) => (step.heightMm === null ? 0 : tape.starts[step.piece]! + step.heightMm)),
    ),
    lengthMm: tape.length,
    marksMm: tape.marks,
    checks,
    checksAt: checks
      .filter(({ piece: of }) => tape.starts[of] !== undefined)
      .map(({ step, piece: of, mm }) => ({
        mm: tape.starts[of]! + mm,
        is: measuredAfter(events, step) ? 'measured' : isDone.has(step) ? 'passed' : 'ahead',
      })),
    rowsDone: done.filter((step) => step.row !== null && step.piece === piece.id && step.copy === next?.copy).length,
    rowsMade: next ? rowsMadeOf(done) : undefined,
    parts: partsOf(steps, told.pieces, isDone),
    part: next && (next.copy === undefined ? next.piece : `${next.piece}@${next.copy}`),
    pace: pace && { ...pace, left: minutesLeft(plan, worked, isDone, pace.factor) },
  };
}

/** Rows done of each piece; of what is made twice, of the one that is seen first. */
function rowsMadeOf(done: readonly MakingStep[]): Record<string, number> {
  const rows: Record<string, number> = {};
  for (const { row, piece, copy = 1 } of done) if (row !== null && copy === 1) rows[piece] = (rows[piece] ?? 0) + 1;
  return rows;
}

/** Pieces that begin in a ring. */
const ringedIn = ({ pieces }: Worked): ReadonlySet<string> =>
  new Set(pieces.filter(({ foundation }) => foundation.kind === 'ring').map(({ id }) => id));

/** Whether something was measured when this was the last step done. */
export const measuredAfter = (events: readonly KeptEvent[], step: string): boolean =>
  events.some((event) => event.kind === 'measured' && event.atStep === step);
