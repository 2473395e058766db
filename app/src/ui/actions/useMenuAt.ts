import { useRef, useState } from 'react';
import type { View } from 'react-native';

const PRESSED = 'button, [tabindex="0"]';

/**
 * Where a menu opens: just under what opens it. The library's own way of hanging a menu on its anchor takes the focus there
 * whenever the page is drawn first, so that a menu is there only while it is open, and the focus goes back when it closes.
 */
export function useMenuAt() {
  const line = useRef<View>(null);
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);
  const element = () => line.current as unknown as HTMLElement | null;
  const open = () => {
    const box = element()?.getBoundingClientRect?.();
    setAt({ x: box?.left ?? 0, y: box?.bottom ?? 0 });
  };
  const close = () => {
    setAt(null);
    const sign = element();
    const button = sign?.matches?.(PRESSED) ? sign : sign?.querySelector?.<HTMLElement>(PRESSED);
    button?.focus();
  };
  return { line, at, open, close };
}
