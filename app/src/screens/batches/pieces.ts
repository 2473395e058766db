import {
  batchOrder,
  variantPlan,
  workVariants,
  type BatchPiece,
  type BatchRecord,
  type WorkedVariant,
} from '@keep-snug/core/batches';
import {
  byCode,
  foldMake,
  isFinished,
  planFollowed,
  attempt,
  reckon,
  stepsToMake,
  type KeptEvent,
  type Make,
  type Plan,
  type Worked,
} from '@keep-snug/core';
import type { LocalDocument } from '@/data/types';

/** A piece of a batch and how far it is. */
export interface PieceNow extends BatchPiece {
  name: string;
  /** Its make, where it is begun. */
  make: string | undefined;
  /** How much of its steps is done, 0 to 1. */
  done: number;
  plan: Plan;
  worked: Worked;
  mm: { width: number; height: number };
}

export type BatchNow = { ok: true; pieces: PieceNow[]; worked: WorkedVariant[] } | { ok: false; message: string };

/** The pieces of a batch in the order of work: the makes there are stand for the first of each variant. */
export function batchNow(
  id: string,
  batch: BatchRecord,
  makes: readonly (readonly [string, LocalDocument<Make>])[],
  byMake: Readonly<Record<string, KeptEvent[]>>,
): BatchNow {
  const tried = attempt(() => {
    const worked = workVariants(batch);
    const plans = new Map(batch.variants.map((variant) => [variant.id, variantPlan(batch, variant)]));
    const own = makes
      .filter(([, { body }]) => body.batch?.batch === id)
      .sort(([, a], [, b]) => byCode(a.body.startedAt, b.body.startedAt));
    const pieces = batchOrder(batch, worked).map((piece): PieceNow => {
      const of = worked.find(({ variant }) => variant.id === piece.variant)!;
      const make = own.filter(([, { body }]) => body.batch!.variant === piece.variant)[piece.number - 1];
      const { width, height } = of.worked.outside;
      return {
        ...piece,
        name: of.variant.name,
        make: make?.[0],
        done: make ? doneOf(make[1].body, byMake[make[0]] ?? []) : 0,
        plan: plans.get(piece.variant)!,
        worked: of.worked,
        mm: { width: width.value, height: height.value },
      };
    });
    return { pieces, worked };
  });
  return tried.ok ? { ok: true, ...tried.value } : { ok: false, message: tried.faults[0]!.message };
}

function doneOf({ plan }: Make, events: readonly KeptEvent[]): number {
  if (isFinished(events)) return 1;
  const steps = stepsToMake(reckon(planFollowed(plan, events)).steps);
  return foldMake(events, steps).done.length / Math.max(1, steps.length);
}
