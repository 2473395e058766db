/** What becomes of the two tails where one colour is changed for another (handbook 7). */
export interface TailsDefinition {
  id: string;
  name: string;
  /** What it is good for, in a line. */
  summary: string;
  /** What to do with them at the change, beside changing; nothing where that comes later. */
  atChange?: string;
  /** Minutes for both of them (prior, ours). */
  minutes: number;
}
