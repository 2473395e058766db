import type { LengthUnit, Method, Schools, Voice } from '@keep-snug/core';
import type { Paper } from '@keep-snug/core/paper';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { newId } from '@/platform/ids';
import { deviceStorage, writeBeginning } from '@/platform/storage';

const NAME = 'keep-snug.settings';

export type ThemeName = 'light' | 'dark' | 'lamp';

/** How much larger than usual letters are. */
export const LETTERS = { usual: 1, large: 1.15, larger: 1.3 } as const;

/** What a person sets. */
export interface Choices {
  units: LengthUnit;
  terms: Schools['terms'];
  hand: Schools['hand'];
  theme: ThemeName | 'device';
  letters: keyof typeof LETTERS;
  rounds: Schools['rounds'];
  turningChain: 'plain' | 'counts';
  ring: Schools['ring'];
  foundation: Schools['foundation'];
  /** Patterns in sentences, or in abbreviations. */
  voice: Voice;
  /** What stitches are usually measured with here. */
  measuredWith: Method;
  /** What a printer here takes. */
  paper: Paper;
}

/** What is kept per device: how this one reads and shows. */
interface Settings extends Choices {
  device: string;
  set: (change: Partial<Choices>) => void;
}

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      device: newId(),
      units: 'mm',
      terms: 'US',
      hand: 'right',
      theme: 'device',
      letters: 'usual',
      rounds: 'spiral',
      turningChain: 'plain',
      ring: 'wrapped',
      foundation: 'chain',
      voice: 'full',
      measuredWith: 'ruler',
      paper: 'A4',
      set: (change) => set(change),
    }),
    { name: NAME, storage: deviceStorage },
  ),
);
writeBeginning(NAME, useSettings);
