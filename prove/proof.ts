/** What one proof is given: which share of its full size to run, and where to say how it goes. */
interface ProofContext {
  /** 1 for all of it; the checks run a small sample. */
  share: number;
}

/** Something that takes longer to show than the checks may take. */
export interface Proof {
  id: string;
  says: string;
  /**
   * @returns what was measured, in a line
   * @throws where it does not hold
   */
  run: (context: ProofContext) => Promise<string>;
}
