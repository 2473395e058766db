import { useState } from 'react';

interface Typing {
  /** What stands on the line while nothing is being typed. */
  value: string;
  /** What is wrong with a typed line; undefined when nothing is. */
  wrong: (line: string) => string | undefined;
  /** Takes in what was typed, good or not. */
  take: (line: string) => void;
}

/**
 * A line as typed until it is left, and until it is mended when something is wrong with it; otherwise it follows what
 * changes elsewhere.
 */
export function useTyped({ value, wrong, take }: Typing) {
  const [typed, setTyped] = useState<string | null>(null);
  const error = typed === null ? undefined : wrong(typed);
  return {
    line: typed ?? value,
    error,
    type: (next: string) => {
      setTyped(next);
      take(next);
    },
    leave: () => {
      if (!error) setTyped(null);
    },
  };
}
