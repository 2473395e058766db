import type { Cloth, Dimension, Part, View } from '../../drawing';
import {
  borderPath,
  clothLabel,
  clothLines,
  cutStretches,
  isTinted,
  LABEL_SIZE,
  loopPath,
  lyingWords,
  standingWords,
  tailPath,
  taperCorners,
  threadPath,
  tintedGrounds,
  type CutStretch,
  type SetWord,
} from '../../drawing/drawn';
import type { LengthUnit } from '../../base/units';
import { element, words } from './elements';
import { INKS, LETTERS } from './inks';

/** How a view is painted: units of the picture in one mm of the piece, and in which unit its lengths are written. */
interface Painting {
  scale: number;
  units: LengthUnit;
  /** Whether the view was mirrored for a hook in the left hand. */
  mirrored: boolean;
}

const LETTERING = {
  'font-family': LETTERS,
  'font-size': LABEL_SIZE,
  fill: INKS.line,
  'text-anchor': 'middle',
} as const;

const outlined = { fill: 'none', stroke: INKS.line, 'stroke-width': 1.5 } as const;
const threaded = { fill: 'none', stroke: INKS.thread, 'stroke-width': 2 } as const;

/** A cord in its own colour, edged so that it is seen on fabric of the same. */
const cordLines = (hex: string, width: number) => [
  { fill: 'none', stroke: INKS.line, 'stroke-width': width + 1.5 },
  { fill: 'none', stroke: hex, 'stroke-width': width },
];

const points = (list: readonly (readonly [number, number])[]): string => list.map(([x, y]) => `${x},${y}`).join(' ');

const upright = (x: number, y: number) => ({ transform: `rotate(-90 ${x} ${y})` });

function clothShape(part: Cloth, scale: number, paint: Readonly<Record<string, string | number>>): string {
  const { form = 'rect' } = part;
  const [x, y, width, height] = [part.x * scale, part.y * scale, part.w * scale, part.h * scale];
  if (form === 'disc') return element('circle', { cx: x + width / 2, cy: y + height / 2, r: width / 2, ...paint });
  if (form === 'taper') return element('polygon', { points: points(taperCorners(part, scale)), ...paint });
  const rx = form === 'oval' ? Math.min(width, height) / 2 : 0;
  return element('rect', { x, y, width, height, rx, ...paint });
}

/** The first colour of a piece is its ground. */
const yarnTint = (tint: number): string => INKS.yarns[(tint + INKS.yarns.length - 1) % INKS.yarns.length]!;

function cloth(part: Cloth, { scale }: Painting): string {
  const lines = clothLines(part, scale);
  return [
    clothShape(part, scale, { fill: part.hex ?? INKS.cloth[part.role] }),
    ...tintedGrounds(part, scale).map(({ tint, hex, d }) =>
      element('path', { d, fill: hex ?? yarnTint(tint), 'fill-rule': 'evenodd' }),
    ),
    lines === ''
      ? ''
      : element('path', { d: lines, fill: 'none', stroke: INKS.line, 'stroke-width': 0.6, opacity: 0.2 }),
    clothShape(part, scale, outlined),
  ].join('');
}

function label(part: Cloth, { scale }: Painting): string {
  const placed = clothLabel(part, scale);
  if (!placed) return '';
  const turn = placed.upright ? upright(...placed.middle) : {};
  const fill = isTinted(part) ? INKS.paper : INKS.cloth[part.role];
  return [
    placed.ground ? element('rect', { ...placed.ground, fill, opacity: 0.92, ...turn }) : '',
    ...placed.words.map(({ x, y, text }) => words(text, { x, y, ...LETTERING, ...turn })),
  ].join('');
}

type Painters = { [Type in Part['type']]: (part: Extract<Part, { type: Type }>, painting: Painting) => string };

/** Each kind of part as it is painted; definitions, one beside the other. */
const PAINTERS: Painters = {
  cloth,
  border: (part, { scale }) =>
    element('path', {
      d: borderPath(part, scale),
      transform: `translate(${(part.x + part.w / 2) * scale} ${(part.y + part.h / 2) * scale})`,
      fill: part.hex ?? INKS.paper,
      stroke: INKS.line,
      'stroke-width': 1,
    }),
  fold: ({ x1, y1, x2, y2 }, { scale }) =>
    element('line', {
      x1: x1 * scale,
      y1: y1 * scale - 6,
      x2: x2 * scale,
      y2: y2 * scale + 6,
      ...outlined,
      'stroke-dasharray': '2 3',
    }),
  thing: ({ x, y, w, h, r, outline }, { scale }) => {
    const dashed = { ...outlined, 'stroke-dasharray': '7 4' };
    return outline
      ? element('polygon', { points: points(outline.map(([a, b]) => [(x + a) * scale, (y + b) * scale])), ...dashed })
      : element('rect', { x: x * scale, y: y * scale, width: w * scale, height: h * scale, rx: r * scale, ...dashed });
  },
  button: ({ x, y, diameter }, { scale }) =>
    element('circle', { cx: x * scale, cy: y * scale, r: (diameter * scale) / 2, ...threaded, fill: INKS.paper }) +
    [-0.15, 0.15]
      .map((off) =>
        element('circle', {
          cx: (x + off * diameter) * scale,
          cy: y * scale,
          r: 0.07 * diameter * scale,
          fill: INKS.thread,
        }),
      )
      .join(''),
  loop: (part, { scale }) => {
    const d = loopPath(part, scale);
    if (!part.hex) return element('path', { d, ...threaded });
    return cordLines(part.hex, 2.5)
      .map((line) => element('path', { d, ...line }))
      .join('');
  },
  line: ({ kind, hex, x1, y1, x2, y2 }, { scale }) => {
    const at = { x1: x1 * scale, y1: y1 * scale, x2: x2 * scale, y2: y2 * scale };
    if (kind === 'cord' && hex)
      return cordLines(hex, 3)
        .map((line) => element('line', { ...at, ...line }))
        .join('');
    const wide = { 'stroke-width': kind === 'cord' ? 3 : 2 };
    return element('line', { ...at, ...threaded, ...wide, 'stroke-dasharray': kind === 'seam' ? '5 3' : 'none' });
  },
  dots: ({ points: at, diameter }, { scale }) =>
    at
      .map(([x, y]) => {
        const r = Math.max(1.5, (diameter * scale) / 2);
        return element('circle', {
          cx: x * scale,
          cy: y * scale,
          r,
          ...threaded,
          'stroke-width': 1.5,
          fill: INKS.paper,
        });
      })
      .join(''),
  cut: (part, { scale }) => {
    const wide = Math.max(3, part.thickness * scale);
    const line = (at: CutStretch['points'], stroke: string, width: number) =>
      element('polyline', {
        points: points(at.map(([x, y]) => [x * scale, y * scale])),
        fill: 'none',
        'stroke-linejoin': 'round',
        stroke,
        'stroke-width': width,
      });
    return [
      line(part.points, INKS.line, wide + 2),
      ...cutStretches(part).map(({ points: at, tint, hex }) =>
        line(at, hex ?? (tint === 0 ? INKS.cloth[part.role] : yarnTint(tint)), wide),
      ),
    ].join('');
  },
  // only a portrait shows what is not to scale
  ribbon: () => '',
  tail: (part, { scale }) => element('path', { d: tailPath(part, scale), ...threaded, 'stroke-width': 1.5 }),
  words: ({ x, y, text }, { scale }) => words(text, { x: x * scale, y: y * scale, ...LETTERING, 'font-size': 13 }),
  dimension: (part, { scale }) =>
    element('path', { d: threadPath(part, scale), fill: 'none', stroke: INKS.line, 'stroke-width': 1 }),
};

function paintedPart(part: Part, painting: Painting): string {
  const paint = PAINTERS[part.type] as (part: Part, painting: Painting) => string;
  return paint(part, painting);
}

function lengths(dimensions: readonly Dimension[], { scale, units, mirrored }: Painting): string {
  const set = ({ x, y, text }: SetWord) => words(text, { x, y, ...LETTERING });
  const lying = dimensions.filter(({ along }) => along === 'x');
  const standing = dimensions.filter(({ along }) => along === 'y');
  return [
    ...lyingWords(lying, scale, units, mirrored).map(set),
    ...standing.flatMap((dimension) =>
      standingWords(dimension, scale, units).map(({ x, y, text }) =>
        words(text, { x, y, ...LETTERING, ...upright(x, y) }),
      ),
    ),
  ].join('');
}

const UNDER: readonly string[] = ['cut', 'fold', 'thing'];
const FABRIC: readonly string[] = ['cloth', 'border'];

/**
 * What a view shows as SVG elements, its own origin at 0: fabric, what lies under and over its names, lengths.
 *
 * @param painting its scale in units of the picture per mm
 * @source handbook 11
 */
export function paintedView({ parts }: View, painting: Painting): string {
  const paint = (some: readonly Part[]) => some.map((part) => paintedPart(part, painting)).join('');
  const marks = parts.filter(({ type }) => !FABRIC.includes(type));
  return [
    paint(parts.filter(({ type }) => FABRIC.includes(type))),
    paint(marks.filter(({ type }) => UNDER.includes(type))),
    ...parts.flatMap((part) => (part.type === 'cloth' ? [label(part, painting)] : [])),
    paint(marks.filter(({ type }) => !UNDER.includes(type))),
    lengths(
      parts.filter((part) => part.type === 'dimension'),
      painting,
    ),
  ].join('');
}
