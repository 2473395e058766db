import { useEffect } from 'react';

/** Keeps the screen from going dark while the room is open, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: { release: () => Promise<void> } | null = null;
    let left = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      const taken = await navigator.wakeLock?.request('screen').catch(() => null);
      if (left) void taken?.release();
      else lock = taken ?? null;
    };
    const again = () => void ask();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
