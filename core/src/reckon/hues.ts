import { hexOf, mainColour } from '../craft/fabric';
import { namedColours } from '../plan/namedColours';
import type { Piece } from '../piece';
import type { Plan } from '../plan/plan';
import { coloursOf } from './supplies';

/** Rows of a piece in a run that look the same. */
export interface HuedRows {
  rows: number;
  hex: string;
}

/**
 * Whether it is known how the yarns of a plan look: one of them is said to, or there are several and every one has a colour's
 * name (ours).
 */
export function isHued(plan: Plan): boolean {
  const { palette, fabric } = plan;
  if (palette !== undefined || (fabric.yarns ?? [fabric.yarn]).some((yarn) => yarn?.hex)) return true;
  const names = namedColours(plan);
  return names.length > 1 && names.every((name) => hexOf(palette, fabric, name) !== undefined);
}

/** How the rows of a piece look from its first to its last; nothing where that is not known of every one. */
export function pieceHues(plan: Plan, piece: Piece): HuedRows[] | undefined {
  if (!isHued(plan)) return undefined;
  const colourOf = coloursOf(piece, plan.fabric);
  const runs: HuedRows[] = [];
  for (let row = 1; row <= piece.rows; row += 1) {
    const hex = hexOf(plan.palette, plan.fabric, colourOf(row) ?? mainColour(plan.fabric));
    if (!hex) return undefined;
    const last = runs.at(-1);
    if (last?.hex === hex) last.rows += 1;
    else runs.push({ rows: 1, hex });
  }
  return runs;
}
