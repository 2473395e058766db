import { attempted } from '../../base/figure';
import { planSittings, type Day, type Job, type SittingsAsk, type SittingsTold } from '../sittings';
import { variantPlan, type BatchRecord } from './batch';
import { batchOrder, type BatchPiece } from './order';

/** A batch whose pieces share the days with all else. */
interface BatchToDo {
  id: string;
  batch: BatchRecord;
  /** How many makes stand for pieces of each variant already. */
  begun: Readonly<Record<string, number>>;
  wanted?: Day | undefined;
}

/** All that is to be made: makes and plans by themselves, and batches. */
export interface DaysAsk extends SittingsAsk {
  batches: readonly BatchToDo[];
}

/**
 * The days ahead of makes, plans and batches together (handbook 7).
 *
 * @throws PlanProblem where the plan of a make cannot be reckoned; a batch that cannot be is left out, since it says so itself
 */
export const planDays = ({ batches, jobs, ...ask }: DaysAsk): SittingsTold =>
  planSittings({ ...ask, jobs: [...jobs, ...batches.flatMap(waitingOf)] });

/** Pieces of a batch that no make stands for yet, in the order of work. */
function waitingOf({ id, batch, begun, wanted }: BatchToDo): Job[] {
  return orderOf(batch).flatMap(({ variant, number }) => {
    if (number <= (begun[variant] ?? 0)) return [];
    const plan = variantPlan(
      batch,
      batch.variants.find((one) => one.id === variant)!,
    );
    return [{ id: `${id}/${variant}/${number}`, title: plan.title, plan, wanted, group: id }];
  });
}

function orderOf(batch: BatchRecord): BatchPiece[] {
  return attempted(() => batchOrder(batch)) ?? [];
}
