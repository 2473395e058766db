/** A day, ms. */
export const DAY_MS = 86_400_000;
