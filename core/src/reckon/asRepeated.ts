import { tallyRow, type WorkedFabric, type YarnRun } from '../craft/fabric';
import { leanAfter } from '../craft/counts';
import { DEFAULT_SCHOOLS } from '../pattern';
import type { Plan } from '../plan/plan';
import { inStitches, repeatGrid, type Turning } from '../craft/repeating';
import type { Piece } from '../shapes';
import { takenEach, yarnIn } from './supplies';
import type { WorkedOut } from './types';

/** A run that was measured makes as many stitches as its yarn does in a middle course of the piece. */
export function lengthsIn(plan: Plan, { built, fabric }: WorkedOut, runs: readonly YarnRun[]): number[] {
  const piece = built.pieces[0]!;
  const course = piece.courses[Math.floor(piece.courses.length / 2)]!;
  const { scale } = takenEach(plan.fabric, fabric);
  const each = yarnIn(tallyRow(course.instructions), fabric as WorkedFabric, scale) / Math.max(1, course.ends);
  return inStitches(runs, each);
}

/** How a piece is worked, and with which hand. */
export function workedAs(plan: Plan, piece: Piece): { turning: Turning; left: boolean } {
  const left = (plan.schools?.hand ?? DEFAULT_SCHOOLS.hand) === 'left';
  if (piece.worked === 'rows') return { turning: 'rows', left };
  const joined = piece.courses.at(-1)!.instructions.some((one) => one.do === 'join');
  return { turning: joined ? 'joined' : 'spiral', left };
}

/**
 * The runs of a plan’s yarn as they lie on its first piece, row by row as a right-handed reader sees it, tension as even as it
 * was reckoned; nothing where its yarn does not repeat.
 */
export function runsOnPiece(plan: Plan, out: WorkedOut): number[][] | undefined {
  const runs = plan.fabric.yarn?.runs;
  if (!runs || runs.length < 2) return undefined;
  const piece = out.built.pieces[0]!;
  const { turning } = workedAs(plan, piece);
  const counts = piece.courses.map(({ ends }) => ends);
  const grid = repeatGrid({ counts, lengths: lengthsIn(plan, out, runs), turning, left: false, seed: 1, strays: 0 });
  if (turning === 'rows') return grid;
  // with the other side outside the rounds are seen to go the other way
  return grid.map(leant).map((round) => (piece.facing ? [...round].reverse() : round));
}

/** A round where it lies on the piece: what is not turned leans to the right, and its beginning with it (handbook 4.4). */
function leant(round: number[], course: number): number[] {
  const by = leanAfter(course) % Math.max(1, round.length);
  return by === 0 ? round : [...round.slice(-by), ...round.slice(0, -by)];
}
