/** A shape or a fitting that usually goes with something, and why. */
export interface GoesWith {
  shape?: string;
  fitting?: string;
  because: string;
}
