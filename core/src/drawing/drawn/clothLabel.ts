import type { Cloth } from '../parts';
import { LABEL_SIZE, LINE, placeLabel, wordWidth } from './layout';

/** Words set down in a drawing: their middle and base line, px. */
export interface SetWord {
  x: number;
  y: number;
  text: string;
}

/** A label on its cloth: its lines, the ground under them, and the place it is turned upright about. */
interface ClothLabel {
  words: SetWord[];
  /** A box over which no line of rows is to show; none where its lines stand apart. */
  ground: { x: number; y: number; width: number; height: number } | null;
  upright: boolean;
  middle: readonly [number, number];
}

/** What a section is and how many rows it has, where there is room for it; nothing where there is none. */
export function clothLabel(part: Cloth, scale: number): ClothLabel | null {
  const w = part.w * scale * (part.form === 'disc' ? 0.8 : 1);
  const h = part.h * scale;
  const { lines, upright, apart = false } = placeLabel(part.label, part.sub, w, h);
  if (lines.length === 0) return null;
  const x = (part.x + part.w / 2) * scale;
  const middle = (part.y + part.h / 2) * scale;
  const block = lines.length * LINE;
  const central = upright || part.form === 'disc' || part.form === 'oval';
  const bottom = central
    ? middle + block / 2 - 2
    : (part.y + part.h) * scale - Math.max(6, Math.min(14, (h - block) * 0.24));
  const width = Math.max(...lines.map((line) => wordWidth(line, LABEL_SIZE)));
  const top = part.y * scale + LINE + 6;
  const lower = (index: number) => (apart && index === 0 ? top : bottom - 2 - (lines.length - 1 - index) * LINE);
  return {
    words: lines.map((text, index) => ({ x, y: lower(index), text })),
    ground: apart ? null : { x: x - width / 2 - 2, y: bottom - block + 2, width: width + 4, height: block + 1 },
    upright,
    middle: [x, middle],
  };
}
