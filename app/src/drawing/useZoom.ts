import { useCallback, useEffect, useRef, useState } from 'react';
import type { View } from 'react-native';

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

interface Pointer {
  x: number;
  y: number;
}

/** Wheel and pinch to zoom, drag to move once it is larger than its place; a plain drag is left to the page. */
export function useZoom() {
  const ref = useRef<View>(null);
  const [zoom, setZoom] = useState<Zoom>(WHOLE);
  const now = useRef(zoom);
  useEffect(() => {
    now.current = zoom;
  }, [zoom]);

  useEffect(() => {
    const node = ref.current as unknown as HTMLElement | null;
    if (!node?.addEventListener) return undefined;
    const pointers = new Map<number, Pointer>();
    const place = ({ clientX, clientY }: { clientX: number; clientY: number }): Pointer => {
      const { left, top } = node.getBoundingClientRect();
      return { x: clientX - left, y: clientY - top };
    };
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && now.current.by === 1 && event.deltaY > 0) return;
      event.preventDefault();
      setZoom((old) => zoomedAt(old, Math.exp(-event.deltaY / 300), place(event)));
    };
    const down = (event: PointerEvent) => {
      // a knob is drawn by the hand that holds it; the drawing stays where it is
      if (!(event.target as Element).closest('[role=slider]')) pointers.set(event.pointerId, place(event));
    };
    const drag = (event: PointerEvent) => {
      const before = pointers.get(event.pointerId);
      if (!before) return;
      const after = place(event);
      const [first, second] = [...pointers.values()];
      pointers.set(event.pointerId, after);
      if (first && second) {
        const other = before === first ? second : first;
        const apart = (a: Pointer) => Math.hypot(a.x - other.x, a.y - other.y);
        const middle = { x: (after.x + other.x) / 2, y: (after.y + other.y) / 2 };
        return setZoom((old) => zoomedAt(old, apart(after) / Math.max(1, apart(before)), middle));
      }
      if (now.current.by > 1)
        setZoom((old) => ({ ...old, x: old.x + after.x - before.x, y: old.y + after.y - before.y }));
      return undefined;
    };
    const up = (event: PointerEvent) => void pointers.delete(event.pointerId);
    node.addEventListener('wheel', wheel, { passive: false });
    node.addEventListener('pointerdown', down);
    window.addEventListener('pointermove', drag);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', up);
    return () => {
      node.removeEventListener('wheel', wheel);
      node.removeEventListener('pointerdown', down);
      window.removeEventListener('pointermove', drag);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', up);
    };
  }, []);

  const larger = useCallback((factor: number, width: number, height: number) => {
    setZoom((old) => zoomedAt(old, factor, { x: width / 2, y: height / 2 }));
  }, []);
  const whole = useCallback(() => setZoom(WHOLE), []);
  return { ref, zoom, larger, whole };
}
