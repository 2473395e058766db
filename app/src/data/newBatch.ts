import type { Plan } from '@keep-snug/core';
import { useLibrary } from './library';

/** Several of a plan: two as it is to begin with. */
export function newBatch(plan: Plan): string {
  const { begun: _begun, ...fresh } = plan;
  return useLibrary.getState().add('batches', {
    name: plan.title,
    plan: fresh,
    variants: [{ id: 'a', name: 'as planned', count: 2 }],
  });
}
