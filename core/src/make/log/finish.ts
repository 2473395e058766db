import type { KeptEvent } from './events';
import { inOrder, isFinished } from './order';

/** What was said of a make when it was finished. */
export type Finish = Extract<KeptEvent, { kind: 'finished' }>;

/** What was said of a finished make, the latest of it; undefined where it is not finished. */
export function finishOf(events: readonly KeptEvent[]): Finish | undefined {
  if (!isFinished(events)) return undefined;
  return inOrder(events)
    .filter((event): event is Finish => event.kind === 'finished')
    .at(-1);
}
