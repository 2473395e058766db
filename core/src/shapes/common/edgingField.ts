import type { Field, FieldValues, NumberField, TextField } from '../../base/units';

const KEY = 'edging';

/** How many rounds of edging go round each piece before it is joined: one option, called alike in every shape that has it. */
export const edgingField = (more: Pick<NumberField, 'help'> & Partial<NumberField>): NumberField => ({
  key: KEY,
  kind: 'number',
  label: 'Edging all around',
  unit: 'rounds',
  whole: true,
  min: 0,
  max: 5,
  default: 0,
  ...more,
});

/** What the edging is worked in, where not as the piece. */
export const EDGING_COLOUR: TextField = {
  key: 'edgingColour',
  kind: 'text',
  label: 'Edging in another colour',
  help: 'Its colour by name. Left empty: as the piece.',
  max: 60,
  optional: true,
  when: ({ edging }) => Number(edging) > 0,
};

/** The colour chosen for it; nothing where it is the piece's own. */
export function edgingColour({ edgingColour: given }: FieldValues): string | undefined {
  return typeof given === 'string' && given.trim() !== '' ? given.trim() : undefined;
}

/**
 * Other numbers of rounds that a shape's edging may have, in the order they are asked for.
 *
 * @param now as the plan says it; left out, as is usual for the shape
 * @param steps rounds more, or fewer
 * @returns nothing where the shape has no edging of its own
 */
export function otherEdgings(
  options: readonly Field[],
  now: unknown,
  steps: readonly number[],
): { now: number; others: number[]; change: (rounds: number) => Record<string, number> } | undefined {
  const field = options.find(({ key }) => key === KEY);
  if (field?.kind !== 'number') return undefined;
  const rounds = Number(now ?? field.default);
  const others = steps.map((step) => rounds + step).filter((one) => one >= (field.min ?? 0) && one <= (field.max ?? 0));
  return { now: rounds, others, change: (one) => ({ [`shape.${KEY}`]: one }) };
}
