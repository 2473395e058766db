import { atLeast, divide, lineOf, LINES, type Channel, type Line } from '../../craft/counts';
import { chosen, derive, prior, type Advice, type Figure } from '../../base/figure';
import { work, type WorkedFabric } from '../../craft/fabric';
import type { Work } from '../../piece';
import type { PocketWant } from '../../craft/things';
import { capital, formatNumber, mmToken, mostToken, plural, typedToken } from '../../base/units';
import type { Part } from '../../shapes';
import { type DemandContext, type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { frontOf, refuse, type Face } from '../common';

type Mm = Figure<'mm'>;

/** What should stand out of a pocket to be taken by: a third of the tool, 25 mm at the least (prior, handbook 6). */
const STANDS_OUT = { share: 1 / 3, leastMm: 25 } as const;

/** Ease of a channel round its tool (prior, ours): it slides in though the fabric is a little thicker or narrower than thought. */
const EASE = 0.12;

/**
 * The width of a channel between two flat layers: half the girth round its tool and fabric each side, `(g (1 + ease) + πt)
 * / 2`, less the stretch the fit uses (law, handbook 6).
 */
export function channelWidth({ girth: g }: PocketWant, t: Mm, usedStretch: number): Mm {
  const ease = prior(EASE, '1', 0, 'ease of a channel');
  const s = prior(usedStretch, '1', 0, 'stretch the fit uses');
  return derive(
    'mm',
    'channel = (g (1 + ease) + πt) / 2 / (1 + s)',
    { g, ease, t, s },
    (v) => (v.g * (1 + v.ease) + Math.PI * v.t) / 2 / (1 + v.s),
  );
}

function wantsOf({ thing, path }: DemandContext): readonly PocketWant[] {
  const { wants } = thing;
  if (!wants || wants.length < 2)
    return refuse(
      `${path}.kind`,
      'Dividers keep several items apart, and this is one. List the tools it should hold as the item.',
    );
  return wants;
}

/** The stretch a fit uses to let a thing in (handbook 3). */
const usedStretch = ({ fit, fabric }: DemandContext): number =>
  fit.definition.useOfStretch * fabric.stitch.factors.stretchAcross;

/** Channels are sized to use only so much of it: a tool goes in and out all day (prior, ours). */
const SIZED_TO_USE = 0.5;

const sizedStretch = (context: DemandContext): number => SIZED_TO_USE * usedStretch(context);

/** All channels and their lines side by side, in columns of the fabric: no fewer will do (law, handbook 6). */
function columnsForChannels(context: DemandContext): Figure<'stitches'> {
  const { fabric } = context;
  const widths = wantsOf(context).map((want) => ({
    name: want.name,
    mm: channelWidth(want, fabric.thickness, sizedStretch(context)).value,
  }));
  const columns = -divide(widths, 0, fabric.stitchWidth.value, 'last', lineOf(context.options.line)).over;
  return chosen(columns, 'stitches', `${plural(widths.length, 'channel')} in whole columns, with their lines`);
}

/** What the face must be wide for them at the least. */
function faceOf(n: Figure<'stitches'>, { fabric }: DemandContext): Mm {
  return derive('mm', 'face = columns × w', { n, w: fabric.stitchWidth }, (v) => v.n * v.w);
}

/** Columns that run the whole way from the bottom to the opening. */
interface AllAlong {
  columns: number;
  /** Stitches at the left of the front's top edge that do not run all the way down. */
  before: number;
  /** Stitches that are counted at that edge. */
  of: number;
}

/**
 * Where a piece goes on on another count than it was begun with, a line can only run down columns that both have: what one has more
 * of lies at its two edges (handbook 8, choice 3).
 */
function columnsAllAlong({ built }: FittingContext, face: Face): AllAlong {
  const [body] = built.pieces;
  const begunOn = body!.firstStitches;
  if (begunOn === undefined || begunOn === face.stitches)
    return { columns: face.stitches, before: 0, of: face.stitches };
  const held = body!.courses.filter(({ section }) => section !== 'flap' && section !== 'turn');
  const columns = Math.min(...held.map(({ ends }) => ends));
  return { columns, before: Math.floor((begunOn - columns) / 2), of: begunOn };
}

function place(context: FittingContext): Placed {
  const { built, fabric, options, path } = context;
  const wants = wantsOf(context);
  const face = frontOf(built);
  const { columns, before, of } = columnsAllAlong(context, face);
  const w = fabric.stitchWidth.value;
  const line = lineOf(options.line);
  const widths = wants.map((want) => ({
    name: want.name,
    figure: channelWidth(want, fabric.thickness, sizedStretch(context)),
  }));
  const { channels, lost, lines, over } = divide(
    widths.map(({ name, figure }) => ({ name, mm: figure.value })),
    columns,
    w,
    String(options.over),
    line,
  );
  if (over < -columns / 2) refuseCrowd(path, widths.length, columns, over);
  // a line that ended below the mouth would let the layers gape there
  const deepest = face.height;
  const across = shallowWork(context, channels, face.height);
  const shallow = Number(options.shallow ?? 0) - 1;
  const list = channels
    .map(
      ({ name, columns: count, mm }, index) =>
        `${name} ${plural(count, 'stitch', 'stitches')} ({mm:${formatNumber(mm)}}), {mm:${formatNumber(index === shallow ? Number(options.shallowMm) : face.height)}} deep`,
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
        does: [
          ...lineWork(
            line,
            lines.map((at) => at + before),
            of,
            deepest,
            fabric,
          ),
          ...across,
        ],
        check: {
          look: 'Has every stitch caught both layers, and does each tool slide in?',
          repair:
            'A line pulls at first and gives later. Where a tool does not go in, unpick the line and move it by a column.',
        },
        minutes: 5 * lines.length,
      },
    ],
    parts: { folded: lineParts(line, lines, face, w, deepest), flat: [] },
    advice: [...curl(over, w, columns, fabric), ...slim(wants, fabric, lines.length, context)],
    areas: lines.map((at) => ({
      face: 'front' as const,
      x: [(at - 1) * w, at * w] as const,
      y: [face.height - deepest, face.height] as const,
    })),
    rooms: channels.map(({ name, columns: count }, index) => ({
      name,
      inside: ({ w, t }) => 2 * (count - lost[index]!) * w - Math.PI * t,
      holds: wants[index]!.girth,
      give: context.fit.definition.useAtNarrowest * context.fabric.stitch.factors.stretchAcross,
    })),
    notions: [{ name: 'stitch marker', count: lines.length }],
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

/** The lines as work: sewn between columns, or a row of slip stitches on the fabric along one. */
function lineWork(line: Line, lines: readonly number[], columns: number, deep: number, fabric: WorkedFabric): Work[] {
  if (line.id === 'sewn') {
    return [
      {
        do: 'sew',
        id: 'dividers',
        layers: 'both',
        mm: 2 * lines.length * deep,
        lines: { between: lines, of: columns, mm: deep, high: deep },
        says: `backstitch ${plural(lines.length, 'line')} through all layers, ${lines.length > 1 ? 'each ' : ''}{mm:${formatNumber(deep)}} long, from the bottom up to the opening: {columns}. Go over the top end of each twice.`,
      },
    ];
  }
  const rows = Math.max(1, Math.round(deep / fabric.rowHeight.value));
  return lines.map((at, index) => ({
    do: 'free',
    id: `divider-${index + 1}`,
    lead: '',
    line: { number: index + 1, column: at, of: columns, mm: deep },
    from: { at: 'line', line: 'the bottom' },
    courses: [[work('slip', rows, 'row')]],
    layers: 'both',
    times: 1,
    tails: 0,
  }));
}

/** A line sewn across a channel, so that it is less deep than the pocket. */
function shallowWork({ options, path }: FittingContext, channels: readonly Channel[], most: number): Work[] {
  if (options.shallow === undefined) return [];
  const index = Number(options.shallow) - 1;
  const channel = channels[index];
  if (!channel)
    return refuse(
      `${path}.shallow`,
      `There is no channel ${index + 1}: there are ${channels.length}. Choose one from 1 to ${channels.length}.`,
    );
  const deep = Number(options.shallowMm);
  if (deep >= most)
    return refuse(
      `${path}.shallowMm`,
      `${typedToken(deep)} is no shallower than the pocket (${mmToken(most)}). Make it less than ${mostToken(most)}.`,
    );
  return [
    {
      do: 'sew',
      id: 'shallow',
      layers: 'both',
      mm: 2 * channel.mm,
      at: [{ on: 'front', below: deep, of: { wide: channel.mm, high: most } }],
      says: `backstitch across channel ${index + 1} (${channel.name}), {at}, through both layers.`,
    },
  ];
}

function lineParts(line: Line, lines: readonly number[], face: Face, w: number, deep: number): Part[] {
  // an edging lies outside the columns
  const left = face.x + (face.width - face.stitches * w) / 2;
  return lines.map((at) => {
    const x = left + (line.id === 'crocheted' ? at - 0.5 : at) * w;
    const bottom = face.y + face.height;
    const where = line.id === 'crocheted' ? `stitch ${at}` : `after stitch ${at}`;
    return { type: 'line', kind: 'seam', x1: x, y1: bottom, x2: x, y2: bottom - deep, label: `divider, ${where}` };
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
      text: `The channels need ${plural(-over, 'stitch', 'stitches')} (${mmToken(-over * w)}) more than the front has: the case curls.`,
      repair: `Use ${enough} stitches.`,
      at: 'picks.width',
      change: { 'picks.width': enough },
    },
  ];
}

/** Slim tips in narrow channels want a close fabric; said once by the fabric itself, here for the line's sake. */
function slim(
  wants: readonly PocketWant[],
  fabric: WorkedFabric,
  lines: number,
  { path, options }: FittingContext,
): Advice[] {
  const shortest = Math.min(...wants.map(({ height }) => height));
  const longest = Math.max(...wants.map(({ height }) => height));
  if (lines === 0 || options.shallow !== undefined || shortest > 0.6 * longest || fabric.stitch.gap > 0.5) return [];
  return [
    {
      id: 'short-tool-sinks',
      severity: 'advice',
      text: `The shortest tool (${mmToken(shortest)}) sinks in a pocket made for the longest (${mmToken(longest)}).`,
      repair: 'Sew across its channel, so that it is only as deep as that tool needs.',
      at: `${path}.shallow`,
      change: {
        [`${path}.shallow`]: wants.findIndex(({ height }) => height === shortest) + 1,
        [`${path}.shallowMm`]: Math.round(depthFor(shortest).value),
      },
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
  figures: (key) => capital(key),
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
    { key: 'line', kind: 'choice', label: 'Lines between', options: LINES, default: 'sewn' },
    {
      key: 'shallow',
      kind: 'number',
      label: 'Channel to make shallower',
      help: 'From the left, 1 is the first. Left empty: all as deep as the pocket.',
      unit: '',
      whole: true,
      min: 1,
      max: 24,
      optional: true,
    },
    {
      key: 'shallowMm',
      kind: 'length',
      label: 'That channel only so deep',
      min: 10,
      max: 400,
      default: 60,
    },
  ],
  demands: (context) => {
    const columns = columnsForChannels(context);
    return {
      face: faceOf(columns, context),
      conditions: [
        atLeast(
          columns.value * (context.fabric.worked === 'rounds' ? 2 : 1),
          `for ${plural(wantsOf(context).length, 'channel')}`,
        ),
      ],
    };
  },
  place,
};
