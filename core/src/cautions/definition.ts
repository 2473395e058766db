import type { Placed } from '../fittings';
import type { Plan } from '../plan';
import type { WorkedThing } from '../things';

/** What a caution looks at. */
export interface CautionContext {
  plan: Plan;
  thing: WorkedThing;
  /** Kinds of fitting in the plan. */
  fittings: ReadonlySet<string>;
  placed: readonly Placed[];
  /** Working time, minutes. */
  minutes: number;
}

/** A usual household caution; local rules, the equipment's own instructions and qualified people come first. */
export interface CautionDefinition {
  id: string;
  text: string;
  applies: (context: CautionContext) => boolean;
}
