import type { BorderPart, Dimension, Part, View } from '../parts';

export interface Layout {
  /** Px per mm. */
  scale: number;
  /** Where the drawing's own origin lies, px. */
  x: number;
  y: number;
}

/** Room round the cloth for dimension lines, loops and the tape, px. */
export const MARGIN = { top: 52, left: 52, right: 14, bottom: 40 };

/** Room round a picture without dimensions, px. */
const BARE = { top: 8, left: 6, right: 6, bottom: 8 };

/** The largest scale at which a view fits a box with its margins, centred. */
export function layOut(view: View, width: number, height: number, bare = false): Layout {
  const margin = bare ? BARE : MARGIN;
  const reach = overhang(view);
  const roomX = width - margin.left - margin.right;
  const roomY = height - margin.top - margin.bottom;
  const across = view.width + reach.left + reach.right;
  const scale = Math.max(0.001, Math.min(roomX / across, roomY / (view.height + reach.up + reach.down)));
  return {
    scale,
    x: margin.left + (roomX - across * scale) / 2 + reach.left * scale,
    y: margin.top + (roomY - (view.height + reach.up + reach.down) * scale) / 2 + reach.up * scale,
  };
}

/** What a view takes with all that reaches beyond the piece, mm. */
export function roomFor(view: View): { width: number; height: number } {
  const reach = overhang(view);
  return {
    width: view.width + reach.left + reach.right,
    height: view.height + reach.up + reach.down,
  };
}

/** How far something reaches beyond each side of the piece, mm. */
interface Reach {
  left: number;
  right: number;
  up: number;
  down: number;
}

/** How far loops and borders reach beyond the piece, mm. */
function overhang(view: View): Reach {
  const reach = borderReach(view);
  for (const part of view.parts) {
    if (part.type !== 'loop') continue;
    if (part.towards === 'right') reach.right = Math.max(reach.right, part.x + part.reach - view.width);
    else if (part.towards === 'left') reach.left = Math.max(reach.left, part.reach - part.x);
    else if (part.towards === 'down') reach.down = Math.max(reach.down, part.y + part.reach - view.height);
    else reach.up = Math.max(reach.up, part.reach - part.y);
  }
  return reach;
}

/** How far borders lie outside of the view: only on those of their sides that have any. */
function borderReach({ parts, width, height }: View): Reach {
  const reach: Reach = { left: 0, right: 0, up: 0, down: 0 };
  for (const part of parts) {
    if (part.type !== 'border') continue;
    const { x, y, w, h, depth, rounds } = part;
    const deep = (side: number) => (rounds[0]!.sides[side]! > 0 ? depth * rounds.length : 0);
    reach.up = Math.max(reach.up, deep(0) - y);
    reach.right = Math.max(reach.right, x + w + deep(1) - width);
    reach.down = Math.max(reach.down, y + h + deep(2) - height);
    reach.left = Math.max(reach.left, deep(3) - x);
  }
  return reach;
}

/** The view with its dimensions moved clear of a border above the piece or at its left. */
export function clearOfBorders(view: View): View {
  const { up, left } = borderReach(view);
  const clear = { x: up, y: left };
  if (up === 0 && left === 0) return view;
  const parts = view.parts.map((part) =>
    part.type === 'dimension' && !part.at ? { ...part, at: -clear[part.along] } : part,
  );
  return { ...view, parts };
}

const ACROSS: Readonly<Record<string, 'left' | 'right'>> = { left: 'right', right: 'left' };

/** The view as a left-handed maker sees it: mirrored, words and numbers not. */
export function mirrored(view: View): View {
  const flip = (x: number) => view.width - x;
  const parts = view.parts.map((part): Part => {
    switch (part.type) {
      case 'cloth':
      case 'thing':
        return { ...part, x: flip(part.x + part.w) };
      case 'border':
        return { ...part, x: flip(part.x + part.w), rounds: part.rounds.map(turnedOver) };
      case 'line':
      case 'fold':
        return { ...part, x1: flip(part.x1), x2: flip(part.x2) };
      case 'dimension':
        if (part.along === 'x') return { ...part, from: flip(part.to), to: flip(part.from) };
        return atLeft(part, flip(reach(part, view)));
      case 'tail':
        return { ...part, x: flip(part.x), towards: part.towards === 'left' ? 'right' : 'left' };
      case 'loop':
        return { ...part, x: flip(part.x), towards: ACROSS[part.towards] ?? part.towards };
      case 'button':
      case 'words':
        return { ...part, x: flip(part.x) };
      case 'ribbon':
        return { ...part, way: part.way.map(([x, y]) => [flip(x), y] as const) };
      case 'dots':
      case 'cut':
        return { ...part, points: part.points.map(([x, y]) => [flip(x), y] as const) };
    }
  });
  return { ...view, parts };
}

/** A round of a border seen from its other side: right and left change places. */
function turnedOver<R extends BorderPart['rounds'][number]>({ sides: [top, right, bottom, left], ...round }: R) {
  return { ...round, sides: [top, left, bottom, right] as const };
}

/** How far the piece goes on to the right of the line up its side: mirrored, the line stands there, at its left again. */
function reach({ at = 0, from, to }: Dimension, { parts, width }: View): number {
  const cloths = parts.filter((part) => part.type === 'cloth');
  // a piece cut through is one whole
  if (cloths.length === 0) return width;
  const beside = cloths.filter(({ y, h }) => y < to && y + h > from).sort((a, b) => a.x - b.x);
  return beside.reduce((right, { x, w }) => (x <= right + 0.01 ? Math.max(right, x + w) : right), at);
}

/** A line up the side that stands at a place; at the drawing's own edge without saying so. */
function atLeft({ at: _at, ...line }: Dimension, at: number): Dimension {
  return at > 0.01 ? { ...line, at } : line;
}

/** A place on screen as a path writes it, to a tenth of a px. */
export const px = (value: number): string => String(Math.round(value * 10) / 10);

/** About how wide a word is at a font size, px; for placing labels before they are drawn. */
export function wordWidth(text: string, size: number): number {
  return text.length * size * 0.56;
}

/** Lines to write and which way they run; no lines where nothing fits. */
interface LabelPlace {
  lines: string[];
  upright: boolean;
  /** The first line at the upper edge, the last at the lower. */
  apart?: boolean;
}

export const LABEL_SIZE = 14;
export const LINE = LABEL_SIZE + 2;

/** Lower than this, a piece has room for one line beside what lies on it, px. */
const LOW = 84;

/** Two lines at the far edges of a low piece leave so much between them for what lies at its middle, px. */
const BETWEEN = 20;

/**
 * How a label and its count fit into a piece of cloth: in one line, in two, turned upright, or the count alone.
 * @param width room in px
 */
export function placeLabel(label: string, sub: string, width: number, height: number): LabelPlace {
  if (sub === '') return placeWords([[label]], [[label]], width, height);
  const [whole, both, count] = [[`${label}, ${sub}`], [label, sub], [sub]];
  const lying = placeWords([whole], [], width, height);
  if (lying.lines.length > 0) return lying;
  // two lines together in a low piece would cover what lies at its middle
  if (height <= LOW && height >= 2 * LINE + BETWEEN && fits(both, width, height))
    return { lines: both, upright: false, apart: true };
  return placeWords([whole, ...(height > LOW ? [both] : []), count], [whole, both, count], width, height);
}

/** The first of several ways to write something that fits, lying or standing. */
function placeWords(
  lying: readonly string[][],
  standing: readonly string[][],
  width: number,
  height: number,
): LabelPlace {
  const flat = lying.find((lines) => fits(lines, width, height));
  if (flat) return { lines: flat, upright: false };
  return { lines: standing.find((lines) => fits(lines, height, width + 8)) ?? [], upright: true };
}

function fits(lines: readonly string[], along: number, across: number): boolean {
  return (
    along >= Math.max(...lines.map((line) => wordWidth(line, LABEL_SIZE))) + 2 && across >= lines.length * LINE + 4
  );
}

/** How wide a knob at the end of a dimension line is, px. */
export const KNOB = 20;

/** A dimension line from end to end, px, its words, and the end at which a knob sits. */
export interface Span {
  from: number;
  to: number;
  text: string;
  knob?: number | undefined;
}

/** Where a dimension's words have their middle, px: the line's, or as far beside it as the knob at its end asks. */
export function wordsMiddle({ from, to, text, knob }: Span): number {
  const middle = (from + to) / 2;
  if (knob === undefined) return middle;
  const clear = wordWidth(text, LABEL_SIZE) / 2 + KNOB / 2 + 2;
  return knob > middle ? Math.min(middle, knob - clear) : Math.max(middle, knob + clear);
}

/**
 * Where each dimension's words go: their middle, px, and on which of two lines, so that neighbours never run into each
 * other.
 */
export function placeSpans(spans: readonly Span[]): { middle: number; tier: 0 | 1 }[] {
  const placed = new Map<Span, { middle: number; tier: 0 | 1 }>();
  const ends = { 0: -Infinity, 1: -Infinity };
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const half = wordWidth(span.text, LABEL_SIZE) / 2 + 2;
    const own = wordsMiddle(span);
    const tier = ends[0] <= own - half && 2 * half <= span.to - span.from ? 0 : 1;
    const middle = Math.max(own, ends[tier] + half);
    ends[tier] = middle + half;
    placed.set(span, { middle, tier });
  }
  return spans.map((span) => placed.get(span)!);
}
