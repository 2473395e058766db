import { useEffect, useState } from 'react';
import { isInSight } from './page';

/**
 * Keeps the screen from going dark while the room is open.
 * @returns whether this browser does; nothing before it has answered
 */
export function useAwake(): boolean | undefined {
  const [awake, setAwake] = useState<boolean>();
  useEffect(() => {
    let lock: { release: () => Promise<void> } | null = null;
    let left = false;
    const ask = async () => {
      if (!isInSight()) return;
      const taken = await navigator.wakeLock?.request('screen').catch(() => null);
      if (left) return void taken?.release();
      lock = taken ?? null;
      setAwake(lock !== null);
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
  return awake;
}
