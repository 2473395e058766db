import type { Cloth, Part, View } from '../../drawing';
import { borderPath, taperCorners } from '../../drawing/drawn';
import { element, svgFile, words } from './elements';
import { INKS, LETTERS } from './inks';
import { seenBy } from './viewSvg';
import type { Schools } from '../../pattern';

/** Something drawn as large as it is; its box in mm and its lines as SVG elements, a unit a mm. */
export interface TrueSize {
  name: string;
  /** The same in words. */
  text: string;
  width: number;
  height: number;
  drawn: string;
}

/** How thick lines are, and how high letters, mm. */
const LINE = { fill: 'none', stroke: INKS.line, 'stroke-width': 0.4 } as const;
const LETTER = 5;

/** A dashed line, mm: a fold, a seam. */
export const dashed = (x1: number, y1: number, x2: number, y2: number): string =>
  element('line', { x1, y1, x2, y2, ...LINE, 'stroke-dasharray': '3 2' });

/** Words in the middle of a place, mm. */
export const named = (text: string, x: number, y: number): string =>
  words(text, { x, y, 'font-family': LETTERS, 'font-size': LETTER, fill: INKS.line, 'text-anchor': 'middle' });

/** A box to cut along, or to lie on, mm. */
export const cutBox = (x: number, y: number, width: number, height: number, rx = 0): string =>
  element('rect', { x, y, width, height, rx, ...LINE });

function clothOutline(part: Cloth): string {
  const { form = 'rect', x, y, w, h } = part;
  if (form === 'taper') {
    const points = taperCorners(part, 1).map((point) => point.join(','));
    return element('polygon', { points: points.join(' '), ...LINE });
  }
  return cutBox(x, y, w, h, form === 'rect' ? 0 : Math.min(w, h) / 2);
}

/** What of a part is wanted on an outline that work is laid on. */
function outlined(part: Part): string {
  switch (part.type) {
    case 'cloth':
      return clothOutline(part);
    case 'border': {
      const transform = `translate(${part.x + part.w / 2} ${part.y + part.h / 2})`;
      return element('path', { d: borderPath(part, 1), transform, ...LINE });
    }
    case 'fold':
    case 'line':
      return dashed(part.x1, part.y1, part.x2, part.y2);
    case 'button':
      return element('circle', { cx: part.x, cy: part.y, r: part.diameter / 2, ...LINE });
    case 'dots':
      return part.points
        .map(([cx, cy]) => element('circle', { cx, cy, r: Math.max(0.5, part.diameter / 2), ...LINE }))
        .join('');
    case 'ribbon':
    case 'thing':
    case 'cut':
    case 'dimension':
    case 'loop':
    case 'tail':
    case 'words':
      return '';
  }
}

/** How far a border lies outside of the piece at most, mm. */
const beyond = ({ parts, width, height }: View): number =>
  Math.max(
    0,
    ...parts.flatMap((part) => {
      if (part.type !== 'border') return [];
      const deep = part.depth * part.rounds.length;
      return [deep - part.x, deep - part.y, part.x + part.w + deep - width, part.y + part.h + deep - height];
    }),
  );

/**
 * A view’s outline at its true size, to lay the work on: sections, folds, borders, where a button sits.
 *
 * @source handbook 11
 */
export function outlineOf(given: View, title: string, hand: Schools['hand']): TrueSize {
  const view = seenBy(given, hand);
  const deep = beyond(view);
  const inside = view.parts.map(outlined).join('');
  const sections = view.parts.flatMap((part) =>
    part.type === 'cloth' && part.h > 2 * LETTER && part.w > part.label.length * LETTER * 0.6
      ? [named(part.label, part.x + part.w / 2, part.y + part.h / 2)]
      : [],
  );
  return {
    name: `${title}: outline`,
    text: view.text,
    width: view.width + 2 * deep,
    height: view.height + 2 * deep,
    drawn: element('g', { transform: `translate(${deep} ${deep})` }, inside + sections.join('')),
  };
}

/** Round a true-size drawing on a sheet of its own, mm. */
const ROUND = 10;

/**
 * A true-size drawing as one SVG file, however large.
 *
 * @returns SVG text, its size given in mm
 * @source handbook 11
 */
export function trueSizeSvg({ name, text, width, height, drawn }: TrueSize): string {
  const wide = Math.max(width, name.length * 2.6);
  return svgFile(
    { title: name, text, width: wide + 2 * ROUND, height: height + 2 * ROUND + LETTER, scale: 1 },
    words(name, { x: ROUND, y: ROUND, 'font-family': LETTERS, 'font-size': LETTER, fill: INKS.line }) +
      element('g', { transform: `translate(${ROUND} ${ROUND + LETTER})` }, drawn),
  );
}
