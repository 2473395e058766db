export interface PlanFault {
  path: string;
  message: string;
}

/** A plan that cannot be reckoned. Every fault names the entry, its limit and the repair. */
export class PlanProblem extends Error {
  readonly errors: readonly PlanFault[];

  constructor(errors: readonly PlanFault[]) {
    super(errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
    this.name = 'PlanProblem';
    this.errors = errors;
  }
}

/** What comes of work that a plan may not allow: what it gives, or what is wrong with the plan. */
type Attempt<T> = { ok: true; value: T } | { ok: false; faults: readonly PlanFault[] };

/**
 * Tries what a plan may not allow.
 *
 * @returns what it gives, or every fault of the plan
 * @throws whatever else goes wrong: that is the program's own fault, and never hidden
 */
export function attempt<T>(work: () => T): Attempt<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof PlanProblem) return { ok: false, faults: error.errors };
    throw error;
  }
}

/** What a plan gives, or nothing where it allows none of it; any other error is thrown on. */
export function attempted<T>(work: () => T): T | undefined {
  const tried = attempt(work);
  return tried.ok ? tried.value : undefined;
}
