import { capital, inOrder, sectionWord, standingEvents, type KeptEvent, type MakingStep } from '@keep-snug/core';
import { courseWord } from '@/reading/useProgress';

/** What happened to a make, in a line. */
export interface LogLine {
  id: string;
  says: string;
  at: string;
  here: boolean;
}

/**
 * Everything that stands of what happened to a make, the latest first.
 * @param device this one, by its id
 */
export function logOf(events: readonly KeptEvent[], steps: readonly MakingStep[], device: string): LogLine[] {
  const names = new Map(steps.map((step) => [step.id, nameOf(step)]));
  return standingEvents(inOrder(events))
    .flatMap((event) => {
      const says = saysOf(event, names);
      return says ? [{ id: event.id, says, at: event.at, here: event.device === device }] : [];
    })
    .reverse();
}

function nameOf(step: MakingStep): string {
  const piece = step.pieceName ? `${step.pieceName}: ` : '';
  if (step.row) return `${piece}${courseWord(step).toLowerCase()} ${step.row}`;
  return `${piece}${step.kind === 'foundation' ? 'foundation' : sectionWord(step.section)}`;
}

function saysOf(event: KeptEvent, names: ReadonlyMap<string, string>): string | null {
  switch (event.kind) {
    case 'ticked':
      return `${capital(names.get(event.step ?? '') ?? 'a row of the pattern as it was')} done`;
    case 'placed':
      return `Count set to ${event.course}`;
    case 'measured':
      return `Measured: ${event.what} ${Math.round(10 * event.mm) / 10} mm`;
    case 'weighed':
      return `Ball weighed: ${event.grams} g`;
    case 'landed':
      return `${capital(names.get(event.atStep) ?? 'a row')} ended ${Math.round(event.stitches)} stitches into run ${event.run + 1}`;
    case 'decided':
      return 'Chose how to continue';
    case 'noted':
      return `Note: ${event.text}`;
    default:
      return null;
  }
}
