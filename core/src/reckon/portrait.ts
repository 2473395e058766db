import { hexOf, mainColour } from '../craft/fabric';
import { roleOf } from '../drawing';
import { facesOf, paintFace, type Face, type Painted, type Weave } from '../drawing/portrait';
import { mirrored } from '../drawing/drawn';
import { yarnRepeat } from '../pattern/techniques/yarnRepeat';
import type { Schools } from '../pattern';
import type { Plan } from '../plan/plan';
import type { Worked } from './types';

/** What a portrait is drawn from. */
type Seen = Pick<Worked, 'views' | 'fabric' | 'pieces'>;

/** A finished piece in yarn, from each side there is to see. */
export interface Portrait {
  faces: readonly Face[];
  /** One of them as it is painted. @param prefix of the names in it */
  paint: (face: Face, prefix: string) => Painted;
}

/**
 * The finished piece as it would lie there: every stitch of its courses in its yarn.
 *
 * @param plan a plan, and what `reckon` says of it
 * @source handbook 14
 */
export function portraitOf(plan: Plan, { views, fabric, pieces }: Seen, hand: Schools['hand']): Portrait {
  const { stitch, pattern } = plan.fabric;
  const hex = hexOf(plan.palette, plan.fabric, mainColour(plan.fabric));
  const weave: Weave = {
    stitch,
    ...(pattern ? { pattern } : {}),
    ...(hex ? { hex } : {}),
    stitchMm: fabric.stitchWidth.value,
    tileOf: (id, options, role) => yarnRepeat(id, options, turnedIn(pieces, role)),
  };
  const seen = hand === 'left' ? views.map(mirrored) : views;
  return { faces: facesOf(seen), paint: (face, prefix) => paintFace(face, weave, prefix) };
}

/** Whether what shows a section is worked in turned rows. */
function turnedIn(pieces: Worked['pieces'], role: string): boolean {
  const own = pieces.find(({ id, sections }) => id === role || sections.some(({ name }) => roleOf(name) === role));
  return (own ?? pieces[0]!).worked === 'rows';
}

export type { Face, FaceId, InkNode, InkTag, Painted } from '../drawing/portrait';
