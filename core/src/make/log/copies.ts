import type { Step } from '../../pattern';
import type { StepPlace } from './types';

/** A step as it is made; of what is made several times, which of them it belongs to. */
export type MakingStep = Step & Pick<StepPlace, 'copy'>;

/**
 * The steps as hands go through them: a pattern says once how a piece is made that is needed twice, and the second one is
 * counted row by row as well, before the step that asks for it (handbook 8). Of steps as hands go through them, the same.
 */
export function stepsToMake(steps: readonly MakingStep[]): MakingStep[] {
  if (steps.some(({ copy }) => copy !== undefined)) return [...steps];
  const all: MakingStep[] = [];
  for (const step of steps) {
    const { again } = step;
    if (again) {
      const one = all.filter(
        ({ piece, section, again: more }) => piece === again.piece && section !== 'joining' && !more,
      );
      for (let copy = 2; copy <= again.copies; copy += 1)
        all.push(...one.map((made) => copied(made, copy, again.copies)));
    }
    all.push(step);
  }
  return all;
}

function copied(step: MakingStep, copy: number, copies: number): MakingStep {
  const name = step.pieceName.replace(/ \(make \d+\)$/, '');
  return { ...step, id: `${step.id}@${copy}`, copy, pieceName: `${name}, ${copy} of ${copies}` };
}

/** Copies that were made although they were not counted: what comes after them is done. */
export function madeUncounted(steps: readonly MakingStep[], done: ReadonlySet<string>): string[] {
  return steps.flatMap(({ again, id }, index) => {
    if (!again || !done.has(id)) return [];
    return steps
      .slice(0, index)
      .flatMap((step) => (step.copy !== undefined && step.piece === again.piece ? step.id : []));
  });
}
