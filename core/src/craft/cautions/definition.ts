import type { Hazard } from '../things';

/** A usual household caution; local rules, the equipment's own instructions and qualified people come first. */
export interface CautionDefinition {
  id: string;
  text: string;
  /** What it warns of: it is shown wherever a part of the plan brings that with it. */
  hazard: Hazard;
}
