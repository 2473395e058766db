import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { deviceStorage, writeBeginning } from '@/platform/storage';

const NAME = 'keep-snug.saved';
const DAY_MS = 86_400_000;
/** After so many days without a file it is time for one. */
const DUE_DAYS = 30;
const LATER_DAYS = 7;

interface Saved {
  /** When everything was last saved as a file; before that, when this device was first used. ISO 8601. */
  at: string;
  ever: boolean;
  /** Not reminded before. */
  quietUntil: string;
  saved: () => void;
  later: () => void;
}

/** When everything was last saved as a file, so that nobody has to remember it. */
export const useSaved = create<Saved>()(
  persist(
    (set) => ({
      at: new Date().toISOString(),
      ever: false,
      quietUntil: '',
      saved: () => set({ at: new Date().toISOString(), ever: true, quietUntil: '' }),
      later: () => set({ quietUntil: new Date(Date.now() + LATER_DAYS * DAY_MS).toISOString() }),
    }),
    { name: NAME, storage: deviceStorage },
  ),
);
writeBeginning(NAME, useSaved);

/**
 * How many days ago everything was last saved, once it is time to do so again.
 * @param now ms
 */
export function daysOverdue({ at, quietUntil }: Pick<Saved, 'at' | 'quietUntil'>, now: number): number | null {
  const days = Math.floor((now - Date.parse(at)) / DAY_MS);
  return days >= DUE_DAYS && now > (Date.parse(quietUntil) || 0) ? days : null;
}
