import { useRef } from 'react';
import type { View } from 'react-native';

/** What one of several radios needs so that the keys move among them. */
export interface RadioKeys {
  pressRef: (node: View | null) => void;
  tabIndex: 0 | -1;
  onArrow: (step: 1 | -1) => void;
}

/** Radios as one stop of the Tab key: the arrows move among them, round and round, and choose as they go. */
export function useRadios<Id extends string | number>(
  ids: readonly Id[],
  chosen: Id | undefined,
  choose: (id: Id) => void,
): (id: Id) => RadioKeys {
  const nodes = useRef(new Map<Id, View>());
  const stop = ids.find((id) => id === chosen) ?? ids[0];
  return (id) => ({
    pressRef: (node) => {
      if (node) nodes.current.set(id, node);
      else nodes.current.delete(id);
    },
    tabIndex: id === stop ? 0 : -1,
    onArrow: (step) => {
      const next = ids[(ids.indexOf(id) + step + ids.length) % ids.length]!;
      choose(next);
      nodes.current.get(next)?.focus();
    },
  });
}
