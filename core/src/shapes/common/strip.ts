import { chosen, type Figure } from '../../figure';
import { bottomGive, flapTurn } from '../../fit';
import { formatNumber } from '../../units';
import type { FlapPlace, Piece, Section, ShapeContext, WorkStep } from '../definition';
import type { Part } from '../drawing';
import { folds } from './draw';
import { flapOverlap, lessEdging, wantedBack, wantedFront } from './flat';
import type { Join } from './joins';
import { sized, type Sized } from './sized';

type Mm = Figure<'mm'>;

/**
 * What a folded strip is, whichever way its rows run: front, bottom fold, back, and where there is a flap, the turn over
 * the top and the flap (handbook 5.1 and 5.2).
 */

/** A section of the strip with its length before rounding, mm. */
export interface StripLength {
  name: string;
  figure: Mm;
}

/** Lengths of the sections before rounding (law, handbook 3 and 6). Without a flap both faces reach equally high. */
export function stripLengths(context: ShapeContext, edging: Mm): StripLength[] {
  const { thing, fabric, demands } = context;
  const whole = wantedFront(context);
  const first = { name: 'front', figure: lessEdging(stripFront(context) ?? whole, edging, 1) };
  if (!demands.flap) return [first, { name: 'back', figure: lessEdging({ ...whole }, edging, 1) }];
  return [
    first,
    { name: 'back', figure: wantedBack(context) },
    { name: 'turn', figure: flapTurn(thing.depth, fabric.thickness) },
    { name: 'flap', figure: lessEdging(flapOverlap(demands.flap, thing.height), edging, 1) },
  ];
}

/** The front where its pocket is to be only so deep; undefined where it covers the thing. */
function stripFront({ thing, fabric, options: { pocketMm } }: ShapeContext): Mm | undefined {
  if (pocketMm === undefined) return undefined;
  return sized(
    'pocket + D/2 + πt/4',
    { pocket: chosen(Number(pocketMm), 'mm', 'typed'), give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.pocket + v.give,
  ).figure;
}

/**
 * Where the flap's edge comes to lie on the filled pouch, from the front's top edge. The strip runs from that edge down
 * the front, round the bottom (2 × (D/2 + πt/4)), up the back, over the top (D + πt/2) and down again; what is left of
 * its whole count is how far down the flap comes (law, handbook 3).
 * @param n rows or stitches from end to end, each as long as the fabric's `h` or `w`
 */
export function flapReach({ thing, fabric }: ShapeContext, n: Figure, letter: 'h' | 'w'): Sized {
  const size = letter === 'h' ? fabric.rowHeight : fabric.stitchWidth;
  const terms: Record<string, Figure> = { n, [letter]: size, H: thing.height, D: thing.depth, t: fabric.thickness };
  return sized(
    `edge = n × ${letter} − 2H − 2D − πt`,
    terms,
    (v) => v.n! * v[letter]! - 2 * v.H! - 2 * v.D! - Math.PI * v.t!,
  );
}

/** Where the flap lies; undefined where the strip has none. */
export function flapPlace(
  { id, sections: [front, , , flap] }: Piece,
  reach: Sized,
  edge: Pick<FlapPlace, 'row' | 'stitches' | 'width'>,
): FlapPlace | undefined {
  return front && flap && { piece: id, ...edge, edgeBelowFrontTop: reach.figure, front };
}

interface Sides {
  front: Section;
  join: Join;
  /** How many stitches go up a side, in words. */
  along: string;
  /** How both layers lie when the fold is right, and by what to move it when it is not. */
  fold: { look: string; by: string };
  /** How the sides look when they are right, and what to do when they do not. */
  check: { look: string; repair: string };
}

/** Fold at the bottom, join the sides: what closes a strip. */
export function foldAndJoin({ front, join, along, fold, check }: Sides): WorkStep[] {
  return [
    {
      id: 'fold',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      text: 'Right side out, fold at the bottom markers so that the front lies on the back.',
      check: {
        look: `Slip the thing in: does the front cover it, and do the ${fold.look}?`,
        repair: `Move the fold by a ${fold.by}.`,
      },
    },
    {
      id: 'join-sides',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      text: `Join each side from the fold up to the front’s top edge: ${join.text}, ${along}. Fasten off.`,
      check,
      closes: ['between the layers'],
      minutes: 8,
      seam: { mm: 2 * front.mm, factor: join.factor },
    },
  ];
}

/**
 * What lies on the strip laid flat: its folds, and the thing on the back.
 * @param ends of its sections from the chain or the chain's end, mm
 * @param height of the drawing, mm
 */
export function onTheStrip(
  { thing, fabric }: ShapeContext,
  sections: readonly Section[],
  ends: readonly number[],
  height: number,
): Part[] {
  const give = bottomGive(thing.depth, fabric.thickness).value;
  const labels = sections.slice(0, -1).map(({ name }, index) => ({
    mm: ends[index]!,
    label: name === 'front' ? 'bottom fold' : 'top fold',
  }));
  return [
    ...folds(labels, height),
    {
      type: 'thing',
      x: ends[0]! + give,
      y: (height - thing.width.value) / 2,
      w: thing.height.value,
      h: thing.width.value,
      r: thing.corner,
    },
  ];
}

/** The folded strip in words. */
export function foldedText(width: number, top: number, flap: boolean): string {
  const mouth = flap ? ', the flap over the front' : ', open at the top';
  return `Folded and joined: {mm:${formatNumber(width)}} wide and {mm:${formatNumber(top)}} high${mouth}.`;
}
