import type { Into, Move } from './moves';

/** What a line of a picture is: drawn with its own weight and colour. */
export type FrameRole = 'cloth' | 'place' | 'hook' | 'loop' | 'new' | 'closing' | 'yarn';

interface FrameLine {
  role: FrameRole;
  /** SVG path in the picture's own units. */
  d: string;
}

/** One picture: what is on the hook while or after a move. */
export interface Frame {
  lines: readonly FrameLine[];
  loops: number;
}

/** Size of every picture. */
export const FRAME = { width: 320, height: 220 } as const;

/** Where things lie for the right hand: the hook comes from the right, the stitches still to be worked lie left. */
const HAND_X = 214;
const PLACE_STEP = 50;
const CLOTH_Y = 168;
const HANDLE = { x: 316, y: 46 };
const REST = { x: 64, y: 74 };
const LOOP_STEP = 24;

interface Point {
  x: number;
  y: number;
}

interface OnHook {
  /** Where it comes up from; a turn of yarn comes from nowhere. */
  from: Point | null;
}

/** Paths with all points mirrored for the left hand. */
class Pen {
  constructor(private readonly left: boolean) {}

  private at({ x, y }: Point): string {
    const across = this.left ? FRAME.width - x : x;
    return `${Number(across.toFixed(1))} ${Number(y.toFixed(1))}`;
  }

  /** A line along points, in curves through pairs of handles where `curve` says so. */
  line(...points: Point[]): string {
    return points.map((point, index) => `${index === 0 ? 'M' : 'L'}${this.at(point)}`).join('');
  }

  curve(start: Point, ...bends: (readonly [Point, Point, Point])[]): string {
    return `M${this.at(start)}${bends.map((bend) => `C${bend.map((point) => this.at(point)).join(' ')}`).join('')}`;
  }
}

const off = ({ x, y }: Point, dx: number, dy: number): Point => ({ x: x + dx, y: y + dy });

const between = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

/** The middle of a place along the row below. */
function placeAt({ kind, at }: Pick<Into, 'kind' | 'at'>): Point {
  const x = HAND_X - at * PLACE_STEP;
  if (kind === 'below') return { x, y: CLOTH_Y + 40 };
  if (kind === 'gap') return { x, y: CLOTH_Y + 18 };
  if (kind === 'post') return { x: HAND_X + PLACE_STEP / 2, y: CLOTH_Y + 18 };
  return { x, y: CLOTH_Y };
}

/** The two strands on top of a stitch: the one behind, the one in front. */
function strands(pen: Pen, middle: Point): [back: string, front: string] {
  const [start, end] = [off(middle, 22, 0), off(middle, -22, 0)];
  const bow = (dy: number) => pen.curve(start, [off(middle, 10, dy), off(middle, -10, dy), end]);
  return [bow(-13), bow(13)];
}

/** The row below: its tops, and the legs they stand on. */
function cloth(pen: Pen, target: Into | null): FrameLine[] {
  const lines: FrameLine[] = [];
  for (const at of [-1, 0, 1, 2, 3]) {
    const middle = { x: HAND_X - at * PLACE_STEP, y: CLOTH_Y };
    const legs = [-8, 8].map((dx) => pen.line(off(middle, dx, 8), off(middle, dx / 2, 46)));
    lines.push(...[...strands(pen, middle), ...legs].map((d): FrameLine => ({ role: 'cloth', d })));
  }
  return target ? [...lines, ...marked(pen, target)] : lines;
}

/** What the hook goes under, set off from the rest. */
function marked(pen: Pen, target: Into): FrameLine[] {
  const middle = placeAt(target);
  const [back, front] = strands(pen, middle);
  const ring = pen.curve(
    off(middle, 12, 0),
    [off(middle, 12, -16), off(middle, -12, -16), off(middle, -12, 0)],
    [off(middle, -12, 16), off(middle, 12, 16), off(middle, 12, 0)],
  );
  const shown: Partial<Record<Into['kind'], string[]>> = {
    'back-loop': [back],
    'front-loop': [front],
    stitch: [back, front],
    chain: [back, front],
  };
  return (shown[target.kind] ?? [ring]).map((d) => ({ role: 'place', d }));
}

/** Shaft, throat and head, from the hand to the tip. */
function hookLines(pen: Pen, tip: Point): FrameLine[] {
  const throat = between(tip, HANDLE, 0.07);
  return [
    { role: 'hook', d: pen.line(HANDLE, tip) },
    { role: 'hook', d: pen.curve(tip, [off(tip, -6, 3), off(tip, -4, 12), off(throat, 0, 9)]) },
  ];
}

/** Where on the shaft a loop sits, counted from the one nearest the hand. */
function onShaft(tip: Point, index: number, all: number): Point {
  const length = Math.hypot(HANDLE.x - tip.x, HANDLE.y - tip.y);
  const first = Math.max(0.3, 0.62 - (all - 1) * 0.04) * length;
  return between(tip, HANDLE, Math.max(0.14, (first - index * LOOP_STEP) / length));
}

/** A loop around the shaft that comes up from somewhere, or a turn of yarn around it. */
function loopLine(pen: Pen, { from }: OnHook, at: Point): string {
  const [left, right] = [off(at, -6, 2), off(at, 6, 2)];
  const over: readonly [Point, Point, Point] = [off(at, -6, -14), off(at, 6, -14), right];
  if (!from) return pen.curve(left, over, [off(at, 7, 14), off(at, -5, 14), left]);
  const foot = off(from, 0, -4);
  return pen.curve(foot, [off(foot, -8, -30), off(left, -2, 26), left], over, [
    off(right, 2, 26),
    off(foot, 8, -30),
    foot,
  ]);
}

/** The yarn on its way to the ball, from the hook's head or the last place. */
function yarnLine(pen: Pen, from: Point): string {
  return pen.curve(from, [off(from, -30, -26), { x: 30, y: 60 }, { x: 4, y: 14 }]);
}

interface Now {
  tip: Point;
  hooked: readonly OnHook[];
  target: Into | null;
}

function frame(pen: Pen, { tip, hooked, target }: Now, shown: { fresh?: number; closing?: number } = {}): Frame {
  const spots = hooked.map((_, index) => onShaft(tip, index, hooked.length));
  const closes = hooked.length - (shown.closing ?? 0);
  const loops = hooked.map((loop, index): FrameLine => {
    const role = index === shown.fresh ? 'new' : index >= closes ? 'closing' : 'loop';
    return { role, d: loopLine(pen, loop, spots[index]!) };
  });
  const head = between(tip, HANDLE, 0.05);
  const caught: FrameLine[] =
    shown.closing === undefined ? [] : [{ role: 'new', d: loopLine(pen, { from: null }, head) }];
  return {
    lines: [
      ...cloth(pen, target),
      { role: 'yarn', d: yarnLine(pen, shown.closing === undefined ? spots.at(-1)! : head) },
      ...hookLines(pen, tip),
      ...loops,
      ...caught,
    ],
    loops: hooked.length,
  };
}

/** What a move leaves on the hook, and where the hook's head is. */
function moved(now: Now, move: Move): Now {
  const foot = now.target ? placeAt(now.target) : { x: HAND_X, y: CLOTH_Y };
  switch (move.do) {
    case 'over':
      return { ...now, tip: REST, hooked: [...now.hooked, { from: null }] };
    case 'in':
      return { ...now, target: move.into, tip: off(placeAt(move.into), -10, 6) };
    case 'up':
      return { ...now, tip: REST, hooked: [...now.hooked, { from: foot }] };
    case 'slip':
      return { ...now, tip: REST, hooked: [...now.hooked.slice(0, -2), { from: foot }] };
    case 'through':
      return { ...now, tip: REST, hooked: [...now.hooked.slice(0, now.hooked.length - move.loops), { from: foot }] };
  }
}

/**
 * A stitch as pictures: how the hook stands before it, one for each of its moves, and how it stands after.
 *
 * Where yarn is drawn through loops the picture shows them still on the hook, the yarn caught, so that it can be seen which
 * they are; else it shows what the move leaves.
 *
 * @param left mirrored for the hook in the left hand
 * @returns one picture more than there are moves, and one: `moves.length + 2`
 * @source handbook 14
 */
export function framesOf(moves: readonly Move[], left = false): Frame[] {
  const pen = new Pen(left);
  let now: Now = { tip: REST, hooked: [{ from: { x: HAND_X, y: CLOTH_Y } }], target: null };
  const frames = [frame(pen, now)];
  for (const move of moves) {
    const before = now;
    now = moved(now, move);
    if (move.do === 'through') frames.push(frame(pen, before, { closing: move.loops }));
    else if (move.do === 'slip') frames.push(frame(pen, before, { closing: 2 }));
    else frames.push(frame(pen, now, move.do === 'in' ? {} : { fresh: now.hooked.length - 1 }));
  }
  return [...frames, frame(pen, { ...now, target: null })];
}
