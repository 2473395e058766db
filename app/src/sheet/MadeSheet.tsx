import type { Make } from '@keep-snug/core';
import { useFollowed } from '@/making/useProgress';
import { Sheet } from './Sheet';

/** The pattern of what was made: the plan as it was followed, with what was decided on the way. */
export function MadeSheet({ id, make }: { id: string; make: Make }) {
  return <Sheet plan={useFollowed(id, make)} back={{ to: '/ledger', name: 'the ledger' }} />;
}
