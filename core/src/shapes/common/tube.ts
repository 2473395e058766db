import { EVEN, type CountCondition } from '../../craft/counts';
import type { WorkedFabric } from '../../craft/fabric';
import type { Figure } from '../../base/figure';
import { formatNumber } from '../../base/units';
import type { Choice, Piece, ShapeContext } from '../definition';
import {
  bandsDrawn,
  cutTube,
  panel,
  standing,
  tubeTails,
  uprightFrom,
  type Part,
  type TubeBegins,
  type View,
} from '../../drawing';
import { countChoice, countFigure } from './choice';
import { coverDrive } from './drive';
import { wantedRound } from './flat';
import { fabricRound, sized, type Sized } from './sized';
import { cutPouch } from './cutPouch';

interface TubeRound {
  choice: Choice;
  /** Stitches round, as they came about. */
  n: Figure<'stitches'>;
  girth: Sized;
}

/**
 * The count round a tube, with what it leaves inside: `n w − πt` for each pocket (law, handbook 3).
 * @param wall the fabric of the wall, in rounds
 */
export function tubeRound(
  context: ShapeContext,
  wall: WorkedFabric,
  atLeast: number,
  conditions: readonly CountCondition[] = [EVEN],
  wishes: readonly CountCondition[] = [],
  prefers: readonly number[] = [],
): TubeRound {
  const { thing } = context;
  const w = wall.stitchWidth;
  const t = wall.thickness;
  const choice = countChoice(
    {
      id: 'round',
      name: 'Round',
      noun: 'stitches',
      asked: wantedRound({ ...context, fabric: wall }).round,
      sizeOf: (count) => count * w.value,
      insideOf: (count) => count * w.value - thing.pockets * Math.PI * t.value,
      multiple: wall.stitch.rounds,
      conditions,
      wishes,
      prefers,
      atLeast,
      stretch: wall.stitch.factors.stretchAcross,
    },
    context,
  );
  const n = countFigure(choice, w, { asked: 'C', size: 'w', count: 'n' }, 'stitches', context.picks);
  const { pockets } = thing;
  return {
    choice,
    n,
    girth: sized(`inside = n w${fabricRound(pockets)}`, { n, w, t }, (v) => v.n * v.w - pockets * Math.PI * v.t),
  };
}

/** Width of the tube laid flat: half its round. */
export function flatWidth(n: Figure<'stitches'>, w: Figure<'mm'>): Figure<'mm'> {
  return sized('width = n w / 2', { n, w }, (v) => (v.n * v.w) / 2).figure;
}

interface TubeViewsWish {
  context: ShapeContext;
  wall: WorkedFabric;
  /** Stitches round. */
  n: number;
  rounds: number;
  /** The wall's height as it lies flat, mm. */
  height: number;
  /** How high the filled pouch's wall reaches above its bottom, mm. */
  up: number;
  /** The floor or base, drawn below the wall where there is one. */
  base?: Part[];
  baseSize?: { width: number; height: number };
  words: string;
  piece: Piece;
  begins: TubeBegins;
}

/** Rows of a tube that begins with its opening lie one below the other. */
function fromTheTop(piece: Piece): ReturnType<typeof bandsDrawn> {
  const { bands } = bandsDrawn(piece);
  return bands ? { bands: [...bands].reverse() } : {};
}

/** Views of a tube: laid flat, filled, cut through. */
export function tubeViews({
  context,
  wall,
  n,
  rounds,
  height,
  up,
  base = [],
  baseSize,
  words,
  piece,
  begins,
}: TubeViewsWish): View[] {
  const { thing } = context;
  const width = (n * wall.stitchWidth.value) / 2;
  const gap = base.length > 0 ? 0.08 * height : 0;
  const [bw, bh] = [baseSize?.width ?? 0, baseSize?.height ?? 0];
  const whole = Math.max(width, bw);
  const left = (whole - width) / 2;
  const wallPart = (h: number) =>
    panel({
      role: 'wall',
      label: 'wall',
      sub: `${rounds} rounds of ${n}`,
      x: left,
      w: width,
      h,
      rows: rounds,
      stitches: n / 2,
      ...(begins === 'opening' ? fromTheTop(piece) : bandsDrawn(piece, piece.rows - rounds + 1)),
      ...(begins === 'opening' || piece.rows === rounds ? {} : { first: piece.rows - rounds + 1 }),
    });
  const round: Part = {
    type: 'dimension',
    along: 'x',
    from: left,
    to: left + width,
    mm: width,
    count: `${n} stitches round`,
    choice: 'round',
  };
  const things = (top: number) => standing(thing, left, width, top);
  const flat: Part[] = [
    wallPart(height),
    ...things(height),
    ...tubeTails(begins, { x: left, y: 0, h: height }),
    round,
    {
      type: 'dimension',
      along: 'y',
      from: 0,
      to: height,
      mm: height,
      count: `${rounds} rounds`,
      drives: coverDrive({ ...context, fabric: wall }),
    },
    ...base.map((part) => ('x' in part ? { ...part, x: part.x + (whole - bw) / 2, y: part.y + height + gap } : part)),
  ];
  const folded: Part[] = [
    { ...wallPart(up), label: 'front', role: 'front' },
    ...things(up),
    { ...round },
    uprightFrom(0, up),
  ];
  const cut = cutPouch({
    D: thing.depth.value,
    H: thing.height.value,
    t: wall.thickness.value,
    front: up,
    back: up,
    rows: { around: cutTube(piece, begins === 'opening' ? 'opening' : 'below') },
  });
  const size = `${n} stitches round, {mm:${formatNumber(width)}} wide as it lies flat, ${rounds} rounds, {mm:${formatNumber(height)}} high`;
  return [
    { id: 'flat', name: 'Flat', width: whole, height: height + gap + bh, parts: flat, text: `${words}: ${size}.` },
    {
      id: 'folded',
      name: 'Filled',
      width: whole,
      height: up,
      parts: folded,
      text: `Filled: {mm:${formatNumber(width)}} wide and {mm:${formatNumber(up)}} high, open at the top.`,
    },
    {
      id: 'cut',
      name: 'Cut through',
      ...cut,
      text: `Cut through: {mm:${formatNumber(thing.depth.value)}} of the item between two layers of {mm:${formatNumber(wall.thickness.value)}}.`,
    },
  ];
}
