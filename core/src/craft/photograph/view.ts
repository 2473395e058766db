import { normals, seeded } from '../fit';
import { CARD, cardCorners } from './card';
import { askewAt, focalOf, FOCAL, heightOf } from './camera';
import { edgePoints, TAP_SD, type Grey } from './edges';
import { homographyOf, mapped, type Homography } from './homography';
import { LENS_SD, straightened, type Lens } from './lens';
import { distance, lineThrough, meeting, offLine, type Point } from './points';

/** So many ways the picture may have come about are drawn. */
const DRAWS = 400;

/** One place of an edge that was found is known so well, px. */
const EDGE_SD = 0.35;
/** What shadows and blur move a whole edge by, px. */
const COMMON_SD = 0.35;

/** One way the picture may have come about: from the picture to the table, and how high the camera was. */
export interface Draw {
  toTable: (place: Point) => Point;
  /** Camera above the table, mm. */
  height: number;
}

/** A picture with its card found. */
export interface Seen {
  /** The card's corners, px: where its straight edges would meet. */
  corners: Point[];
  /** Whether its edges were found, or its corners are where they were pointed at. */
  snapped: boolean;
  /** How many times wider everything is to be taken, since the card lies a little askew: 1 where it does not. */
  doubt: number;
  /** The likeliest way, then as many as were drawn. */
  best: Draw;
  draws: readonly Draw[];
}

export interface CardFault {
  message: string;
}

const NO_CARD = 'These four corners are not those of a card. Lay each handle on a corner of it, in turn around it.';
const SMALL = 'The card is too small in this picture. Come nearer, so that card and item fill it.';

const COVERED =
  'These sides are not in the proportion of a card: a part of it is covered, or a corner is not where it was pointed at. Lay the item beside the card, not over it, and point at its four corners.';

/** A whole card is this far askew by chance at the most, nearly always; beyond the second no whole card is (law: chi-squared of two). */
const USUAL = 1.2;
const REFUSED = 9;

/** The shortest edge of a card that tells anything, px. */
const SHORTEST = 40;

/**
 * Finds the card from its four corners as they were pointed at, and draws the ways in which the picture may have come
 * about: jitter of its edges, a lens that bends, how high the camera was (handbook 13: Monte Carlo).
 *
 * @param grey the picture; without it the corners stay as they were pointed at
 * @returns the view, or what is wrong with the corners
 * @source handbook 13
 */
export function seeCard(grey: Grey, taps: readonly Point[], seed = 1): Seen | CardFault {
  const sides = taps.map((tap, index) => distance(tap, taps[(index + 1) % 4]!));
  if (!isConvex(taps)) return { message: NO_CARD };
  if (Math.min(...sides) < SHORTEST) return { message: SMALL };
  const edges = findEdges(grey, taps, sides);
  const base = { width: grey.width, height: grey.height };
  const lens = edges ? bendOf(edges, base) : { k: 0, sd: LENS_SD };
  const uniform = seeded(seed);
  const normal = () => normals(DRAWS, uniform);
  const bends = normal();
  const sizes = normal();
  const jitter = Array.from({ length: 8 }, normal);
  const common = Array.from({ length: 4 }, normal);
  const made = (k: number, scale: number, moved: (corners: Point[]) => Point[]): Drawn | undefined => {
    const bent: Lens = { ...base, k };
    const corners = edges ? cornersOf(edges, bent) : taps.map((tap) => straightened(tap, bent));
    return corners && drawnFrom(moved(corners), bent, scale);
  };
  const first = made(lens.k, 1, (corners) => corners);
  if (!first) return { message: NO_CARD };
  const sd = edges ? Math.hypot(cornerSd(edges), 0) : TAP_SD;
  const drawn = Array.from({ length: DRAWS }, (_, index) => {
    const shifted = (corners: Point[]) =>
      corners.map(([x, y], corner): Point => {
        const shared = edges ? COMMON_SD * (common[corner]![index]! + common[(corner + 3) % 4]![index]!) * 0.7 : 0;
        return [x + sd * jitter[2 * corner]![index]! + shared, y + sd * jitter[2 * corner + 1]![index]! + shared];
      });
    return made(lens.k + lens.sd * bends[index]!, 1 + (CARD.sd / CARD.long) * sizes[index]!, shifted) ?? first;
  });
  const off = askew(first, drawn, base);
  if (off > REFUSED) return { message: COVERED };
  const focals = focalsOf([first, ...drawn], base, normal());
  const asDraw = ({ toPicture, toTable }: Drawn, focal: number): Draw => ({
    toTable,
    height: heightOf(toPicture, base.width / 2, base.height / 2, focal),
  });
  const corners = edges ? cornersOf(edges, { ...base, k: 0 })! : [...taps];
  return {
    corners,
    snapped: edges !== undefined,
    doubt: Math.max(1, off / USUAL),
    best: asDraw(first, focals[0]!),
    draws: drawn.map((one, index) => asDraw(one, focals[index + 1]!)),
  };
}

interface Drawn {
  toPicture: Homography;
  toTable: (place: Point) => Point;
}

function drawnFrom(corners: Point[], lens: Lens, scale: number): Drawn | undefined {
  const card = cardCorners(corners, CARD.long * scale, CARD.short * scale);
  const toPicture = homographyOf(card, corners);
  const back = homographyOf(corners, card);
  if (!toPicture || !back) return undefined;
  return { toPicture, toTable: (place) => mapped(back, straightened(place, lens)) };
}

function isConvex(points: readonly Point[]): boolean {
  const turns = points.map(([x, y], index) => {
    const [bx, by] = points[(index + 1) % 4]!;
    const [cx, cy] = points[(index + 2) % 4]!;
    return Math.sign((bx - x) * (cy - by) - (by - y) * (cx - bx));
  });
  return turns.every((turn) => turn === turns[0] && turn !== 0);
}

/** Edges found with so many places each are trusted. */
const ENOUGH = 16;

/** The places of all four edges, looked for twice: near what was pointed at, then near what was found. */
function findEdges(grey: Grey, taps: readonly Point[], sides: readonly number[]): Point[][] | undefined {
  const all = (corners: readonly Point[], reach: (side: number) => number) =>
    corners.map((corner, index) => edgePoints(grey, corner, corners[(index + 1) % 4]!, reach(sides[index]!)));
  const near = all(taps, (side) => Math.round(Math.max(6, Math.min(40, side * 0.07))));
  if (near.some(({ length }) => length < ENOUGH)) return undefined;
  const corners = cornersOf(near, { width: grey.width, height: grey.height, k: 0 });
  if (!corners) return undefined;
  const found = all(corners, () => 6);
  return found.some(({ length }) => length < ENOUGH) ? undefined : found;
}

/** Where the edges meet once the lens is taken away. */
function cornersOf(edges: readonly Point[][], lens: Lens): Point[] | undefined {
  const lines = edges.map((points) => lineThrough(points.map((point) => straightened(point, lens))));
  const corners = lines.map((line, index) => meeting(lines[(index + 3) % 4]!, line));
  return corners.every((corner) => corner !== undefined) ? (corners as Point[]) : undefined;
}

/** How far places lie off their straight edges, px, all in all. */
function roughness(edges: readonly Point[][], lens: Lens): number {
  let [sum, count] = [0, 0];
  for (const points of edges) {
    const straight = points.map((point) => straightened(point, lens));
    const line = lineThrough(straight);
    for (const point of straight) sum += offLine(line, point) ** 2;
    count += points.length;
  }
  return Math.sqrt(sum / Math.max(1, count - 8));
}

/** How well a corner is known from two edges of many places, px. */
const cornerSd = (edges: readonly Point[][]): number => {
  const fewest = Math.min(...edges.map(({ length }) => length));
  return Math.max(0.06, (2 * EDGE_SD) / Math.sqrt(fewest));
};

/** How the lens bends, as far as the card's own edges tell it, beside what lenses do (law: least squares with a prior). */
function bendOf(edges: readonly Point[][], { width, height }: Omit<Lens, 'k'>): { k: number; sd: number } {
  const count = edges.reduce((sum, { length }) => sum + length, 0);
  const noise = Math.max(0.15, roughness(edges, { width, height, k: 0 }));
  const cost = (k: number) => (count * roughness(edges, { width, height, k }) ** 2) / noise ** 2 + (k / LENS_SD) ** 2;
  const step = LENS_SD / 2;
  const [low, middle, high] = [cost(-step), cost(0), cost(step)];
  const bend = (low - 2 * middle + high) / step ** 2;
  const k = (low - high) / (2 * step * bend);
  // edges of a picture are not as independent as so many places would be
  return { k: Math.max(-0.04, Math.min(0.04, k)), sd: Math.min(LENS_SD, 1.6 * Math.sqrt(2 / bend)) };
}

/** Focal lengths that are tried, in standard deviations of the usual one. */
const TRIED = Array.from({ length: 25 }, (_, index) => (index - 12) / 4);
/** Edges found are never known better than that a card would be so far askew. */
const LEAST_ASKEW = 0.004;

/**
 * How unlikely it is that a whole card is seen so, by any camera that phones have: squared standard deviations, of two degrees of
 * freedom (law: a card has right angles and its own proportions, whatever the focal length is).
 */
function askew(first: Drawn, drawn: readonly Drawn[], { width, height }: Omit<Lens, 'k'>): number {
  const usual = FOCAL.share * Math.hypot(width, height);
  return Math.min(
    ...TRIED.map((z) => {
      const focal = usual * Math.exp(FOCAL.lnSd * z);
      const of = ({ toPicture }: Drawn) => askewAt(toPicture, width / 2, height / 2, focal);
      const own = of(first);
      const all = drawn.map(of);
      const sd = (key: 'sides' | 'angle') =>
        Math.hypot(LEAST_ASKEW, Math.sqrt(all.reduce((sum, one) => sum + (one[key] - own[key]) ** 2, 0) / all.length));
      return (own.sides / sd('sides')) ** 2 + (own.angle / sd('angle')) ** 2 + z ** 2;
    }),
  );
}

/** Focal lengths for all draws: what the picture says of it, beside what phones have. */
function focalsOf(drawn: readonly Drawn[], { width, height }: Omit<Lens, 'k'>, z: Float64Array): number[] {
  const usual = Math.log(FOCAL.share * Math.hypot(width, height));
  const said = drawn
    .flatMap(({ toPicture }) => focalOf(toPicture, width / 2, height / 2) ?? [])
    .map(Math.log)
    .sort((a, b) => a - b);
  // seen from straight above, half of the draws have no answer and the others any
  const tells = said.length > 0.9 * drawn.length;
  const at = (share: number) => said[Math.floor(share * (said.length - 1))]!;
  const [middle, sd] = tells ? [at(0.5), Math.max(0.02, (at(0.84) - at(0.16)) / 2)] : [usual, Infinity];
  const weight = { usual: 1 / FOCAL.lnSd ** 2, said: 1 / sd ** 2 };
  const all = weight.usual + weight.said;
  const best = (usual * weight.usual + middle * weight.said) / all;
  const spread = 1 / Math.sqrt(all);
  return drawn.map((_, index) => Math.exp(best + (index === 0 ? 0 : spread * z[index - 1]!)));
}
