import { yarnDiameter, type YarnSpec } from './yarn';

/** Hooks that a plan may name, mm (ours): from the finest of steel to the thickest of wood. */
export const HOOKS = { least: 0.5, most: 40 } as const;

/** Hooks that are proposed in place of another, mm (ours): such as most shops have, in such steps. */
export const PROPOSED_HOOKS = { least: 1, most: 25, step: 0.5 } as const;

/** Whether a hook is one that may be proposed. @param mm of the hook */
export const mayBeProposed = (mm: number): boolean => mm >= PROPOSED_HOOKS.least && mm <= PROPOSED_HOOKS.most;

/** Hook against yarn diameter for a fabric that holds small things: a medium yarn of 2.4 mm on a hook of 4 (prior, ours). */
const FIRM = 1.66;

/**
 * The hook a firm fabric of a yarn is usually worked with, until a swatch says another (prior, ours).
 *
 * @param yarn sized by metres, wraps or category
 * @returns mm, in steps that hooks come in
 */
export function hookFor(yarn: YarnSpec): number {
  const { least, most, step } = PROPOSED_HOOKS;
  const mm = step * Math.round((FIRM * yarnDiameter(yarn).value) / step);
  return Math.min(most, Math.max(least, mm));
}
