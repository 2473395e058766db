import { upTo, type Plan } from '@keep-snug/core';
import { useLibrary } from '@/data/library';

const LONGEST_TITLE = 120;

/** A plan of its own like another, with nothing of it worked yet: changing it leaves the other as it is. Its title says so. */
export function copyPlan({ begun: _worked, ...plan }: Plan): string {
  const titles = new Set(Object.values(useLibrary.getState().shelves.plans).map(({ body }) => body.title));
  const named = (ending: string) => upTo(plan.title, LONGEST_TITLE - ending.length) + ending;
  let title = named(' (copy)');
  for (let number = 2; titles.has(title); number += 1) title = named(` (copy ${number})`);
  return useLibrary.getState().add('plans', { ...plan, title });
}
