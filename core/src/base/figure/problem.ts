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
