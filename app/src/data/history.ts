import type { Plan } from '@keep-snug/core';
import equal from 'fast-deep-equal';
import { create } from 'zustand';
import { useBoard } from './board';
import { useLibrary } from './library';
import { onWindow } from '@/platform/page';
import { tabStorage } from '@/platform/storage';

interface Steps {
  past: Plan[];
  future: Plan[];
}

interface History {
  byPlan: Record<string, Steps>;
  /**
   * Changes a plan and remembers what it was.
   * @param field what is being typed or dragged in, if anything: changes in one without a pause are one step
   */
  edit: (id: string, work: (plan: Plan) => Plan, field?: object | null) => void;
  undo: (id: string) => void;
  redo: (id: string) => void;
}

/** Changes in one field no further apart than this are one: a word typed, a dimension drawn. */
const PAUSE_MS = 900;
const last: { id: string; field: unknown; at: number } = { id: '', field: null, at: -Infinity };

/** A hand that has not let go is in the same step, however long it rests; a field that is typed in, without a pause. */
function goesOn(id: string, field: object | null): boolean {
  const held = field === useBoard.getState().gesture || Date.now() - last.at < PAUSE_MS;
  const same = field !== null && last.id === id && last.field === field && held;
  Object.assign(last, { id, field, at: Date.now() });
  return same;
}

const NONE: Steps = { past: [], future: [] };

const NAME = 'keep-snug.steps';
/** So many steps of so many plans outlast a reload. */
const KEPT = { steps: 60, plans: 6 };
/** A drag makes many changes in a second: they are written down together. */
const WRITE_MS = 400;

function readBack(): Record<string, Steps> {
  try {
    return JSON.parse(tabStorage()?.getItem(NAME) ?? '{}') as Record<string, Steps>;
  } catch {
    return {};
  }
}

/** The plans changed last, each with the steps nearest to now. */
function writeSteps(): void {
  const { byPlan } = useHistory.getState();
  const kept = Object.entries(byPlan)
    .slice(-KEPT.plans)
    .map(([id, { past, future }]) => [id, { past: past.slice(-KEPT.steps), future: future.slice(0, KEPT.steps) }]);
  try {
    tabStorage()?.setItem(NAME, JSON.stringify(Object.fromEntries(kept)));
  } catch {
    // a full storage keeps no steps; the plan itself is kept elsewhere
  }
}

/** Undo and redo for every plan, for as long as the tab is open, a reload included. */
export const useHistory = create<History>()((set, get) => {
  const steps = (id: string) => get().byPlan[id] ?? NONE;
  const present = (id: string) => useLibrary.getState().shelves.plans[id]?.body;
  const go = (id: string, to: Plan, next: Steps) => {
    // the plan changed last stands last
    set(({ byPlan: { [id]: _old, ...others } }) => ({ byPlan: { ...others, [id]: next } }));
    useLibrary.getState().change('plans', id, to);
  };
  return {
    byPlan: readBack(),
    edit: (id, work, field = null) => {
      const plan = present(id);
      if (!plan) return;
      const { past } = steps(id);
      const before = past.at(-1);
      const next = work(plan);
      if (!goesOn(id, field) || !before) return go(id, next, { past: [...past, plan], future: [] });
      // what went wrong on the line gave back what was set: nothing was changed, and nothing is to be undone
      const back = equal(next, before);
      if (back) last.id = '';
      return go(id, next, { past: back ? past.slice(0, -1) : past, future: [] });
    },
    undo: (id) => {
      const { past, future } = steps(id);
      const plan = present(id);
      const to = past.at(-1);
      last.id = '';
      if (plan && to) go(id, to, { past: past.slice(0, -1), future: [plan, ...future] });
    },
    redo: (id) => {
      const { past, future } = steps(id);
      const plan = present(id);
      const [to, ...rest] = future;
      if (plan && to) go(id, to, { past: [...past, plan], future: rest });
    },
  };
});

let timer: ReturnType<typeof setTimeout> | undefined;
useHistory.subscribe(() => {
  clearTimeout(timer);
  timer = setTimeout(writeSteps, WRITE_MS);
});
onWindow('pagehide', writeSteps);
