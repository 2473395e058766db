import type { Cloth as ClothPart } from '@keep-snug/core';
import type { ReactElement } from 'react';
import { Circle, Path, Polygon, Rect, Text } from '@/parts/ink';
import { LABEL_SIZE, LINE, placeLabel, px, wordWidth } from './layout';
import { lettering, type Ink } from './lettering';
import { clothBands } from './stitches';

/** Closer than this, lines of rows blur into grey, px. */
const ROWS_APART = 4;
const HATCH_SHOWS = 0.2;

/** A section of the piece: its tint, and its rows as a hatch. */
export function clothInk(part: ClothPart, ink: Ink, key: string): ReactElement[] {
  const lines =
    part.rows.stacked === 'out'
      ? ringLines(part, ink.scale)
      : clothBands(part)
          .map(({ cloth }, index) => rowLines(cloth, ink.scale) + (index > 0 ? firstLine(cloth, ink.scale) : ''))
          .join('');
  const hatch = (
    <Path
      key={`${key} rows`}
      d={lines}
      fill="none"
      stroke={ink.colours.hatch}
      strokeWidth={0.6}
      opacity={HATCH_SHOWS}
    />
  );
  const coloured = tints(part, ink, key);
  return [
    outline(part, ink, key),
    ...coloured,
    // the bands' tints lie over the inner half of its line
    ...(coloured.length > 0 ? [outline(part, ink, `${key} again`, 'none')] : []),
    ...(lines === '' ? [] : [hatch]),
  ];
}

/** Whether it is of several colours, so that none of them is the ground of what is written on it. */
const isTinted = ({ rows: { bands = [], rounds = [] } }: ClothPart): boolean =>
  [...bands, ...rounds].some(({ tint }) => tint);

/** Bands that are not in the piece's first colour. */
function tints(part: ClothPart, { scale, colours }: Ink, key: string): ReactElement[] {
  if (part.rows.stacked === 'out') return tintedRounds(part, { scale, colours }, key);
  if (part.form === 'taper') return [];
  return clothBands(part).flatMap(({ cloth: { x, y, w, h }, tint = 0 }, index) => {
    if (tint === 0) return [];
    const fill = colours.yarns[(tint - 1) % colours.yarns.length]!;
    const box = { x: x * scale, y: y * scale, width: w * scale, height: h * scale };
    return [<Rect key={`${key} tint ${index}`} data-part="tint" {...box} fill={fill} />];
  });
}

/** Rounds around a strip that are not in the piece's first colour: each a box from which the next further in is cut out. */
function tintedRounds({ x, y, w, h, rows }: ClothPart, { scale, colours }: Ink, key: string): ReactElement[] {
  const { rounds = [], high = 0 } = rows;
  return rounds.flatMap(({ tint = 0, sides }, index) => {
    if (tint === 0 || !sides) return [];
    const box = (inset: number) =>
      `M${px((x + inset) * scale)} ${px((y + inset) * scale)}h${px((w - 2 * inset) * scale)}v${px((h - 2 * inset) * scale)}h${px(-(w - 2 * inset) * scale)}Z`;
    const out = (rounds.length - 1 - index) * high;
    const fill = colours.yarns[(tint - 1) % colours.yarns.length]!;
    return [
      <Path
        key={`${key} tint ${index}`}
        data-part="tint"
        d={box(out) + box(out + high)}
        fillRule="evenodd"
        fill={fill}
      />,
    ];
  });
}

function outline(
  { role, form = 'rect', top, x, y, w, h }: ClothPart,
  { scale, colours }: Ink,
  key: string,
  fill = colours.cloth[role],
): ReactElement {
  const paint = { fill, stroke: colours.ink, strokeWidth: 1.5 };
  const box = { x: x * scale, y: y * scale, width: w * scale, height: h * scale };
  if (form === 'disc')
    return <Circle key={key} cx={box.x + box.width / 2} cy={box.y + box.height / 2} r={box.width / 2} {...paint} />;
  if (form === 'oval') return <Rect key={key} {...box} rx={Math.min(box.width, box.height) / 2} {...paint} />;
  if (form === 'taper') {
    const inset = ((w - (top ?? w)) / 2) * scale;
    const points = [
      [box.x + inset, box.y],
      [box.x + box.width - inset, box.y],
      [box.x + box.width, box.y + box.height],
      [box.x, box.y + box.height],
    ];
    return <Polygon key={key} points={points.map((point) => point.join(',')).join(' ')} {...paint} />;
  }
  return <Rect key={key} {...box} {...paint} />;
}

/** Which rows are drawn, so that their lines stay apart; from the first to the last but one. */
function shownRows(count: number, rowPx: number): number[] {
  const every = Math.max(1, Math.ceil(ROWS_APART / Math.max(0.01, rowPx)));
  return Array.from({ length: Math.max(0, Math.ceil(count / every) - 1) }, (_, index) => (index + 1) * every);
}

/** All lines of the rows as one path: a drawing is drawn anew at every movement of a hand. */
function rowLines({ x, y, w, h, top, form, rows }: ClothPart, scale: number): string {
  const along = rows.stacked === 'x';
  const rowPx = ((along ? w : h) / rows.count) * scale;
  const shown = shownRows(rows.count, rowPx);
  if (along) {
    const [from, to] = [px(y * scale), px((y + h) * scale)];
    return shown.map((row) => `M${px(x * scale + row * rowPx)} ${from}V${to}`).join('');
  }
  const narrows = form === 'taper' && top !== undefined ? ((w - top) / 2) * scale : 0;
  return shown
    .map((row) => {
      const inset = narrows * (1 - row / rows.count);
      return `M${px(x * scale + inset)} ${px(y * scale + row * rowPx)}H${px((x + w) * scale - inset)}`;
    })
    .join('');
}

/** Where a band meets the one before it. */
function firstLine({ x, y, w, h, rows }: ClothPart, scale: number): string {
  if (rows.stacked === 'x') return `M${px(x * scale)} ${px(y * scale)}V${px((y + h) * scale)}`;
  return `M${px(x * scale)} ${px((y + h) * scale)}H${px((x + w) * scale)}`;
}

/** Rounds from the middle outwards, as one path: upright ends joined by half circles where a round is round. */
function ringLines({ x, y, w, h, form, rows }: ClothPart, scale: number): string {
  const rowPx = (rows.high ?? Math.min(w, h) / 2 / rows.count) * scale;
  return shownRows(rows.count, rowPx)
    .map((row) => {
      const inset = (rows.count - row) * rowPx;
      const [left, up] = [x * scale + inset, y * scale + inset];
      const [wide, high] = [w * scale - 2 * inset, h * scale - 2 * inset];
      const r = form === 'rect' || form === undefined ? 0 : Math.min(wide, high) / 2;
      const corner = (dx: number, dy: number) => (r === 0 ? '' : `a${px(r)} ${px(r)} 0 0 1 ${px(dx)} ${px(dy)}`);
      return (
        `M${px(left + r)} ${px(up)}h${px(wide - 2 * r)}${corner(r, r)}v${px(high - 2 * r)}${corner(-r, r)}` +
        `h${px(2 * r - wide)}${corner(-r, -r)}v${px(2 * r - high)}${corner(r, -r)}`
      );
    })
    .join('');
}

/** What a section is and how many rows it has, written where there is room, on its own ground so that no line crosses it. */
export function labelInk(part: ClothPart, { scale, colours }: Ink, key: string): ReactElement[] {
  const w = part.w * scale * (part.form === 'disc' ? 0.8 : 1);
  const h = part.h * scale;
  const { lines, upright, apart = false } = placeLabel(part.label, part.sub, w, h);
  if (lines.length === 0) return [];
  const x = (part.x + part.w / 2) * scale;
  const middle = (part.y + part.h / 2) * scale;
  const block = lines.length * LINE;
  const central = upright || part.form === 'disc' || part.form === 'oval';
  const bottom = central
    ? middle + block / 2 - 2
    : (part.y + part.h) * scale - Math.max(6, Math.min(14, (h - block) * 0.24));
  const width = Math.max(...lines.map((line) => wordWidth(line, LABEL_SIZE)));
  const turned = upright ? { transform: `rotate(-90 ${x} ${middle})` } : {};
  const top = part.y * scale + LINE + 6;
  const lower = (index: number) => (apart && index === 0 ? top : bottom - 2 - (lines.length - 1 - index) * LINE);
  const ground = apart ? null : (
    <Rect
      key={`${key} ground`}
      x={x - width / 2 - 2}
      y={bottom - block + 2}
      width={width + 4}
      height={block + 1}
      fill={isTinted(part) ? colours.surface : colours.cloth[part.role]}
      opacity={0.92}
      {...turned}
    />
  );
  const words = lines.map((line, index) => (
    <Text key={`${key} ${index}`} x={x} y={lower(index)} {...lettering(colours)} {...turned}>
      {line}
    </Text>
  ));
  return ground ? [ground, ...words] : words;
}
