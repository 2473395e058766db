import { useGesture } from '@use-gesture/react';
import { useCallback, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';
import { hasPage } from '@/platform/page';

/** How a drawing is looked at: so many times larger, and moved by so many px. */
export interface Zoom {
  by: number;
  x: number;
  y: number;
}

export const WHOLE: Zoom = { by: 1, x: 0, y: 0 };
const MOST = 40;

/** Zoomed about a point that stays where it is. */
export function zoomedAt(zoom: Zoom, factor: number, at: { x: number; y: number }): Zoom {
  const by = Math.min(MOST, Math.max(1, zoom.by * factor));
  if (by === 1) return WHOLE;
  const real = by / zoom.by;
  return { by, x: at.x - (at.x - zoom.x) * real, y: at.y - (at.y - zoom.y) * real };
}

/** A knob is dragged by the hand that holds it; the drawing stays where it is. */
const isOnKnob = (event: Event) => (event.target as Element).closest('[role=slider]') !== null;

/** Two fingers, or the wheel with Ctrl, to zoom, then the wheel alone, drag to move once it is larger than its place; a plain drag is left to the page. */
export function useZoom() {
  const ref = useRef<View>(null);
  const [zoom, setZoom] = useState<Zoom>(WHOLE);
  const zoomAt = (factor: number, [clientX, clientY]: readonly [number, number]) => {
    const { left, top } = (ref.current as unknown as HTMLElement).getBoundingClientRect();
    setZoom((old) => zoomedAt(old, factor, { x: clientX - left, y: clientY - top }));
  };
  useGesture(
    {
      onWheel: ({ event, delta: [, down] }) => {
        // a page is scrolled by its wheel, up as well as down
        if (!event.ctrlKey && zoom.by === 1) return;
        event.preventDefault();
        zoomAt(Math.exp(-down / 300), [event.clientX, event.clientY]);
      },
      onDrag: ({ event, delta: [x, y], pinching, cancel }) => {
        if (pinching || isOnKnob(event)) return cancel();
        setZoom((old) => (old.by > 1 ? { ...old, x: old.x + x, y: old.y + y } : old));
      },
      onPinch: ({ event, origin, movement: [scale], memo = 1 }) => {
        // a wheel turned with Ctrl is told as a pinch too
        if (event.type === 'wheel') return memo as number;
        zoomAt(scale / (memo as number), origin);
        return scale;
      },
    },
    {
      // only a browser has gestures to listen to
      ...(hasPage() ? { target: ref as unknown as RefObject<EventTarget> } : {}),
      eventOptions: { passive: false },
      // the window hears the end: what was touched first may be gone by then
      drag: { filterTaps: true, pointer: { keys: false, capture: false } },
    },
  );
  const larger = useCallback((factor: number, width: number, height: number) => {
    setZoom((old) => zoomedAt(old, factor, { x: width / 2, y: height / 2 }));
  }, []);
  const whole = useCallback(() => setZoom(WHOLE), []);
  return { ref, zoom, larger, whole };
}
