import type { YarnSpec } from '../../craft/fabric';
import type { Plan } from '../../plan/plan';
import type { ThingSpec } from '../../craft/things';
import { withThing } from '../../plan/withThing';

/** Several pieces by one plan, in so many sizes and yarns. */
export interface BatchRecord {
  name: string;
  /** The plan that all of them are made by. */
  plan: Plan;
  variants: readonly BatchVariant[];
}

/** Pieces of a batch that are alike. */
export interface BatchVariant {
  id: string;
  name: string;
  count: number;
  /** What they are for, where it is not the plan’s own thing. */
  thing?: ThingSpec;
  /** What they are made of, where it is not the plan’s own yarn. */
  yarn?: YarnSpec;
}

/** The plan of a variant: the batch’s own with its thing and its yarn; counts are picked for each anew. */
export function variantPlan({ plan, name: batch }: BatchRecord, { name, thing, yarn }: BatchVariant): Plan {
  const title = `${batch}: ${name}`.slice(0, 120);
  // another size has counts of its own
  const sized = thing ? withThing(plan, thing) : plan;
  const { yarns: _held, ...single } = sized.fabric;
  return {
    ...sized,
    title,
    fabric: yarn ? { ...single, yarn } : sized.fabric,
  };
}

/** A yarn by what tells it from another in the house: its name and its colour. */
export function yarnLabel({ name, colour }: YarnSpec): string {
  const both = [name, colour].filter((one, index, all) => one && all.indexOf(one) === index);
  return both.join(', ') || 'yarn';
}
