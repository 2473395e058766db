import { useEffect, useRef } from 'react';

interface Keys {
  tick: () => void;
  undo: () => void;
  note: () => void;
  keys: () => void;
  /** Something is open over the room that takes the keys itself. */
  asleep: boolean;
}

const ROLE_TAKES_SPACE = /^(button|link|textbox)$/;

/** Space or right arrow: next row. Backspace or left arrow: back. A focused control keeps its own keys. */
export function useMakeKeys(keys: Keys): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { tick, undo, note, keys: list, asleep } = latest.current;
      if (asleep || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const role = (event.target as HTMLElement).getAttribute('role') ?? '';
      const does: Record<string, (() => void) | undefined> = {
        ' ': ROLE_TAKES_SPACE.test(role) || (event.target as HTMLElement).tagName === 'BUTTON' ? undefined : tick,
        ArrowRight: tick,
        Backspace: undo,
        ArrowLeft: undo,
        n: note,
        '?': list,
      };
      const action = does[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
}
