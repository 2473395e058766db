import { distance, type Point } from './points';

/** A card of the ID-1 size, mm: its corners are round, so that its straight edges are what is looked for (handbook 13). */
export const CARD = { long: 85.6, short: 53.98, corner: 3.18, sd: 0.06 } as const;

/** The card's corners on the table, mm, so that its long edges lie where the picture has the longer ones. */
export function cardCorners(seen: readonly Point[], long: number, short: number): Point[] {
  const [a, b, c, d] = seen as [Point, Point, Point, Point];
  const firstIsLong = distance(a, b) + distance(c, d) > distance(b, c) + distance(d, a);
  const [w, h] = firstIsLong ? [long, short] : [short, long];
  return [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
}
