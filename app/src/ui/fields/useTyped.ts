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
 * A line as typed, until something else changes what it stands for, and until it is mended when something is wrong with it. Only what was understood whole is taken: a line that goes wrong gives back what was set before it,
 * never a part of it.
 */
export function useTyped<Value>({ shown, value, wrong, take, back }: Typing<Value>) {
  const [typed, setTyped] = useState<string | null>(null);
  // what stood there when it was left: as typed for as long as it means the same
  const [left, setLeft] = useState<string | null>(null);
  const before = useRef<{ value: Value; taken: boolean } | null>(null);
  const line = typed === null || (left !== null && left !== shown) ? shown : typed;
  const error = line === typed && typed !== null ? wrong(typed) : undefined;
  return {
    line,
    error,
    type: (next: string) => {
      const start = (before.current ??= { value, taken: false });
      setTyped(next);
      setLeft(null);
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
      setLeft(shown);
    },
  };
}
