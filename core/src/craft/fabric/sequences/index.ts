import type { SequenceDefinition } from './definition';
import { grams } from './grams';
import { random } from './random';
import { ratio } from './ratio';
import type { Striped } from '../types';

export type { SequenceDefinition, SequenceSpec } from './definition';

/** Every rule by which rows take their colours. */
export const SEQUENCES: readonly SequenceDefinition[] = [ratio, random, grams];

/** A rule by its id. */
export const sequenceDefinition = (id: string): SequenceDefinition | undefined =>
  SEQUENCES.find((one) => one.id === id);

/**
 * The colour of every row of a piece, from its first: by the rule, or so many rows of each in turn, over and over; none where
 * nothing is said.
 *
 * @param ends stitches each row ends on
 */
export function stripeNames({ colours = [], sequence }: Striped, ends: readonly number[]): string[] | undefined {
  if (sequence && sequence.colours.length > 0) return sequenceDefinition(sequence.by)!.names(sequence, ends);
  if (colours.length === 0) return undefined;
  const cycle = colours.flatMap(({ name, rows }) => Array.from({ length: rows }, () => name));
  return ends.map((_, index) => cycle[index % cycle.length]!);
}

/** The colours that are said for rows, each once, in the order they are first named. */
export const stripeColours = ({ colours = [], sequence }: Striped): string[] => [
  ...new Set((sequence ? sequence.colours : colours).map(({ name }) => name)),
];
