import { useState } from 'react';

interface FocusEventLike {
  target?: unknown;
}

/** Whether the focus should show: it came by the keyboard, not by a press. */
export function useFocusRing() {
  const [ring, setRing] = useState(false);
  return {
    ring,
    onFocus: ({ target }: FocusEventLike) => setRing(target instanceof Element && target.matches(':focus-visible')),
    onBlur: () => setRing(false),
  };
}
