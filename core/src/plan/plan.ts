import type { AtHand } from './atHand';
import type { BegunSpec } from './types';
import type { FabricSpec, Palette } from '../craft/fabric';
import type { FitSpec } from '../craft/fit';
import type { FittingSpec } from '../fittings';
import type { Schools } from '../pattern';
import type { CarrierSpec, ThingSpec } from '../craft/things';
import type { FieldValue } from '../base/units';

export const PLAN_FORMAT = 'keep-snug.plan/1';

/** A plan: all a person decided, and nothing that can be reckoned from it. */
export interface Plan {
  format: typeof PLAN_FORMAT;
  title: string;
  thing: ThingSpec;
  /** What carries the finished piece: a bar it hangs over, a body it hangs from. */
  carrier?: CarrierSpec;
  fabric: FabricSpec;
  /** How the colours look that are named in it, and what there is of each. */
  palette?: Palette;
  shape: ShapeSpec;
  fit: FitSpec;
  fittings?: FittingSpec[];
  /** Fittings that do not belong on this shape, kept for one they belong on. */
  parked?: FittingSpec[];
  /** Counts taken over the best ones, by choice. */
  picks?: Record<string, number>;
  /** What is worked of it already, as it stands. */
  begun?: readonly BegunSpec[];
  /** Cautions that were read and set aside on screen; the sheet keeps them. */
  setAside?: string[];
  schools?: Partial<Schools>;
  /** What the maker has, told with the plan for as long as it is reckoned: proposed first where the plan does not fit. */
  atHand?: AtHand;
}

interface ShapeSpec {
  kind: string;
  [option: string]: FieldValue | undefined;
}
