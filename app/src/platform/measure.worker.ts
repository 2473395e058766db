import {
  lengthBetween,
  outlineSizes,
  seeCard,
  snapAlong,
  snapOutline,
  type Grey,
  type Mark,
  type OutlineTold,
  type Point,
  type Seen,
  type Told,
} from '@keep-snug/core/photograph';
import { expose } from 'comlink';

/** How far from where a hand points an edge is looked for, px of the picture. */
const REACH = 14;

let grey: Grey | null = null;
let seen: Seen | null = null;

type CardSeen = { ok: true; corners: Point[]; snapped: boolean } | { ok: false; message: string };

/** One picture after the other, looked at beside the page. */
const measurer = {
  look: (picture: Grey): void => {
    grey = picture;
    seen = null;
  },
  card: (taps: Point[]): CardSeen => {
    const found = seeCard(grey!, taps);
    if ('message' in found) return { ok: false, message: found.message };
    seen = found;
    return { ok: true, corners: found.corners, snapped: found.snapped };
  },
  length: ([a, b]: [Point, Point], z: number): { marks: Mark[]; told: Told } => {
    const marks: [Mark, Mark] = [snapAlong(grey!, a, b, REACH), snapAlong(grey!, b, a, REACH)];
    return { marks, told: lengthBetween(seen!, marks, z) };
  },
  outline: (places: Point[], z: number): { marks: Mark[]; told: OutlineTold } => {
    const marks = snapOutline(grey!, places, REACH);
    return { marks, told: outlineSizes(seen!, marks, z) };
  },
};

export type Measurer = typeof measurer;

expose(measurer);
