import type { Step } from '../../pattern';

interface TapeOfPieces {
  /** mm. */
  length: number;
  /** Where sections and pieces end, mm. */
  marks: number[];
  /** Where each piece begins, mm, by its id. */
  starts: Record<string, number>;
}

/** All pieces of a worked plan along one tape, in the order they are worked, with a mark where each section ends. */
export function tapeOf({
  pieces,
  steps,
}: {
  pieces: readonly { id: string }[];
  steps: readonly Pick<Step, 'piece' | 'row' | 'section' | 'heightMm'>[];
}): TapeOfPieces {
  const starts: Record<string, number> = {};
  const marks: number[] = [];
  let length = 0;
  for (const { id } of pieces) {
    starts[id] = length;
    const rows = steps.filter((step) => step.piece === id && step.row !== null);
    rows.forEach((step, index) => {
      const ends = rows[index + 1]?.section !== step.section;
      if (ends) marks.push(length + (step.heightMm ?? 0));
    });
    length += rows.at(-1)?.heightMm ?? 0;
  }
  return { length, marks: marks.slice(0, -1), starts };
}
