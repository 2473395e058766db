import { runsOnPiece } from './asRepeated';
import { coloursOf } from './supplies';
import { hexOf, mainColour, runHex } from '../craft/fabric';
import { huedViews, roleOf, smallPieces } from '../drawing';
import { isHued } from './hues';
import { wordText } from '../pattern';
import type { Plan } from '../plan/plan';
import type { ClothRole, Part, Piece, View } from '../shapes';
import type { WorkedOut, PickedPlan } from './types';
import { prepare } from './prepare';
import { workWith } from './build';

/**
 * A plan to be drawn on: gives its views and choices for any counts picked, and must do so within a frame. They are what
 * `reckon` says of them; steps, supplies and words are left out, and what the picks do not change is worked out once.
 *
 * @param plan a plan whose form has been checked (formats: parsePlan)
 * @throws PlanProblem as reckon does
 */
export function reckonPicks(plan: Plan): (picks: Plan['picks']) => PickedPlan {
  const prepared = prepare(plan);
  return (picks) => {
    const out = workWith(prepared, picks);
    return { views: viewsIn(plan, out), choices: out.built.choices };
  };
}

/** A drawing tells whole millimetres unless they are known no better than to so many, mm (ours). */
const ROUGH_FROM_MM = 5;

/** A dimension is known as well as the stitches it is made of; what is rough is told so. */
function asKnown(part: Part, spread: number): Part {
  if (part.type !== 'dimension') return part;
  const sd = spread * part.mm;
  return sd < ROUGH_FROM_MM ? part : { ...part, sd };
}

/** The views in the colours of the yarns, where it is known how they look. */
export function viewsIn(plan: Plan, out: WorkedOut): View[] {
  const { palette, fabric: spec } = plan;
  const views = viewsOf(out);
  const grid = runsOnPiece(plan, out);
  if (!grid && !isHued(plan)) return views;
  const colourOf = coloursOf(out.built.pieces[0]!, spec);
  return huedViews(views, {
    hexOf: (colour) => hexOf(palette, spec, colour),
    main: mainColour(spec),
    ofRole: (role) => colourOfRole(out.built.pieces, role),
    first: out.built.pieces[0]!.courses.map((_, index) => colourOf(index + 1)),
    ...(grid ? { stitchesOf: (row: number) => grid[row - 1]?.map((run) => runHex(spec.yarn.runs!, run)) } : {}),
  });
}

/** The colour that the piece of a section says of itself; the second of two alike may say another. */
function colourOfRole(pieces: readonly Piece[], role: ClothRole): string | undefined {
  if (role === 'back' && pieces[0]!.secondColour) return pieces[0]!.secondColour;
  const own = pieces.find(({ id, sections }) => id === role || sections.some(({ name }) => roleOf(name) === role));
  return (own ?? pieces[0]!).colour;
}

/** The shape's views with its fittings laid on. */
function viewsOf({ built, placed, schools, fabric }: WorkedOut): View[] {
  const made = smallPieces(
    placed.flatMap(({ pieces }) => pieces ?? []),
    fabric,
  );
  const spread = (fabric.stitchWidth.sd ?? 0) / fabric.stitchWidth.value;
  return [...built.views, ...(made ? [made] : [])].map((view) => ({
    ...view,
    parts: [...view.parts, ...placed.flatMap((p) => p.parts[view.id] ?? [])].map((part) => asKnown(part, spread)),
    text: wordText(view.text, schools),
  }));
}
