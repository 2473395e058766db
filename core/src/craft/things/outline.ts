import type { Station } from './types';

/** What a thing looks like from the front, mm: its own outline, or those of all it holds beside each other. */
export interface ThingOutline {
  width: number;
  height: number;
  /** Outlines from the left, their bottoms level; the points run round from the bottom left. */
  parts: { x: number; points: readonly (readonly [number, number])[]; corner: number }[];
}

/** Beside each other in a set, or single tools in a roll, mm apart. */
const APART_MM = 6;

/** A box with rounded corners. All mm. */
export function boxOutline(width: number, height: number, corner: number): ThingOutline {
  const points = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ] as const;
  return { width, height, parts: [{ x: 0, points, corner }] };
}

/** A round thing from the side, through its stations from the bottom up. */
export function turnedOutline(stations: readonly Station[], height: number): ThingOutline {
  const half = Math.max(...stations.map(({ diameter }) => diameter)) / 2;
  const right = stations.map((station) => [half + station.diameter / 2, station.height] as const);
  const left = stations.map((station) => [half - station.diameter / 2, station.height] as const).reverse();
  return { width: 2 * half, height, parts: [{ x: 0, points: [...right, ...left], corner: 0 }] };
}

/** Several beside each other, 6 mm apart. */
export function besideOutline(list: readonly ThingOutline[]): ThingOutline {
  let x = 0;
  const parts = list.flatMap((one) => {
    const at = x;
    x += one.width + APART_MM;
    return one.parts.map((part) => ({ ...part, x: part.x + at }));
  });
  return { width: Math.max(1, x - APART_MM), height: Math.max(1, ...list.map(({ height }) => height)), parts };
}
