import { useLayoutEffect, useRef } from 'react';

/** What a key does, by its name as the browser tells it. */
export type Keys = Readonly<Record<string, () => void>>;

const TYPED_IN = /^(INPUT|TEXTAREA|SELECT)$/;
const PRESSED = /^(button|link|textbox)$/;

/** Whether a key belongs to what has the focus: every one where something is typed, the space bar where it presses. */
function isTaken(target: HTMLElement, key: string): boolean {
  if (TYPED_IN.test(target.tagName)) return true;
  return key === ' ' && (target.tagName === 'BUTTON' || PRESSED.test(target.getAttribute('role') ?? ''));
}

/**
 * Keys of a whole room, besides Tab and Enter; none is needed. They sleep while something is open that takes them.
 * A room listens from the moment it is shown: a key pressed at once is not lost.
 */
export function useKeys(keys: Keys, asleep = false): void {
  const latest = useRef({ keys, asleep });
  useLayoutEffect(() => {
    latest.current = { keys, asleep };
  });
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const does = latest.current.keys[event.key];
      if (!does || latest.current.asleep || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (isTaken(event.target as HTMLElement, event.key)) return;
      event.preventDefault();
      does();
    };
    if (typeof document === 'undefined') return undefined;
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
}
