import { capital } from '@keep-snug/core';
import type { Step } from '@keep-snug/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { deviceStorage } from '@/platform/storage';
import { courseWord, type Progress } from '@/reading/useProgress';

interface Told {
  /** How many rows of a make it was told of that they were ticked twice. */
  rows: Record<string, number>;
  heard: (make: string, rows: number) => void;
}

const useTold = create<Told>()(
  persist((set) => ({ rows: {}, heard: (make, rows) => set((state) => ({ rows: { ...state.rows, [make]: rows } })) }), {
    name: 'keep-snug.told',
    storage: deviceStorage,
  }),
);

/** Two devices ticked the same rows, neither knowing of the other: each counts once, and whoever works is told. */
export function Twice({ id, progress: { worked, state } }: { id: string; progress: Progress }) {
  const told = useTold((all) => all.rows[id] ?? 0);
  const heard = useTold((all) => all.heard);
  if (state.twice.length <= told) return null;
  const steps = worked.steps.filter((step) => state.twice.includes(step.id)).slice(told);
  return (
    <Notice
      tone="thread"
      word="Ticked on two devices"
      text={`${inWords(steps)} ${steps.length === 1 ? 'was' : 'were'} ticked on another device too, and counted once. Check that your work is at the row below.`}
    >
      <Action onPress={() => heard(id, state.twice.length)}>It is right</Action>
    </Notice>
  );
}

function inWords(steps: readonly Step[]): string {
  const [first, last] = [steps[0]!, steps.at(-1)!];
  const name = (step: Step) => (step.row ? `${courseWord(step).toLowerCase()} ${step.row}` : 'a step by hand');
  const words = steps.length === 1 ? name(first) : `${name(first)} to ${name(last)}`;
  return capital(words);
}
