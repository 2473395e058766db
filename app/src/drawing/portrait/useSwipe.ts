import { useGesture } from '@use-gesture/react';
import { useRef, type RefObject } from 'react';
import type { View } from 'react-native';
import { hasPage } from '@/platform/page';

/** A finger drawn quickly across: 1 to the right, -1 to the left. What it ends on is not pressed. */
export function useSwipe(onSwipe: (towards: 1 | -1) => void): RefObject<View | null> {
  const ref = useRef<View>(null);
  useGesture(
    {
      onDrag: ({ swipe: [towards] }) => {
        if (towards !== 0) onSwipe(towards > 0 ? 1 : -1);
      },
    },
    {
      // only a browser has gestures to listen to
      ...(hasPage() ? { target: ref as unknown as RefObject<EventTarget> } : {}),
      drag: { axis: 'x', filterTaps: true, pointer: { keys: false }, swipe: { duration: 500, velocity: 0.2 } },
    },
  );
  return ref;
}
