/** Something worth saying about a plan. A question doubts an entry without refusing it. */
export interface Advice {
  id: string;
  severity: 'question' | 'advice' | 'warning';
  text: string;
  /** What to do about it, in words. */
  repair: string;
  /** The path of the plan's entry it speaks of, as `fabric.gauge.stitches[0]`. */
  at?: string;
  /** The repair as changes of the plan's entries by path, where one press can make it. */
  change?: Readonly<Record<string, unknown>>;
  /** What to do where that change, once tried, does not help: it is then said in place of the repair, and no change is offered. */
  otherwise?: string;
}
