import { attempted } from '../../base/figure';
import type { Plan } from '../../plan/plan';
import { workOut } from '../../reckon/build';
import type { Built } from '../../shapes';

/** Counts of stitches as they are on the hook: they stay, whatever the gauge. */
export function countsKept({ choices }: Pick<Built, 'choices'>): Record<string, number> {
  return Object.fromEntries(
    choices
      .filter(({ noun }) => noun === 'stitches')
      .map(({ id, options }) => [id, options.find(({ chosen }) => chosen)!.count]),
  );
}

/**
 * The plan as a make follows it: its counts of stitches stay what they are now, whatever is thought of counts later (handbook 8).
 *
 * @returns the plan itself where it cannot be reckoned
 */
export function pinned(plan: Plan): Plan {
  const counts = attempted(() => countsKept(workOut(plan).built));
  return counts && Object.keys(counts).length > 0 ? { ...plan, picks: { ...counts, ...plan.picks } } : plan;
}

/** The plan without counts that it comes to by itself. */
export function unpinned(plan: Plan): Plan {
  const { picks = {}, ...free } = plan;
  const own = attempted(() => countsKept(workOut(free).built)) ?? {};
  const others = Object.entries(picks).filter(([id, count]) => own[id] !== count);
  return others.length > 0 ? { ...free, picks: Object.fromEntries(others) } : free;
}
