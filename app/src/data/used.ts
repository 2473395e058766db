import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { deviceStorage } from '@/platform/storage';

/** So many documents are remembered; those used longest ago are forgotten first. */
const MOST = 500;

interface Used {
  /** When a document was last used on this device, by its id. */
  at: Readonly<Record<string, string>>;
  touch: (id: string) => void;
}

/** What was used when, on this device: lists begin with the last. */
export const useUsed = create<Used>()(
  persist(
    (set) => ({
      at: {},
      touch: (id) =>
        set(({ at }) => ({
          at: Object.fromEntries(
            [[id, new Date().toISOString()] as const, ...Object.entries(at).filter(([other]) => other !== id)].slice(
              0,
              MOST,
            ),
          ),
        })),
    }),
    { name: 'keep-snug.used', storage: deviceStorage },
  ),
);
