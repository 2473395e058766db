import { useCallback, useEffect, useState } from 'react';
import { ListLine } from '@/ui/lists/ListLine';
import { Words } from '@/ui/layout/Words';
import { Away, listDeleted, type DeletedDocument } from '@/data/api';
import { useLibrary } from '@/data/library';
import { settleYarn } from '@/data/takeFromBox';
import { useLine, useWaiting } from '@/data/sync';

/** What was deleted within the last thirty days, on any device, each to be brought back. */
export function DeletedList() {
  const [list, setList] = useState<readonly DeletedDocument[]>([]);
  const reached = useLine((state) => state.reached);
  const waiting = useWaiting();
  const lay = useLibrary((state) => state.lay);
  const read = useCallback(
    () =>
      listDeleted().then(setList, (error: unknown) => {
        if (!(error instanceof Away)) throw error;
      }),
    [],
  );
  // what is deleted or brought back here shows once the server knows
  useEffect(() => {
    if (reached && waiting === 0) void read();
  }, [read, reached, waiting]);
  if (!reached) return <Words tone="faint">This list needs the server. It shows when you are back online.</Words>;
  if (list.length === 0) return <Words tone="faint">Nothing was deleted in the last 30 days.</Words>;
  return list.map(({ kind, id, body, deletedAt }) => (
    <ListLine
      key={id}
      title={nameOf(body)}
      says={`${ONE[kind]}, deleted ${new Date(deletedAt).toLocaleDateString(undefined, { dateStyle: 'medium' })}`}
      action="Bring back"
      onPress={() => {
        lay(kind, id, body);
        if (kind === 'makes') settleYarn(id);
      }}
    />
  ));
}

const ONE = {
  plans: 'plan',
  things: 'thing',
  yarns: 'yarn',
  swatches: 'swatch',
  makes: 'make',
  hours: 'hours',
  batches: 'batch',
} as const;

function nameOf(body: unknown): string {
  const { title, name } = body as { title?: string; name?: string };
  return title ?? name ?? '';
}
