import { hookFor, yarnDiameter, yarnOf, type FabricSpec, type YarnSpec } from '../craft/fabric';

/** What the maker has in the house: proposed before what would have to be bought. */
export interface AtHand {
  /** Hooks, mm. */
  hooksMm?: readonly number[];
  yarns?: readonly YarnSpec[];
}

/** Yarns that are tried in place of another: more take long, and differ by little (ours). */
const MOST_TRIED = 6;

/** Whether a hook is at hand. @param mm of the hook */
export const hasHook = ({ hooksMm = [] }: AtHand, mm: number): boolean =>
  hooksMm.some((one) => Math.abs(one - mm) < 0.01);

/**
 * Hooks at hand in place of another, the nearest first.
 *
 * @param mm of the hook in use
 * @param within how far they may be from it, mm
 */
export const hooksBeside = ({ hooksMm = [] }: AtHand, mm: number, within: number): number[] =>
  [...new Set(hooksMm)]
    .filter((one) => Math.abs(one - mm) >= 0.01 && Math.abs(one - mm) <= within)
    .sort((a, b) => Math.abs(a - mm) - Math.abs(b - mm) || a - b);

/** Yarns at hand in place of a fabric's own, the nearest in thickness first; those that are used up are not. */
export function yarnsBeside({ yarns = [] }: AtHand, fabric: FabricSpec): YarnSpec[] {
  const own = yarnOf(fabric);
  const off = (yarn: YarnSpec) => Math.abs(Math.log(yarnDiameter(yarn).value / yarnDiameter(own).value));
  return yarns
    .filter((yarn) => yarn.name !== own.name && yarn.gramsLeft !== 0)
    .sort((a, b) => off(a) - off(b))
    .slice(0, MOST_TRIED);
}

/** As near to the hook that suits a yarn as this one is as good, mm (ours). */
const AS_GOOD = 0.5;

/** The hook for a yarn: the one that suits it, or one at hand that is near enough. @returns mm */
export function hookAtHandFor(yarn: YarnSpec, atHand: AtHand): number {
  const suits = hookFor(yarn);
  return hasHook(atHand, suits) ? suits : (hooksBeside(atHand, suits, AS_GOOD)[0] ?? suits);
}
