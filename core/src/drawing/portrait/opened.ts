import type { Cloth, Part, View } from '../parts';
import { inOrder, within } from './closed';
import { upright } from './lying';
import { isCloth, type SideCloth, type SidePart } from './types';

/** How far out of it the thing is drawn where it is open, as a share of its height (ours). */
const OUT = 0.5;

/** The flap laid up and the thing half out; nothing where neither can be. */
export function openedParts(folded: View, flat: View | undefined): SidePart[] | undefined {
  const cloths = folded.parts.filter(isCloth);
  const flap = cloths.find(({ role }) => role === 'flap');
  const things = folded.parts.filter((part) => part.type === 'thing');
  const top = Math.min(...cloths.map(({ y }) => y));
  const isTall = things.some(({ y, h }) => y + h > top + 0.3 * folded.height);
  if (!flap && !isTall) return undefined;
  const low = Math.max(...cloths.map(({ y, h }) => y + h));
  const lifted = things.map((part) => within({ ...part, y: part.y - OUT * Math.min(part.h, folded.height) }, low));
  const others = folded.parts.filter((part) => part !== flap && part.type !== 'thing');
  if (!flap) return inOrder([...others, ...lifted]);
  const up = flapUp(flap, flat);
  const hangs = (part: Part): boolean => (part.type === 'loop' && part.towards === 'down') || liesIn(part, flap);
  const turned = others.filter(hangs).map((part) => turnedUp(part, flap, up));
  return [up, ...turned, ...inOrder([...others.filter((part) => !hangs(part)), ...lifted])];
}

/** A slot or holes within the flap go up with it. */
function liesIn(part: Part, { y, h }: Cloth): boolean {
  if (part.type === 'line') return part.kind === 'slot' && Math.max(part.y1, part.y2) <= y + h;
  if (part.type === 'border') return Math.abs(part.y - y) < 1 && Math.abs(part.h - h) < 1;
  return part.type === 'dots' && part.points.every(([, down]) => down <= y + h);
}

/** The flap above the back, and the turn between them, as long as they are worked. */
function flapUp(flap: Cloth, flat: View | undefined): SideCloth {
  const lying = (role: Cloth['role']) => flat?.parts.filter(isCloth).find((part) => part.role === role);
  const long = (part: Cloth | undefined) => (part ? (part.rows.stacked === 'x' ? part.w : part.h) : 0);
  const [turn, own] = [lying('turn'), lying('flap')];
  const rows = { ...(own ? upright(own) : flap.rows), stitches: flap.rows.stitches };
  const { down: _down, ...laid } = turn ? onTop(upright(turn), rows) : rows;
  const h = long(turn) + (own ? long(own) : flap.h);
  return { ...flap, y: flap.y - h, h, rows: laid, rim: 'top' };
}

/** Rows that go on upon others. */
function onTop(lower: Cloth['rows'], upper: Cloth['rows']): Cloth['rows'] {
  const bands = lower.bands && upper.bands ? { bands: [...lower.bands, ...upper.bands] } : {};
  return { ...upper, ...(lower.first ? { first: lower.first } : {}), count: lower.count + upper.count, ...bands };
}

/** What was worked at the flap’s edge, or in it, where it lies once the flap is up. */
function turnedUp(part: Part, flap: Cloth, up: Cloth): Part {
  const to = (y: number) => up.y + (flap.y + flap.h - y);
  if (part.type === 'loop') return { ...part, y: to(part.y), towards: 'up' };
  if (part.type === 'border')
    return {
      ...part,
      y: up.y,
      h: up.h,
      rounds: part.rounds.map(({ sides: [top, right, low, left], ...round }) => ({
        ...round,
        sides: [low, right, top, left] as const,
      })),
    };
  if (part.type === 'line') return { ...part, y1: to(part.y1), y2: to(part.y2) };
  if (part.type === 'dots') return { ...part, points: part.points.map(([x, y]) => [x, to(y)] as const) };
  return part;
}

/** How far a slit stands open in its middle, as a share of its length (ours, by eye). */
const GAPES = 0.3;

/** So many points an opened slit is drawn with on each side. */
const POINTS = 16;

/** A slit in the front pulled open, and what lies in it seen there. */
export function gaping({ parts, height }: View, slit: Extract<Part, { type: 'line' }>): SidePart[] {
  const [x, long] = [slit.x1, slit.x2 - slit.x1];
  const half = Math.min(GAPES * long, 0.6 * height) / 2;
  const edge = Array.from({ length: POINTS + 1 }, (_, index) => {
    const share = index / POINTS;
    return [share * long, 4 * half * share * (1 - share)] as const;
  });
  const above = edge.map(([dx, dy]) => [dx, half - dy] as const);
  const below = [...edge].reverse().map(([dx, dy]) => [dx, half + dy] as const);
  const seen: Part = { type: 'thing', x, y: slit.y1 - half, w: long, h: 2 * half, r: 0, outline: [...above, ...below] };
  return [...inOrder(parts.filter((part) => part !== slit && part.type !== 'thing')), seen];
}
