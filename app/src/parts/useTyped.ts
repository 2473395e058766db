import { useRef, useState } from 'react';

interface Typing<Value> {
  /** What stands on the line while nothing is being typed. */
  shown: string;
  /** What is set now. */
  value: Value;
  /** What is wrong with a typed line; undefined when nothing is. */
  wrong: (line: string) => string | undefined;
  /** Takes in a line with nothing wrong in it. */
  take: (line: string) => void;
  /** Sets what was set before the first letter was typed. */
  back: (value: Value) => void;
}

/**
 * A line as typed until it is left, and until it is mended when something is wrong with it; otherwise it follows what
 * changes elsewhere. Only what was understood whole is taken: a line that goes wrong gives back what was set before it,
 * never a part of it.
 */
export function useTyped<Value>({ shown, value, wrong, take, back }: Typing<Value>) {
  const [typed, setTyped] = useState<string | null>(null);
  const before = useRef<{ value: Value; taken: boolean } | null>(null);
  const error = typed === null ? undefined : wrong(typed);
  return {
    line: typed ?? shown,
    error,
    type: (next: string) => {
      const start = (before.current ??= { value, taken: false });
      setTyped(next);
      if (wrong(next) === undefined) {
        start.taken = true;
        return take(next);
      }
      if (start.taken) back(start.value);
      start.taken = false;
    },
    leave: () => {
      if (error) return;
      before.current = null;
      setTyped(null);
    },
  };
}
