import type { WorkedFabric } from '../craft/fabric';
import { loopsOnBorders, onRows, onEdging } from '../fittings';
import { begunFaults, onBegun, type BegunSpec } from '../plan/begun';
import type { Plan } from '../plan/plan';
import { onChains, type Piece } from '../piece';
import type { Built } from '../shapes';
import type { Prepared, WorkedOut } from './types';
import { refuse } from './faults';
import { prepare, inWords } from './prepare';
import { inColours, goesOnIn, inColour, topsSaid } from './colours';

/**
 * Sizes, counts and places of a plan, without its words.
 * @throws PlanProblem naming every entry that cannot be reckoned, its limit and the repair
 */
export function workOut(plan: Plan): WorkedOut {
  return workWith(prepare(plan), plan.picks);
}

/**
 * The plan prepared, with these counts picked.
 * @throws PlanProblem where a fitting finds no place
 */
export const workWith = (given: Prepared, picks: Plan['picks'] = {}): WorkedOut =>
  inWords(given.plan, () => workedWith(given, picks));

function workedWith({ plan, shape, schools, context, asked }: Prepared, picks: NonNullable<Plan['picks']>): WorkedOut {
  const { thing, fabric, fit } = context;
  const { begun } = plan;
  const worked = begun && endsWorked(begun);
  const build = (picked: Record<string, number>, given = fabric): Built =>
    inColours(
      onChainHook(
        shape.build({ ...context, fabric: given, picks: picked, ...(worked ? { worked } : {}) }),
        plan.fabric.chainHookMm,
      ),
      plan.fabric.pieceColours,
    );
  const builtOf = (given: WorkedFabric): Built => (begun ? onBegun(build, picks, begun, given) : build(picks, given));
  const placedOn = (built: Built) =>
    asked.map(({ definition, context: ask }, index) => {
      const placed = definition.place({ ...ask, shape: shape.id, built, schools });
      return {
        definition,
        ...inColour(placed, plan.fittings?.[index]?.colour ?? goesOnIn(placed, built, plan.fabric)),
      };
    });
  const plain = builtOf(fabric);
  const plainly = placedOn(plain);
  const tops = topsSaid(plainly, plan.fittings);
  // where a top lies is known once it stands; in its colour it is the same piece
  const built = tops.length > 0 ? builtOf({ ...fabric, stripes: { ...fabric.stripes, tops } }) : plain;
  const placed = tops.length > 0 ? placedOn(built) : plainly;
  const rows = onRows(loopsOnBorders(built, onEdging(placed)));
  const met = (piece: Piece) => asLeft(onChains(piece, schools.foundation), begun);
  const out = {
    shape,
    thing,
    fabric,
    fit,
    schools,
    spec: plan.fabric,
    built: { ...rows.built, pieces: rows.built.pieces.map(met) },
    placed: rows.placed.map((one) =>
      one.pieces ? { ...one, pieces: one.pieces.map((piece): Piece => ({ ...met(piece), beside: true })) } : one,
    ),
  };
  if (begun) refuse(begunFaults([...out.built.pieces, ...out.placed.flatMap(({ pieces }) => pieces ?? [])], begun));
  return out;
}

/** A piece with the tail that hangs from it, where it is begun. */
function asLeft(piece: Piece, begun: Plan['begun'] = []): Piece {
  const leftMm = begun.find((spec) => spec.piece === piece.id)?.tailMm;
  return leftMm === undefined ? piece : { ...piece, leftMm };
}

/** The stitches that each course of a piece ends on, as far as it is worked. */
const endsWorked = (begun: readonly BegunSpec[]): Record<string, number[]> =>
  Object.fromEntries(
    begun.map(({ piece, runs }) => [
      piece,
      runs.flatMap(({ courses, stitches }) => Array.from({ length: courses }, () => stitches)),
    ]),
  );

/** Foundation chains that are worked with a hook of their own say so. */
function onChainHook(built: Built, hookMm: number | undefined): Built {
  if (hookMm === undefined) return built;
  const pieces = built.pieces.map((piece) =>
    piece.foundation.kind === 'ring' ? piece : { ...piece, foundation: { ...piece.foundation, hookMm } },
  );
  return { ...built, pieces };
}
