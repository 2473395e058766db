import type { Step } from '../../pattern';

/** What the fold has to know of a step. */
export type StepPlace = Pick<Step, 'id' | 'piece' | 'kind' | 'row'> & {
  /** Which of several alike it belongs to, from the second on. */
  copy?: number;
};
