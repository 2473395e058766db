import { divide, lineOf } from '../../craft/counts';
import type { WorkedFabric } from '../../craft/fabric';
import { chosen, derive, sum, type Figure } from '../../base/figure';
import type { PocketWant, WorkedThing } from '../../craft/things';
import type { ShapeContext } from '../definition';

type Mm = Figure<'mm'>;

/** What lies in each pocket, in the order of the list. */
export interface Shares {
  front: readonly PocketWant[];
  /** From the mouth down. */
  behind: readonly (readonly PocketWant[])[];
}

/** What goes in front and what behind, in the order of the list; behind it is shared out over the pockets. */
export function sides(thing: WorkedThing, { behind, behindPockets }: ShapeContext['options']): Shares {
  const wants = thing.wants ?? [
    {
      name: 'it',
      girth: thing.girth,
      height: thing.height.value,
      depth: thing.depth.value,
      sd: { height: thing.height.sd ?? 0, depth: thing.depth.sd ?? 0 },
      wide: thing.width.value,
      tip: thing.width.value,
      massG: thing.mass?.value ?? 0,
      tool: false,
    },
  ];
  const many = behind === undefined ? Math.floor(wants.length / 2) : Math.min(Number(behind), wants.length);
  const back = wants.slice(wants.length - many);
  const pockets = Number(behindPockets);
  return {
    front: wants.slice(0, wants.length - many),
    behind: Array.from({ length: pockets }, (_, index) =>
      back.filter((_want, at) => Math.floor((at * pockets) / back.length) === index),
    ),
  };
}

/** How wide the room of each of several things is, between two layers, mm (law, handbook 1). */
export const sidesOf = (wants: readonly PocketWant[], easeShare: number, t: number): { name: string; mm: number }[] =>
  wants.map(({ name, girth }) => ({ name, mm: (girth.value * (1 + easeShare) + Math.PI * t) / 2 }));

/** Columns a pocket of several things takes, each of them in whole ones (law, handbook 6). */
export function columnsFor(
  wants: readonly PocketWant[],
  easeShare: number,
  { stitchWidth, thickness }: WorkedFabric,
): number {
  if (wants.length < 2) return 0;
  return -divide(sidesOf(wants, easeShare, thickness.value), 0, stitchWidth.value, 'shared', lineOf('sewn')).over;
}

/** What the lines between so many things take, in stitches. */
export const linesTake = (things: number): number => lineOf('sewn').takes * Math.max(0, things - 1);

/** Width of a pocket side: half the worked girth of each thing in it, `(g (1 + ease) + πt) / 2` (law, handbook 1). */
function sideWidth(
  wants: readonly PocketWant[],
  easeShare: number,
  { stitchWidth: w, thickness: t }: WorkedFabric,
  name: string,
): Mm {
  const g = sum(
    'mm',
    'sum of the girths',
    wants.map((want, index) => [`${index + 1} ${want.name}`, want.girth] as const),
  );
  const e = chosen(easeShare, '1', 'ease of the fit');
  return derive(
    'mm',
    `F = (g (1 + e) + ${wants.length} πt) / 2${wants.length > 1 ? ' + lines × w' : ''}, ${name}`,
    { g, e, t, lines: chosen(linesTake(wants.length), 'stitches', 'what the lines between take'), w },
    (v) => (v.g * (1 + v.e) + wants.length * Math.PI * v.t) / 2 + v.lines * v.w,
  );
}

/** The pocket that needs to be widest, which all are made to, and what lies in it. */
export function widest(
  { front, behind }: Shares,
  easeShare: number,
  fabric: WorkedFabric,
): { width: Mm; loaded: readonly PocketWant[] } {
  const others = behind.filter((wants) => wants.length > 0);
  const all = [
    { width: sideWidth(front, easeShare, fabric, 'in front'), loaded: front },
    ...others.map((wants, index) => ({
      width: sideWidth(wants, easeShare, fabric, others.length > 1 ? `behind, ${index + 1}` : 'behind'),
      loaded: wants,
    })),
  ];
  return all.reduce((best, one) => (one.width.value > best.width.value ? one : best));
}

/** What hangs in front and what behind, g. */
export function masses({ front, behind }: Shares): [number, number] {
  const mass = (wants: readonly PocketWant[]) => wants.reduce((total, { massG }) => total + massG, 0);
  return [mass(front), mass(behind.flat())];
}
