import type { WorkedFabric } from '../../craft/fabric';
import { tailsOf } from '../../drawing/tails';
import { bottomGive, crossing } from '../../craft/fit';
import type { Border, Piece, Section } from '../../piece';
import type { WorkedThing } from '../../craft/things';
import { formatNumber, plural } from '../../base/units';
import { cutPouch } from './cutPouch';
import { joinsSeen, type Join } from './joins';
import { cutAlong, cutRows } from '../../drawing/cutRows';
import { borderPart, folds, panel, roleOf, standing, uprightFrom, within } from '../../drawing/draw';
import type { Cloth, CutRow, Dimension, Drive, Part, RowLines, View } from '../../drawing/parts';
import { bandsDrawn } from '../../drawing/runs';
import { sectionWord } from '../../drawing/sectionWord';

/** A folded strip as it is drawn: front, bottom fold, back, and where there is a flap, the turn over the top and the flap. */
interface DrawnStrip {
  piece: Piece;
  thing: WorkedThing;
  fabric: WorkedFabric;
  /** What its sections are counted in: rows that follow each other along it, or the stitches of rows as long as it is. */
  counts: 'rows' | 'stitches';
  /** How its sides are closed. */
  join: Join;
  /** Its edging and how deep that is, mm. */
  edging?: { border: Border; deep: number };
  /** Whether its pocket is lower than its back on purpose, so that the back is seen above it. */
  shallow?: boolean;
  /** What is drawn longer or shorter by hand. */
  drives?: Readonly<Record<string, Drive>>;
}

/** The strip laid flat, folded, and cut through. */
export function stripViews(strip: DrawnStrip): View[] {
  return [flatView(strip), foldedView(strip), cutView(strip)];
}

/** How long it is, how wide, and of how many in words. */
function sizesOf({ piece, counts }: DrawnStrip): { long: number; wide: number; across: string; along: string } {
  const { width, height, stitches, rows } = piece;
  const [inStitches, inRows] = [plural(stitches, 'stitch', 'stitches'), plural(rows, 'row')];
  return counts === 'rows'
    ? { long: height.value, wide: width.value, across: inStitches, along: inRows }
    : { long: width.value, wide: height.value, across: inRows, along: inStitches };
}

type Sections = Pick<DrawnStrip, 'piece' | 'counts' | 'drives'>;

const countOf = ({ counts }: Sections, section: Section): string =>
  counts === 'rows' ? plural(section.rows, 'row') : plural(section.stitches, 'stitch', 'stitches');

/** Rows of a part of it as they lie: beside each other along the strip, or each as long as it is. */
function linesOf({ piece, counts }: Sections, section: Section, upright: boolean): RowLines {
  const { rows, stitches } = piece;
  if (counts === 'rows')
    return {
      count: section.rows,
      stacked: upright ? 'y' : 'x',
      stitches,
      ...(section.from > 1 ? { first: section.from } : {}),
      // it is worked up the back; the front was begun at its mouth, and the flap comes down over it
      ...(upright && section.name !== 'back' ? { down: true } : {}),
      ...bandsDrawn(piece, section.from, section.to),
    };
  return { count: rows, stacked: upright ? 'x' : 'y', stitches: section.stitches, ...bandsDrawn(piece) };
}

/** One after the other as it lies, each with its dimension above. */
export function sectionParts(strip: Sections, wide: number): Part[] {
  let x = 0;
  return strip.piece.sections.flatMap((section): Part[] => {
    const [from, count] = [x, countOf(strip, section)];
    x += section.mm;
    const drives = strip.drives?.[section.name];
    const rows = linesOf(strip, section, false);
    return [
      {
        type: 'cloth',
        role: roleOf(section.name),
        x: from,
        y: 0,
        w: section.mm,
        h: wide,
        rows,
        label: sectionWord(section.name),
        sub: count,
      },
      { type: 'dimension', along: 'x', from, to: x, mm: section.mm, count, ...(drives ? { drives } : {}) },
    ];
  });
}

/** Its tails as they hang; what borders it goes on with the last one. */
function tailsSeen({ piece, edging, counts }: DrawnStrip, long: number, wide: number): Part[] {
  const { start, end } = tailsOf(piece, counts === 'rows' ? 'x' : 'y', { x: 0, y: 0, w: long, h: wide });
  return edging ? [] : [start, end];
}

/** What lies on it: its folds, and the thing on the back. */
function onTheStrip({ piece, thing, fabric }: DrawnStrip, wide: number): Part[] {
  const ends = piece.sections.map((_, index) =>
    piece.sections.slice(0, index + 1).reduce((sum, { mm }) => sum + mm, 0),
  );
  const labels = piece.sections.slice(0, -1).map(({ name }, index) => ({
    mm: ends[index]!,
    label: name === 'front' ? 'bottom fold' : 'top fold',
  }));
  return [
    ...folds(labels, wide),
    {
      type: 'thing',
      x: ends[0]! + bottomGive(thing.depth, fabric.thickness).value,
      y: (wide - thing.width.value) / 2,
      w: thing.height.value,
      h: thing.width.value,
      r: thing.corner,
    },
  ];
}

function flatView(strip: DrawnStrip): View {
  const { piece, edging, counts } = strip;
  const { long, wide, across, along } = sizesOf(strip);
  const deep = edging?.deep ?? 0;
  const parts: Part[] = [
    ...sectionParts(strip, wide),
    ...onTheStrip(strip, wide),
    ...tailsSeen(strip, long, wide),
    uprightFrom(0, wide, { count: across, choice: 'width' }),
    ...(edging
      ? [borderPart(edging.border, { x: 0, y: 0, w: long, h: wide }, deep, ['left', 'last', 'right', 'foundation'])]
      : []),
  ];
  const list = piece.sections
    .map((section) => `${sectionWord(section.name)} ${countOf(strip, section)}, {mm:${formatNumber(section.mm)}}`)
    .join('; ');
  const worked = counts === 'rows' ? '' : ', worked sideways';
  const bordered = edging ? `, with {mm:${formatNumber(deep)}} of edging all round` : '';
  return {
    id: 'flat',
    name: 'Flat',
    width: long + 2 * deep,
    height: wide + 2 * deep,
    parts: within(parts, deep),
    text: `The strip laid flat${worked}: ${across}, {mm:${formatNumber(wide)}} wide; ${along}, {mm:${formatNumber(long)}} long${bordered}. From the chain${counts === 'rows' ? '' : '’s end'}: ${list}.`,
  };
}

/** Heights of the folded pouch: its top, the front's top edge, and how far down the flap comes. */
function heightsOf({ piece, thing, fabric }: DrawnStrip): { top: number; front: number; flap?: number } {
  const give = bottomGive(thing.depth, fabric.thickness).value;
  const [front, back, turn, flap] = piece.sections;
  const up = back!.mm - give;
  const frontUp = front!.mm - give;
  if (!turn || !flap) return { top: Math.max(up, frontUp), front: frontUp };
  const down = turn.mm + flap.mm - crossing(thing.depth.value, fabric.thickness.value, 0);
  return { top: up, front: frontUp, flap: Math.min(up, Math.max(1, down)) };
}

/** A front lower than the back by more than so much is a pocket that shows it, mm. */
const SHOWS_MM = 2;

function foldedView(strip: DrawnStrip): View {
  const { piece, thing, fabric, join } = strip;
  const { wide, across } = sizesOf(strip);
  const [front, back, , flap] = piece.sections;
  const { top, front: frontUp, flap: down } = heightsOf(strip);
  const shallow = strip.shallow === true && frontUp < top - SHOWS_MM;
  const part = (section: Section, y: number, h: number): Cloth => ({
    ...panel({
      role: roleOf(section.name),
      label: section.name,
      sub: countOf(strip, section),
      y,
      w: wide,
      h,
      rows: 1,
      stitches: 1,
    }),
    rows: shareOf(linesOf(strip, section, true), h / section.mm),
  });
  const width: Dimension = {
    type: 'dimension',
    along: 'x',
    from: 0,
    to: wide,
    mm: wide,
    count: across,
    choice: 'width',
  };
  const parts: Part[] = [
    ...(shallow ? [part(back!, 0, top - frontUp)] : []),
    part(front!, shallow ? top - frontUp : 0, shallow ? frontUp : top),
    ...(flap && down !== undefined ? [part(flap, 0, down)] : []),
    uprightFrom(0, down ?? top),
    ...standing(thing, 0, wide, top),
    ...joinsSeen(join, fabric.stitchWidth.value, {
      x: 0,
      y: Math.max(0, top - frontUp),
      w: wide,
      h: Math.min(top, frontUp),
    }),
    width,
  ];
  return {
    id: 'folded',
    name: 'Folded',
    width: wide,
    height: top,
    parts,
    text: `Folded and joined: {mm:${formatNumber(wide)}} wide and {mm:${formatNumber(top)}} high${flap ? ', the flap over the front' : ', open at the top'}.`,
  };
}

/** Of rows that follow each other upwards only those that are seen: a part of a section shows a part of them. */
function shareOf({ bands, ...rows }: RowLines, share: number): RowLines {
  if (rows.stacked !== 'y') return bands ? { ...rows, bands } : rows;
  const seen = Math.max(1, Math.round(rows.count * Math.min(1, share)));
  return seen === rows.count && bands ? { ...rows, bands } : { ...rows, count: seen };
}

/** What a cut meets: front and back, then all that lies over them. */
function rowsMet({ piece, counts }: DrawnStrip): { around: CutRow[]; over: CutRow[] } {
  const met = (sections: readonly Section[]): CutRow[] => {
    const [first, last] = [sections[0], sections.at(-1)];
    if (!first || !last) return [];
    if (counts === 'stitches') return cutAlong(piece, sections);
    return cutRows(piece, { from: first.from, to: last.to, at: 1 / 2, role: roleOf(first.name) });
  };
  return { around: met(piece.sections.slice(0, 2)), over: met(piece.sections.slice(2)) };
}

function cutView(strip: DrawnStrip): View {
  const { thing, fabric } = strip;
  const { top, front, flap } = heightsOf(strip);
  const [D, t] = [thing.depth.value, fabric.thickness.value];
  const cut = cutPouch({
    D,
    H: thing.height.value,
    t,
    front,
    back: top,
    rows: rowsMet(strip),
    ...(flap === undefined ? {} : { flap }),
  });
  return {
    id: 'cut',
    name: 'Cut through',
    ...cut,
    text: `Cut through from front to back: {mm:${formatNumber(D)}} of the item between two layers of {mm:${formatNumber(t)}}, {mm:${formatNumber(front)}} deep in front${flap === undefined ? '' : ', the flap over it'}.`,
  };
}
