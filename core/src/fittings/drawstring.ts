import { EVEN, type CountCondition } from '../counts';
import { repeat, work } from '../fabric';
import { chosen, derive, prior, type Figure } from '../figure';
import { formatNumber, plural } from '../units';
import { type FittingContext, type FittingDefinition, type Placed } from './definition';
import { chainsFor, chainYarn, withStitches, refuse, refuseOpen } from './common';

/** So much cord hangs out at each end, mm (prior, handbook 6). */
const END_MM = 120;

/** Cut length of a twisted pair against its finished length (prior, handbook 6). */
const TWIST = 2 * 1.35;

const span = (options: Record<string, unknown>): number => Number(options.between) + Number(options.hole);

/** An even number of holes, so that both ends come out together (handbook 6). */
function evenHoles(columns: number): CountCondition {
  return {
    id: 'even-holes',
    text: `an even number of holes, ${columns} stitches each`,
    allows: (count) => count % (2 * columns) === 0,
  };
}

function place({ built, fabric, options, path }: FittingContext): Placed {
  refuseOpen(fabric, 'An eyelet round', path);
  const mouth = built.mouth!;
  const [between, hole] = [Number(options.between), Number(options.hole)];
  const columns = span(options);
  const holes = Math.floor(mouth.stitches / columns);
  if (mouth.to - mouth.from < 3)
    refuse(
      `${path}.kind`,
      `A wall of ${plural(mouth.to - mouth.from + 1, 'round')} is too low for an eyelet round. It needs 4 or more: make it higher.`,
    );
  if (holes < 2)
    refuse(
      `${path}.between`,
      `${plural(mouth.stitches, 'stitch', 'stitches')} round leave fewer than two holes of ${columns}. Set them closer.`,
    );
  const rest = mouth.stitches - holes * columns;
  const piece = built.pieces.find(({ id }) => id === mouth.piece)!;
  const stitch = fabric.stitch.base;
  const row = mouth.to - 2;
  const open = withStitches(piece.courses[row - 1]!, [
    ...repeat(
      [
        work(stitch, between),
        { do: 'chain', chains: hole, spans: hole, as: 'chains' },
        { do: 'skip', times: hole, into: 'stitch' },
      ],
      holes,
    ),
    ...(rest > 0 ? [work(stitch, rest)] : []),
  ]);
  const filled = withStitches(piece.courses[row]!, [
    ...repeat([work(stitch, between), work(stitch, hole, 'chain')], holes),
    ...(rest > 0 ? [work(stitch, rest)] : []),
  ]);
  const n = chosen(mouth.stitches, 'stitches', 'round the mouth');
  const cords = options.cords === 'two' ? 2 : 1;
  const length = derive(
    'mm',
    'cord = mouth girth + 2 × 120 mm',
    { n, w: fabric.stitchWidth, ends: prior(END_MM, 'mm', 0, 'hanging out at each end') },
    (v) => v.n * v.w + 2 * v.ends,
  );
  const cord = cordMade(String(options.cord), length, fabric.chain, cords);
  const y = 2.5 * fabric.rowHeight.value;
  const w = fabric.stitchWidth.value;
  const seen = Array.from(
    { length: Math.floor(holes / 2) },
    (_, index) => [(index * columns + between + hole / 2) * w, y] as const,
  );
  return {
    figures: { holes: chosen(holes, 'stitches', 'holes round the mouth'), length, ...cord.figures },
    place: `round ${row}: ${plural(holes, 'hole')}, ${plural(between, 'stitch', 'stitches')} between; ${plural(cords, 'cord')} of {mm:${formatNumber(length.value)}}`,
    rows: [
      { piece: piece.id, row, instructions: open },
      { piece: piece.id, row: row + 1, instructions: filled },
    ],
    steps: [
      {
        id: 'thread-cord',
        section: 'closing',
        kind: 'closure',
        phase: 'mouth',
        text: `${cord.text} Thread it in and out through the holes of round ${row}${cords === 2 ? ', the second from the opposite side' : ', so that both ends come out together'}, and knot the ends.${options.toggle === 'yes' ? ' Slide the toggle over both ends before knotting.' : ''}`,
        check: {
          look: 'Does the mouth draw shut, and open again?',
          repair: 'Set the holes further apart, or use a smoother cord.',
        },
        reaches: ['the mouth'],
        minutes: 8,
      },
    ],
    parts: { folded: [{ type: 'dots', points: seen, diameter: Math.max(3, hole * w * 0.7), label: 'eyelets' }] },
    advice: [],
    areas: [
      { face: 'front', x: [0, (mouth.stitches / 2) * w], y: [fabric.rowHeight.value, 3 * fabric.rowHeight.value] },
    ],
    notions:
      options.toggle === 'yes'
        ? [{ name: 'toggle', size: `hole ${formatNumber(2 * cords * cord.thick)} mm`, count: cords }]
        : [],
    yarnMm: cord.yarnMm,
  };
}

interface Cord {
  figures: Record<string, Figure>;
  text: string;
  yarnMm: number;
  /** mm. */
  thick: number;
}

function cordMade(kind: string, length: Figure<'mm'>, wc: Figure<'mm'>, cords: number): Cord {
  const many = cords === 2 ? ' Make two.' : '';
  if (kind === 'twisted') {
    const cut = derive('mm', 'cut = 2 × 1.35 × finished, of each pair', { length }, (v) => TWIST * v.length);
    return {
      figures: { cut },
      text: `Cut a pair of strands {mm:${formatNumber(cut.value)}} long, twist hard, fold and let them wind.${many}`,
      yarnMm: 2 * cut.value * cords,
      thick: 0.6 * wc.value,
    };
  }
  const { chains, made } = chainsFor(length, wc);
  return {
    figures: { chains },
    text: `Chain ${chains.value} for the cord. Fasten off.${many}`,
    yarnMm: chainYarn(made.value) * cords,
    thick: 0.5 * wc.value,
  };
}

export const drawstring: FittingDefinition = {
  id: 'drawstring',
  name: 'Drawstring',
  summary: 'An eyelet round near the top and a cord through it.',
  asks: ['round-mouth'],
  because: 'It runs through an eyelet round.',
  gives: 'cord',
  hazards: ['cord'],
  figures: { holes: 'Holes', length: 'Length', cut: 'Cut length', chains: 'Chains' },
  options: [
    {
      key: 'between',
      kind: 'number',
      label: 'Stitches between holes',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 12,
      default: 3,
    },
    {
      key: 'hole',
      kind: 'number',
      label: 'Chains over a hole',
      unit: 'chains',
      whole: true,
      min: 1,
      max: 4,
      default: 1,
    },
    {
      key: 'cord',
      kind: 'choice',
      label: 'Cord',
      options: [
        { id: 'chain', name: 'a chain' },
        { id: 'twisted', name: 'a twisted cord' },
      ],
      default: 'chain',
    },
    {
      key: 'cords',
      kind: 'choice',
      label: 'How it draws',
      options: [
        { id: 'one', name: 'one cord' },
        { id: 'two', name: 'two, from opposite sides' },
      ],
      default: 'one',
    },
    {
      key: 'toggle',
      kind: 'choice',
      label: 'Toggle',
      options: [
        { id: 'no', name: 'none' },
        { id: 'yes', name: 'one on each cord' },
      ],
      default: 'no',
    },
  ],
  demands: ({ options }) => ({ conditions: [EVEN, evenHoles(span(options))] }),
  place,
};
