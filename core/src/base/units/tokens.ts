import { formatLeast, formatLength, formatMost, formatOnTape, type LengthUnit } from './length';
import { formatCut } from './known';
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

/** How each kind of length is told. */
const TOLD: Readonly<Record<string, (mm: number, unit: LengthUnit) => string>> = {
  mm: formatOnTape,
  cut: formatCut,
  typed: formatLength,
  most: formatMost,
  least: formatLeast,
};

/** What a token (without its braces) says in the reader's unit; nothing where it is not one of a length. */
export function tellLength(token: string, unit: LengthUnit): string | undefined {
  const colon = token.indexOf(':');
  return TOLD[token.slice(0, Math.max(0, colon))]?.(Number(token.slice(colon + 1)), unit);
}

/** A text with its lengths in the reader's unit; every other token stays. */
export const wordLengths = (text: string, unit: LengthUnit): string =>
  text.replace(/\{([^{}]*)\}/g, (whole, token: string) => tellLength(token, unit) ?? whole);
