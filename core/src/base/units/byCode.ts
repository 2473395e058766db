/**
 * The order of days and times as ISO 8601 writes them, and of other text that needs no alphabet: a collator takes a tenth of a
 * second to come up on a phone.
 */
export const byCode = (one: string, other: string): number => (one < other ? -1 : one > other ? 1 : 0);
