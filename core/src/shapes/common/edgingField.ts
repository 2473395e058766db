import type { ChoiceField, Field, FieldValues, NumberField, TextField } from '../../base/units';

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

const LAST_KEY = 'edgingOf';

/** What the last round of an edging is worked of: slip stitches are the finer step. */
export const EDGING_OF: ChoiceField = {
  key: LAST_KEY,
  kind: 'choice',
  label: 'Edging worked in',
  help: 'Of several rounds, the last one.',
  options: [
    { id: 'single', name: '{single}' },
    { id: 'slip', name: 'slip stitch' },
  ],
  default: 'single',
  when: ({ edging }) => Number(edging) > 0,
};

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

/** An edging by its rounds and what the last of them is worked of. */
export interface EdgingWay {
  rounds: number;
  last: 'single' | 'slip';
}

interface Edgings {
  now: number;
  others: number[];
  change: (rounds: number) => Record<string, number>;
  /** The same with their last round in either stitch, where the shape lets that be chosen: as it is now, and the others. */
  ways: { now: EdgingWay; others: EdgingWay[]; change: (way: EdgingWay) => Record<string, number | string> };
}

/**
 * Other numbers of rounds that a shape's edging may have, in the order they are asked for.
 *
 * @param now as the plan says it; left out, as is usual for the shape
 * @param steps rounds more, or fewer
 * @param last what its last round is worked of, as the plan says it
 * @returns nothing where the shape has no edging of its own
 */
export function otherEdgings(
  options: readonly Field[],
  now: FieldValues[string],
  steps: readonly number[],
  last?: FieldValues[string],
): Edgings | undefined {
  const field = options.find(({ key }) => key === KEY);
  if (field?.kind !== 'number') return undefined;
  const rounds = Number(now ?? field.default);
  const others = steps.map((step) => rounds + step).filter((one) => one >= (field.min ?? 0) && one <= (field.max ?? 0));
  const change = (one: number) => ({ [`shape.${KEY}`]: one });
  const is: EdgingWay = { rounds, last: last === 'slip' && rounds > 0 ? 'slip' : 'single' };
  const both = options.some(({ key }) => key === LAST_KEY) ? (['single', 'slip'] as const) : [is.last];
  const ways = [rounds, ...others]
    .flatMap((one) =>
      one === 0 ? [{ rounds: 0, last: 'single' as const }] : both.map((of) => ({ rounds: one, last: of })),
    )
    .filter((way) => way.rounds !== is.rounds || way.last !== is.last);
  return {
    now: rounds,
    others,
    change,
    ways: {
      now: is,
      others: ways,
      change: (way) => ({ ...change(way.rounds), ...(both.length > 1 ? { [`shape.${LAST_KEY}`]: way.last } : {}) }),
    },
  };
}
