import { hexOf, mainColour } from '../craft/fabric';
import { roleOf, type Part, type View } from '../drawing';
import {
  asMade,
  emptied,
  sidesOf,
  paintSide,
  type MadeShare,
  type Side,
  type Painted,
  type Weave,
} from '../drawing/portrait';
import { mirrored } from '../drawing/drawn';
import { yarnRepeat } from '../pattern/techniques/yarnRepeat';
import type { Schools } from '../pattern';
import type { Plan } from '../plan/plan';
import type { Worked } from './types';

/** What a portrait is drawn from. */
type Seen = Pick<Worked, 'views' | 'fabric' | 'pieces' | 'choices'>;

/** Rows done, by the id of their piece. */
export type RowsMade = Readonly<Record<string, number>>;

/** A finished piece in yarn, from each side there is to see. */
export interface Portrait {
  sides: readonly Side[];
  /** One of them as it is painted. @param prefix of the names in it */
  paint: (side: Side, prefix: string, how?: Painting) => Painted;
}

/** How a side is shown: with nothing in it; as it came out, with what was planned about it. */
export interface Painting {
  empty?: boolean;
  share?: MadeShare;
}

/** Sizes of a finished piece, planned and as they were measured, mm. */
type Sizes = readonly { of: 'width' | 'height' | 'girth' | 'depth'; planned: number; made?: number }[];

/**
 * How a finished piece came out against its plan, across and upwards, as shares of 1.
 *
 * @returns nothing where neither was measured
 */
export function shareMade(sizes: Sizes): MadeShare | undefined {
  const share = (...of: readonly Sizes[number]['of'][]) =>
    of.flatMap((id) =>
      sizes.flatMap((size) => (size.of === id && size.made && size.planned > 0 ? [size.made / size.planned] : [])),
    )[0];
  const [width, height] = [share('width', 'girth'), share('height', 'depth')];
  return width === undefined && height === undefined ? undefined : { width: width ?? 1, height: height ?? 1 };
}

/**
 * The finished piece as it would lie there: every stitch of its courses in its yarn.
 *
 * @param plan a plan, and what `reckon` says of it
 * @param made rows done of each piece, where it is not finished: what is still to come is drawn in outline
 * @source handbook 14
 */
export function portraitOf(
  plan: Plan,
  { views, fabric, pieces, choices }: Seen,
  hand: Schools['hand'],
  made?: RowsMade,
): Portrait {
  const { stitch, pattern } = plan.fabric;
  const hex = hexOf(plan.palette, plan.fabric, mainColour(plan.fabric));
  const weave: Weave = {
    stitch,
    ...(pattern ? { pattern } : {}),
    ...(hex ? { hex } : {}),
    stitchMm: fabric.stitchWidth.value,
    thickMm: fabric.thickness.value,
    // what is still being worked holds nothing yet, and no cord is through it
    ...(made ? {} : lacking(choices)),
    ...(made ? { madeOf: (role: string) => made[pieceOf(pieces, role).id] ?? 0 } : {}),
    tileOf: (id, options, role) => yarnRepeat(id, options, turnedIn(pieces, role)),
  };
  const seen = hand === 'left' ? views.map(mirrored) : views;
  return {
    sides: sidesOf(made ? seen.map(undrawn) : seen, weave.thickMm),
    paint: (side, prefix, { empty, share } = {}) => {
      const painted = paintSide(empty ? emptied(side) : side, weave, prefix);
      return share ? asMade(painted, side, share, weave.stitchMm) : painted;
    },
  };
}

/** A view whose cord draws nothing together. */
const undrawn = (view: View): View => ({
  ...view,
  parts: view.parts.map((part): Part => {
    if (part.type !== 'dots') return part;
    const { draws: _draws, ...holes } = part;
    return holes;
  }),
});

/** What the chosen count lacks around the thing, where it is too tight to go in. */
function lacking(choices: Worked['choices']): Pick<Weave, 'lacksMm'> {
  const tight = choices.flatMap(({ options }) =>
    options.filter(({ chosen, verdict }) => chosen && verdict === 'tight'),
  );
  const lacks = Math.max(0, ...tight.map(({ easeMm }) => -easeMm));
  return tight.length > 0 ? { lacksMm: lacks } : {};
}

/** Whether what shows a section is worked in turned rows. */
const turnedIn = (pieces: Worked['pieces'], role: string): boolean => pieceOf(pieces, role).worked === 'rows';

/** The piece that shows a section; what says nothing is the first. */
const pieceOf = (pieces: Worked['pieces'], role: string): Worked['pieces'][number] =>
  pieces.find(({ id, sections }) => id === role || sections.some(({ name }) => roleOf(name) === role)) ?? pieces[0]!;

export { portraitSvg } from '../drawing/portrait';
export type { Side, SideId, InkNode, InkTag, MadeShare, Painted } from '../drawing/portrait';
