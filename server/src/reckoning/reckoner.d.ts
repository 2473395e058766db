import type { Question, Reckoned } from './work';
/** From the start of the work, ms. */
export declare const DEADLINE_MS: Readonly<Record<Question['is'], number>>;
/** The reckoning took longer, or more memory, than anything that a maker would ask for. */
export declare class TooMuchToReckon extends Error {}
export interface Reckoner {
  /** @throws TooMuchToReckon where it goes beyond its bounds; the server goes on */
  reckon: (question: Question) => Promise<Reckoned>;
  close: () => Promise<void>;
}
/**
 * Reckons in threads of its own, so that nothing asked of it holds up the others.
 * @param filename the thread's program
 * @param deadlines when to give up, ms
 */
export declare function createReckoner(
  filename: string,
  deadlines?: Readonly<Record<'ways' | 'reckon' | 'chance', number>>,
): Reckoner;
