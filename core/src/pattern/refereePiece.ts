import { placesOf, refereeRow, type WorkedPlace } from './referee';
import type { Step } from './steps';

interface PieceRuling {
  /** Courses worked, and columns the last one ended on. */
  courses: number;
  ends: number;
  /** What each course made, in columns. */
  counts: number[];
  faults: string[];
}

/**
 * Works the written steps of one piece from the foundation to the last course, as a maker would: every course uses up
 * just what is there, ends on what it claims, and is met in the order the hook meets it (turned rows from the other
 * end).
 *
 * @param steps all steps of the plan, of which those of the piece are worked
 */
export function refereePiece(steps: readonly Step[], piece: string): PieceRuling {
  const ruling: PieceRuling = { courses: 0, ends: 0, counts: [], faults: [] };
  let there: WorkedPlace[] = [];
  for (const step of steps) {
    if (step.piece !== piece) continue;
    if (step.makes) {
      there = placesOf(step.makes.count, step.makes.kind);
      if (step.row) {
        ruling.courses += 1;
        ruling.counts.push(step.makes.count);
        ruling.ends = step.makes.count;
      }
      continue;
    }
    if (!step.work) continue;
    const ruled = refereeRow(step.work, step.turned ? [...there].reverse() : there);
    if (!ruled.ok) {
      ruling.faults.push(`${step.id}: ${ruled.fault}`);
      return ruling;
    }
    if (ruled.made !== step.ends) ruling.faults.push(`${step.id}: makes ${ruled.made}, claims ${step.ends}`);
    there = ruled.places;
    ruling.courses += 1;
    ruling.counts.push(ruled.made);
    ruling.ends = ruled.made;
  }
  return ruling;
}
