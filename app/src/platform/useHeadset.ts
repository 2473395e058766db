import { useEffect, useRef } from 'react';

interface Buttons {
  next: () => void;
  back: () => void;
  again: () => void;
}

/** The buttons of a headset, where the browser hands them on: next row, back a row, say it again. */
export function useHeadset(listens: boolean, buttons: Buttons): void {
  const now = useRef(buttons);
  useEffect(() => {
    now.current = buttons;
  });
  useEffect(() => {
    const session = typeof navigator === 'undefined' ? undefined : navigator.mediaSession;
    if (!listens || !session) return undefined;
    const does = {
      nexttrack: () => now.current.next(),
      previoustrack: () => now.current.back(),
      play: () => now.current.again(),
      pause: () => now.current.again(),
    } as const;
    const set = (to: boolean) => {
      for (const [action, handler] of Object.entries(does) as [MediaSessionAction, () => void][])
        session.setActionHandler(action, to ? handler : null);
    };
    set(true);
    return () => set(false);
  }, [listens]);
}
