/** The same in both voices: a sentence, and as abbreviations have it. */
export interface Told {
  full: string;
  short: string;
}
