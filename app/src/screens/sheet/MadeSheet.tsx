import { isFinished, type Make } from '@keep-snug/core';
import { useFollowed } from '@/reading/useProgress';
import { useEvents } from '@/data/events';
import { Sheet } from './Sheet';

/** The pattern of what was or is made: the plan as it is followed, with what was decided on the way. */
export function MadeSheet({ id, make }: { id: string; make: Make }) {
  const finished = useEvents((state) => isFinished(state.byMake[id] ?? []));
  const back = finished ? ({ to: '/ledger', name: 'the ledger' } as const) : ({ to: '/', name: 'the bench' } as const);
  return <Sheet plan={useFollowed(id, make)} back={back} />;
}
