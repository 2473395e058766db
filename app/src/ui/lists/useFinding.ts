import { byCode } from '@keep-snug/core';
import { useMemo, useState } from 'react';
import { useUsed } from '@/data/used';

/** What of an entry it is found and put in order by. */
interface Findable {
  id: string;
  name: string;
  /** More words it is found by. */
  words?: string;
  kind?: string;
  /** When it was last used, where this device does not know better. */
  usedAt?: string;
}

export type Order = 'used' | 'name';

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Whether every word of a search stands in what an entry is found by; accents and capitals do not matter. */
function isFound({ name, words = '' }: Findable, search: string): boolean {
  const text = plain(`${name} ${words}`);
  return plain(search)
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/** Entries of a list that are looked for, in the order that is wished. */
export function useFinding<Entry extends Findable>(entries: readonly Entry[]) {
  const at = useUsed((state) => state.at);
  const [search, setSearch] = useState('');
  const [order, setOrder] = useState<Order>('used');
  const [kind, setKind] = useState<string | null>(null);
  const found = useMemo(() => {
    const usedAt = (entry: Entry) => at[entry.id] ?? entry.usedAt ?? '';
    const byName = (a: Entry, b: Entry) => a.name.localeCompare(b.name);
    return entries
      .filter((entry) => (kind === null || entry.kind === kind) && isFound(entry, search))
      .sort((a, b) => (order === 'name' ? byName(a, b) : byCode(usedAt(b), usedAt(a)) || byName(a, b)));
  }, [entries, at, kind, search, order]);
  return { found, of: entries.length, search, setSearch, order, setOrder, kind, setKind };
}

export type Finding = Omit<ReturnType<typeof useFinding>, 'found'> & { found: readonly Findable[] };
