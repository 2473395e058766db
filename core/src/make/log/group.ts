/** Lists of what has the same key, keys in the order they first came. */
export function groupBy<T, Key>(list: readonly T[], keyOf: (one: T) => Key): Map<Key, T[]> {
  const groups = new Map<Key, T[]>();
  for (const one of list) {
    const key = keyOf(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
