/** Hooks that a plan may name, mm (ours): from the finest of steel to the thickest of wood. */
export const HOOKS = { least: 0.5, most: 40 } as const;

/** Hooks that are proposed in place of another, mm (ours): such as most shops have, in such steps. */
export const PROPOSED_HOOKS = { least: 1, most: 25, step: 0.5 } as const;

/** Whether a hook is one that may be proposed. @param mm of the hook */
export const mayBeProposed = (mm: number): boolean => mm >= PROPOSED_HOOKS.least && mm <= PROPOSED_HOOKS.most;
