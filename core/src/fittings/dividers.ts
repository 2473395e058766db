import { chosen, derive, prior, type Advice, type Figure } from '../figure';
import type { WorkedFabric } from '../fabric';
import type { PocketWant } from '../things';
import { formatLength, formatNumber, plural } from '../units';
import type { Part } from '../shapes';
import { type DemandContext, type FittingContext, type FittingDefinition, type Placed } from './definition';
import { frontOf, refuse } from './common';

type Mm = Figure<'mm'>;

/** What should stand out of a pocket to be taken by: a third of the tool, 25 mm at the least (prior, handbook 6). */
const STANDS_OUT = { share: 1 / 3, leastMm: 25 } as const;

/** Ease of a channel round its tool (prior, ours): a tool slides in and is held. */
const EASE = 0.06;

/**
 * The width of a channel between two flat layers: half the girth round tool and fabric each side, `π (a + t) / 2 × (1 +
 * ease)`, less the stretch the fit uses (law, handbook 6); for what is no round tool half its worked girth.
 */
export function channelWidth(want: PocketWant, t: Mm, usedStretch: number): Mm {
  const ease = prior(EASE, '1', 0, 'ease of a channel');
  const s = prior(usedStretch, '1', 0, 'stretch the fit uses');
  if (want.tool)
    return derive(
      'mm',
      'channel = π (a + t) / 2 × (1 + ease) / (1 + s)',
      { a: derive('mm', 'a = g / π', { g: want.girth }, (v) => v.g / Math.PI), t, ease, s },
      (v) => (((Math.PI * (v.a + v.t)) / 2) * (1 + v.ease)) / (1 + v.s),
    );
  return derive(
    'mm',
    'pocket = (g (1 + ease) + πt) / 2 / (1 + s)',
    { g: want.girth, ease, t, s },
    (v) => (v.g * (1 + v.ease) + Math.PI * v.t) / 2 / (1 + v.s),
  );
}

/** A channel in whole columns. */
export interface Channel {
  name: string;
  columns: number;
  mm: number;
  /** First column, from 1. */
  from: number;
}

interface Divided {
  channels: Channel[];
  /** Columns sewn through, between the channels. */
  lines: number[];
  /** Columns over after every channel has what it needs; negative where there are too few. */
  over: number;
}

/**
 * Channels fitted in the order given and snapped to columns, one column for each stitched line; what is over goes where
 * the maker says: to the last channel, the first, or shared out (handbook 6).
 */
export function divide(
  widths: readonly { name: string; mm: number }[],
  columns: number,
  w: number,
  over: string,
): Divided {
  const needs = widths.map(({ mm }) => Math.max(1, Math.ceil(mm / w - 1e-9)));
  const left = columns - needs.reduce((sum, need) => sum + need, 0) - (widths.length - 1);
  const given = needs.map((need, index) => need + shareOf(index, widths.length, Math.max(0, left), over));
  let at = 1;
  const channels = widths.map(({ name }, index) => {
    const channel = { name, columns: given[index]!, mm: given[index]! * w, from: at };
    at += given[index]! + 1;
    return channel;
  });
  return { channels, lines: channels.slice(1).map(({ from }) => from - 1), over: left };
}

function shareOf(index: number, count: number, left: number, over: string): number {
  if (over === 'last') return index === count - 1 ? left : 0;
  if (over === 'first') return index === 0 ? left : 0;
  return Math.floor(((index + 1) * left) / count) - Math.floor((index * left) / count);
}

function wantsOf({ thing, path }: DemandContext): readonly PocketWant[] {
  const { wants } = thing;
  if (!wants || wants.length < 2)
    return refuse(
      `${path}.kind`,
      'Dividers part several things, and this is one. List the tools it should hold as the thing.',
    );
  return wants;
}

/** The stretch a fit lets a channel use. */
function usedStretch({ fit, fabric }: DemandContext): number {
  return fit.definition.useOfStretch * fabric.stitch.factors.stretchAcross * 0.5;
}

/** All channels and their lines side by side: what the face must be wide at the least (law, handbook 6). */
export function faceForChannels(context: DemandContext): Mm {
  const { fabric } = context;
  const w = fabric.stitchWidth;
  const widths = wantsOf(context).map((want) => channelWidth(want, fabric.thickness, usedStretch(context)));
  const columns = widths.reduce(
    (sum, width) => sum + Math.max(1, Math.ceil(width.value / w.value - 1e-9)),
    widths.length - 1,
  );
  const n = chosen(columns, 'stitches', `${plural(widths.length, 'channel')} in whole columns, a column for each line`);
  return derive('mm', 'face = columns × w', { n, w }, (v) => v.n * v.w);
}

function place(context: FittingContext): Placed {
  const { built, fabric, options, path } = context;
  const wants = wantsOf(context);
  const face = frontOf(built);
  const columns = face.stitches;
  const w = face.width / columns;
  const widths = wants.map((want) => ({
    name: want.name,
    figure: channelWidth(want, fabric.thickness, usedStretch(context)),
  }));
  const { channels, lines, over } = divide(
    widths.map(({ name, figure }) => ({ name, mm: figure.value })),
    columns,
    w,
    String(options.over),
  );
  if (over < -columns / 2) refuseCrowd(path, widths.length, columns, over);
  const depths = wants.map(({ height }) => depthFor(height));
  const deepest = Math.min(face.height, Math.max(...depths.map(({ value }) => value)));
  const list = channels
    .map(
      ({ name, columns: count, mm }, index) =>
        `${name} ${plural(count, 'stitch', 'stitches')} ({mm:${formatNumber(mm)}}), {mm:${formatNumber(Math.min(face.height, depths[index]!.value))}} deep`,
    )
    .join('; ');
  return {
    figures: Object.fromEntries(widths.map(({ name, figure }, index) => [`channel ${index + 1}, ${name}`, figure])),
    place: `from the left: ${list}`,
    rows: [],
    steps: [
      {
        id: 'sew-dividers',
        section: 'joining',
        kind: 'assembly',
        phase: 'mouth',
        text: `Sew the dividers from the bottom up through both layers, along ${plural(lines.length, 'column')}: stitch ${lines.join(', ')} of ${columns}, counted from the {side:left}. Backstitch the top of each twice.`,
        check: {
          look: 'Marked and measured first? Has every stitch caught both layers, and does each tool slide in?',
          repair: 'Take the line out and move it by a column.',
        },
        reaches: ['the mouth'],
        minutes: 5 * lines.length,
        seam: { mm: lines.length * deepest, factor: 2 },
      },
    ],
    parts: { folded: lineParts(lines, face, w, deepest), flat: [] },
    advice: [...curl(over, w, columns, fabric), ...slim(wants, fabric, lines.length)],
    areas: lines.map((line) => ({
      face: 'front' as const,
      x: [(line - 1) * w, line * w] as const,
      y: [face.height - deepest, face.height] as const,
    })),
    notions: [{ name: 'stitch markers', count: lines.length }],
  };
}

/** Pocket depth: the tool's length less what should stand out (prior, handbook 6). */
function depthFor(length: number): Mm {
  return derive(
    'mm',
    'depth = length − what stands out, a third and at least 25 mm',
    { length: chosen(length, 'mm', 'the tool') },
    (v) => Math.max(10, v.length - Math.max(STANDS_OUT.leastMm, STANDS_OUT.share * v.length)),
  );
}

function lineParts(lines: readonly number[], face: ReturnType<typeof frontOf>, w: number, deep: number): Part[] {
  return lines.map((line) => {
    const x = face.x + (line - 0.5) * w;
    const bottom = face.y + face.height;
    return {
      type: 'line',
      kind: 'seam',
      x1: x,
      y1: bottom,
      x2: x,
      y2: bottom - deep,
      label: `divider, stitch ${line}`,
    };
  });
}

/** Channels that need more width than the front has pull the back round: the case curls. */
function curl(over: number, w: number, columns: number, { stitch: { rows } }: WorkedFabric): Advice[] {
  if (over >= 0) return [];
  // the next count that the stitch allows
  const least = columns - over - rows.edge;
  const enough = Math.ceil(least / rows.repeat) * rows.repeat + rows.edge;
  return [
    {
      id: 'case-curls',
      severity: 'warning',
      text: `The channels need ${plural(-over, 'stitch', 'stitches')} (${formatLength(-over * w)}) more than the front has: the case curls.`,
      repair: `Use ${enough} stitches.`,
      at: 'picks.width',
      change: { 'picks.width': enough },
    },
  ];
}

/** Slim tips in narrow channels want a close fabric; said once by the fabric itself, here for the line's sake. */
function slim(wants: readonly PocketWant[], fabric: WorkedFabric, lines: number): Advice[] {
  const shortest = Math.min(...wants.map(({ height }) => height));
  const longest = Math.max(...wants.map(({ height }) => height));
  if (lines === 0 || shortest > 0.6 * longest || fabric.stitch.gap > 0.5) return [];
  return [
    {
      id: 'short-tool-sinks',
      severity: 'advice',
      text: `The shortest tool (${formatLength(shortest)}) sinks in a pocket made for the longest (${formatLength(longest)}).`,
      repair: 'Sew across its channel below where it should stand, or give it the shallow end of the order.',
    },
  ];
}

function refuseCrowd(path: string, count: number, columns: number, over: number): never {
  return refuse(
    `${path}.kind`,
    `${plural(count, 'tool')} want ${columns - over} stitches, and the front has ${columns}. List fewer, or let the count follow them.`,
  );
}

export const dividers: FittingDefinition = {
  id: 'dividers',
  name: 'Dividers',
  summary: 'Parts the front into a channel for each tool of the list.',
  asks: ['upright-columns'],
  because: 'They are sewn up through two flat layers, between stitches side by side.',
  figures: (key) => `${key.charAt(0).toUpperCase()}${key.slice(1)}`,
  options: [
    {
      key: 'over',
      kind: 'choice',
      label: 'Width left over',
      options: [
        { id: 'shared', name: 'shared out' },
        { id: 'last', name: 'to the last channel' },
        { id: 'first', name: 'to the first channel' },
      ],
      default: 'shared',
    },
  ],
  demands: (context) => ({ face: faceForChannels(context) }),
  place,
};
