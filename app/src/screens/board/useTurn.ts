import { useDrag } from '@use-gesture/react';
import { useRef, useState } from 'react';
import type { View, ViewStyle } from 'react-native';
import { besideSide, useBoard, type SeenSide } from '@/data/board';
import { hasPage } from '@/platform/page';
import { isStill } from '@/platform/still';

/** A finger drawn across so much of the picture turns it to its next side. */
const ACROSS = 0.55;

/** A quick stroke turns it too, px a ms. */
const QUICK = 0.5;

/** How far it is turned by a movement, from one side before to one after. */
const turnedBy = (x: number, width: number): number => Math.max(-1, Math.min(1, -x / (ACROSS * Math.max(1, width))));

const widthOf = (picture: View | null): number => (picture as unknown as HTMLElement | null)?.offsetWidth ?? 1;

/** Turning the finished piece by a finger drawn across it: it narrows as it comes round, and lets go to the nearer side. */
export function useTurn() {
  // as state and no ref: what listens to it is told when it is there
  const [picture, ref] = useState<View | null>(null);
  const side = useBoard((state) => state.side);
  const turn = useBoard((state) => state.turn);
  const [turned, setTurned] = useState<number | null>(null);
  // what ends a stroke is no press
  const strokes = useRef(false);
  useDrag(
    ({ movement: [x], velocity: [quick], first, last, tap, canceled }) => {
      if (tap) return;
      const by = turnedBy(x, widthOf(picture));
      if (first) strokes.current = true;
      if (!last) return setTurned(by);
      setTurned(null);
      if (!canceled && (Math.abs(by) > 0.5 || quick > QUICK)) turn(besideSide(side, Math.sign(by)));
      setTimeout(() => (strokes.current = false), 0);
    },
    {
      ...(hasPage() && picture ? { target: picture as unknown as EventTarget } : {}),
      axis: 'x',
      filterTaps: true,
      threshold: 8,
      // the window hears the end: what was touched first is gone once the other side is seen
      pointer: { keys: false, capture: false },
    },
  );
  return { ref, ...seenAt(side, turned), strokes };
}

/** Which side is seen while it is turned, and how narrow it is seen. */
function seenAt(side: SeenSide, turned: number | null): { side: SeenSide; style: ViewStyle } {
  const still = { touchAction: 'pan-y', transitionProperty: 'transform', transitionDuration: '160ms' } as ViewStyle;
  if (turned === null || isStill()) return { side, style: still };
  const scaleX = Math.max(0.02, Math.abs(Math.cos(turned * Math.PI)));
  return {
    side: Math.abs(turned) > 0.5 ? besideSide(side, Math.sign(turned)) : side,
    style: { touchAction: 'pan-y', transform: [{ scaleX }] } as ViewStyle,
  };
}
