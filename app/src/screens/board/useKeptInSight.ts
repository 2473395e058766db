import { useLayoutEffect, useRef } from 'react';
import type { View } from 'react-native';

/** The element that scrolls what is in it. */
function scrollerOf(element: HTMLElement): HTMLElement | null {
  let at = element.parentElement;
  while (at && !/auto|scroll/.test(getComputedStyle(at).overflowY)) at = at.parentElement;
  return at;
}

/** Clear of the drawing, which stays at the top of a phone’s screen. */
function middleOf(scroller: HTMLElement): number {
  const { top, height } = scroller.getBoundingClientRect();
  return top + height / 2;
}

/**
 * A stage that opens closes another, perhaps a long one above it: its head stays under the finger that pressed it, and
 * comes into sight where it was opened from elsewhere.
 */
export function useKeptInSight(isOpen: boolean) {
  const ref = useRef<View>(null);
  const pressedAt = useRef<number | null>(null);
  const wasOpen = useRef(isOpen);
  const element = () => {
    const view = ref.current as unknown as HTMLElement | null;
    return view?.getBoundingClientRect ? view : null;
  };
  useLayoutEffect(() => {
    const head = element();
    const opened = isOpen && !wasOpen.current;
    wasOpen.current = isOpen;
    if (!opened || !head) return;
    const scroller = scrollerOf(head);
    if (scroller) scroller.scrollTop += head.getBoundingClientRect().top - (pressedAt.current ?? middleOf(scroller));
    pressedAt.current = null;
  }, [isOpen]);
  const press = () => {
    pressedAt.current = element()?.getBoundingClientRect().top ?? null;
  };
  return { ref, press };
}
