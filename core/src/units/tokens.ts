import { formatNumber } from './text';

/*
 * Lengths within a text, to be told in the reader's unit when the text is worded: `{mm:62.3}` and its like. A figure comes as a
 * tape shows it, what was typed as it was, a limit rounded so that keeping to it is within it.
 */

const token = (kind: string) => (mm: number) => `{${kind}:${formatNumber(mm, 3)}}`;

/** A size, as a tape is read. */
export const mmToken = token('mm');

/** What was typed, or is sold in such sizes: exactly. */
export const typedToken = token('typed');

/** The most that may be: never rounded above it. */
export const mostToken = token('most');

/** The least that must be: never rounded below it. */
export const leastToken = token('least');
