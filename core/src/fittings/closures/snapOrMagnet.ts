import { chosen, derive, type Advice } from '../../base/figure';
import { formatNumber, mmToken, mostToken, typedToken, withArticle } from '../../base/units';
import type { Part } from '../../shapes';
import type { Hazard } from '../../craft/things';
import { buttonArea } from './buttonLoop';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { faceOf, flapDown, frontOf, IN_FROM, refuse, refuseBeside, sewnWhere } from '../common';

/** Mouths wider than this want two (prior, handbook 6). */
const TWO_ABOVE_MM = 120;

/** From the flap's edge up to the middle of the closure, beside its own half, mm (prior, ours). */
const ABOVE_EDGE_MM = 4;

/** From the flap's side to the rim of a closure in its corner, mm (prior, ours). */
const IN_CORNER_MM = 5;

interface Kind {
  id: 'snap' | 'magnet' | 'hook-and-loop' | 'hook-and-eye';
  name: string;
  /** One of it, in words, and its two halves. */
  noun: string;
  halves: readonly [front: string, flap: string];
  /** What is measured of it. */
  size: string;
  summary: string;
  sizes: { min: number; max: number; usual: number };
  hazards: readonly Hazard[];
  /** What is said where it is chosen, besides. */
  advice: (path: string) => Advice[];
}

/** Under the flap's edge on the filled pouch, one, or two where the mouth is wide (handbook 6). */
function placed(kind: Kind, context: FittingContext): Placed {
  const { built, options, path } = context;
  const flap = built.flap!;
  const face = frontOf(built);
  const across = Number(options.acrossMm);
  const below = derive(
    'mm',
    'middle = flap’s edge − half of it − 4 mm',
    { edge: flap.edgeBelowFrontTop, across: chosen(across, 'mm', 'typed') },
    (v) => v.edge - v.across / 2 - ABOVE_EDGE_MM,
  );
  if (below.value + across / 2 > flap.frontMm)
    refuse(
      `${path}.acrossMm`,
      `The flap’s edge comes down ${mmToken(flap.edgeBelowFrontTop.value)}, beyond a front of ${mmToken(flap.frontMm)}: nothing lies under it there. Make the flap shorter.`,
    );
  if (below.value < across / 2)
    refuse(
      `${path}.acrossMm`,
      `${withArticle(kind.noun).replace(/^a/, 'A')} of ${typedToken(across)} does not fit under a flap that reaches ${mmToken(Math.max(0, flap.edgeBelowFrontTop.value))} down. Make the flap longer.`,
    );
  if (across > face.width / 3)
    refuse(
      `${path}.acrossMm`,
      `${withArticle(kind.noun).replace(/^a/, 'A')} of ${typedToken(across)} is more than a third of the front (${mmToken(face.width)}). Choose one of ${mostToken(face.width / 3)} or less.`,
    );
  const corners = options.at === 'corners';
  const count = corners || face.width > TWO_ABOVE_MM ? 2 : 1;
  const xs = placesAcross(context, across, count, corners);
  const [inFrom] = xs as [number];
  const y = flapDown(built) - across / 2 - ABOVE_EDGE_MM;
  const where = whereAcross(options, inFrom, count);
  return {
    figures: { below },
    place: `${where}, {mm:${formatNumber(below.value)}} below the front’s top edge, under the flap`,
    rows: [],
    steps: [
      {
        id: `sew-${kind.id}`,
        section: 'closing',
        kind: 'closure',
        does: sewnWhere(
          kind.id,
          {
            says: `Put the item in, close the flap and mark ${where}, {at}.`,
            at: [{ on: 'front', below: below.value, of: faceOf(built) }],
          },
          `slip a card inside the pouch, then sew ${kind.halves[0]} there through the front layer only, ${kind.halves[1]} to the inside of the flap.`,
        ),
        check: {
          look: 'Do the halves meet, and is the pouch open inside?',
          repair: 'Unpick it, and mark the place again with the item in the pouch.',
        },
        minutes: 8 * count,
      },
    ],
    parts: { folded: xs.map((x): Part => ({ type: 'button', x: face.x + x, y, diameter: across })) },
    advice: kind.advice(path),
    areas: xs.flatMap((x) => [
      buttonArea(x, below.value, across),
      {
        face: 'flap' as const,
        x: [x - across / 2, x + across / 2] as const,
        y: [y - across / 2, y + across / 2] as const,
      },
    ]),
    notions: [{ name: kind.noun, size: typedToken(across), count }],
  };
}

/** The middles of one or two across the front: as said, in its corners, or in the middle and a quarter in. */
function placesAcross(
  { built, options, path }: FittingContext,
  across: number,
  count: number,
  corners: boolean,
): number[] {
  const { width } = frontOf(built);
  const typed = options.inFromMm === undefined ? undefined : Number(options.inFromMm);
  const most = (count === 2 ? width / 2 : width) - across / 2;
  if (typed !== undefined) refuseBeside({ mm: typed, least: across / 2, most }, `${path}.inFromMm`);
  if (count === 1) return [typed ?? width / 2];
  const inFrom = typed ?? (corners ? across / 2 + IN_CORNER_MM : width / 4);
  return [inFrom, width - inFrom];
}

function whereAcross({ at, inFromMm }: FittingContext['options'], inFrom: number, count: number): string {
  const from = `{mm:${formatNumber(inFrom)}} in from`;
  if (count === 1) return inFromMm === undefined ? 'at the middle' : `${from} the {side:left} side`;
  if (at === 'corners') return `in both corners of the flap, ${from} each side`;
  return inFromMm === undefined ? 'a quarter of the way in from each side' : `${from} each side`;
}

function showsThrough(path: string): Advice {
  return {
    id: 'magnet-shows',
    severity: 'advice',
    text: 'A magnet’s back shows on the far side of the flap.',
    repair: 'Cover it with a patch of the same fabric, or sew a button over it.',
    at: path,
  };
}

function closure(kind: Kind): FittingDefinition {
  return {
    id: kind.id,
    name: kind.name,
    summary: kind.summary,
    asks: ['turn-over'],
    because: 'It closes a flap on the front.',
    needs: 'flap',
    closesFlap: true,
    holdsIn: true,
    figures: { below: 'Below the front’s top' },
    hazards: kind.hazards,
    options: [
      {
        key: 'acrossMm',
        kind: 'length',
        label: kind.size,
        min: kind.sizes.min,
        max: kind.sizes.max,
        default: kind.sizes.usual,
      },
      {
        key: 'at',
        kind: 'choice',
        label: 'Where',
        options: [
          { id: 'inside', name: 'in the middle; two a quarter in where it is wide' },
          { id: 'corners', name: 'two, in the flap’s corners' },
        ],
        default: 'inside',
      },
      IN_FROM,
    ],
    place: (context) => placed(kind, context),
  };
}

export const snap = closure({
  id: 'snap',
  name: 'Snap',
  noun: 'snap',
  halves: ['one half of each snap', 'the other'],
  size: 'Snap diameter',
  summary: 'A pressed fastener under the flap; two where the opening is wide.',
  sizes: { min: 5, max: 30, usual: 12 },
  hazards: ['small-part'],
  advice: () => [],
});
export const magnet = closure({
  id: 'magnet',
  name: 'Magnet',
  noun: 'magnet',
  halves: ['one half of each magnet', 'the other'],
  size: 'Magnet diameter',
  summary: 'A magnetic clasp under the flap; two where the opening is wide.',
  sizes: { min: 8, max: 30, usual: 15 },
  hazards: ['small-part', 'magnet', 'glue'],
  advice: (path) => [showsThrough(path)],
});
export const hookAndLoop = closure({
  id: 'hook-and-loop',
  name: 'Hook-and-loop tape',
  summary: 'Two patches that cling, under the flap; two pairs where the opening is wide.',
  noun: 'pair of hook-and-loop patches',
  halves: ['the soft patch', 'the hooked one'],
  size: 'Length of a patch',
  sizes: { min: 10, max: 60, usual: 20 },
  hazards: [],
  advice: () => [],
});
export const hookAndEye = closure({
  id: 'hook-and-eye',
  name: 'Hook and eye',
  summary: 'A hook under the flap and its eye on the front; two where the opening is wide.',
  noun: 'hook and eye',
  halves: ['the eye', 'the hook'],
  size: 'Length of the hook',
  sizes: { min: 5, max: 25, usual: 9 },
  hazards: ['small-part'],
  advice: () => [],
});
