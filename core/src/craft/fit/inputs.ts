import type { Figure } from '../../base/figure';
import type { ChanceInputs, InputName } from './model';

/** What is measured of the thing errs by so much; all else are scales, larger or smaller by a factor (handbook 3). */
const MEASURES: ReadonlySet<string> = new Set(['g', 'H', 'D', 'loop']);

/** What is not of the hand: the fabric's thickness comes from the yarn, a strap's growth from its load. */
const NOT_OF_HAND: ReadonlySet<string> = new Set(['t', 'grows', 'loop']);

/** Whether an input is a measure of the thing, which errs by so many mm. */
export const isMeasure = (name: InputName): boolean => MEASURES.has(name);

/** Whether an input is the hand's doing: the size of a stitch or of what is made of stitches. */
export const isOfHand = (name: InputName): boolean => !MEASURES.has(name) && !NOT_OF_HAND.has(name);

/** All that is drawn for a plan: the six letters, and what its model names besides. */
export function inputsOf({ figures, model, wants = [] }: ChanceInputs): Readonly<Record<InputName, Figure>> {
  return Object.assign({}, figures, model.also, ...wants.map(({ also }) => also)) as Record<InputName, Figure>;
}
