import type { MakingStep } from './copies';

/** What is made by itself: a piece, or one of several alike, from its foundation to where it is laid aside. */
export interface MakePart {
  id: string;
  name: string;
  /** Rows or rounds in all, and how many are done. */
  of: number;
  done: number;
  /** Whether another must be done before it: it is picked up from it. */
  waits: boolean;
}

/** What a part has to know of the piece it is of. */
interface PartPiece {
  id: string;
  name: string;
  foundation: { kind: string };
}

const partId = ({ piece, copy }: MakingStep): string => (copy === undefined ? piece : `${piece}@${copy}`);

/** Of several alike each has its number. */
const nameOf = ({ pieceName }: MakingStep, piece: PartPiece | undefined): string =>
  (pieceName || (piece?.name ?? '')).replace(/ \(make (\d+)\)$/, ', 1 of $1');

/** The steps of each part by its id, in the order of the pattern; what joins them belongs to none. */
function stepsByPart(steps: readonly MakingStep[]): Map<string, MakingStep[]> {
  const parts = new Map<string, MakingStep[]>();
  let current: string | undefined;
  for (const step of steps) {
    const id = partId(step);
    if (step.kind === 'foundation') current = id;
    if (id !== current) current = undefined;
    if (current === undefined) continue;
    const known = parts.get(current);
    if (known) known.push(step);
    else parts.set(current, [step]);
  }
  return parts;
}

/**
 * The parts of a make with how far each is: they may be made in any order that their steps allow (handbook 8).
 *
 * @param steps the steps as hands go through them
 * @param done ids of those that are done
 */
export function partsOf(
  steps: readonly MakingStep[],
  pieces: readonly PartPiece[],
  done: ReadonlySet<string>,
): MakePart[] {
  let complete = true;
  return [...stepsByPart(steps)].map(([id, own]) => {
    const piece = pieces.find((one) => one.id === own[0]!.piece);
    const rows = own.filter(({ row }) => row !== null);
    const waits = piece?.foundation.kind === 'picked-up' && !complete;
    complete &&= own.every((step) => done.has(step.id));
    return {
      id,
      name: nameOf(own[0]!, piece),
      of: rows.length,
      done: rows.filter((step) => done.has(step.id)).length,
      waits,
    };
  });
}

/**
 * The step that is next: of the part that was chosen, else of the one worked on last, as long as either has any left; else the
 * first of all.
 *
 * @param last the step that was done last, by its id
 */
export function nextStep(
  steps: readonly MakingStep[],
  done: ReadonlySet<string>,
  chosen: string | undefined,
  last: string | undefined,
): MakingStep | undefined {
  const parts = stepsByPart(steps);
  const of = (id: string | undefined) => parts.get(id ?? '')?.find((step) => !done.has(step.id));
  const worked = [...parts].find(([, own]) => own.some(({ id }) => id === last))?.[0];
  return of(chosen) ?? of(worked) ?? steps.find(({ id }) => !done.has(id));
}
