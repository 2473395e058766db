import { chosen, derive, type Figure } from '../../base/figure';
import { panel } from '../../drawing';
import { plural, type Field, type FieldValue } from '../../base/units';
import { wayFor, type BorderStitch } from '../../piece';
import type { Built, Piece, ShapeContext, ShapeDefinition, WorkStep } from '../definition';
import { pieceEnd } from '../common/joins';
import { rowPiece } from '../common/rowPiece';
import { edgedFirst } from '../common/strip';
import { edgingAround } from '../common/stripWork';
import { alsoOf, sized } from '../common/sized';

const options: readonly Field[] = [
  { key: 'stitches', kind: 'number', label: 'Stitches', unit: 'stitches', whole: true, min: 6, max: 60, default: 20 },
  { key: 'rows', kind: 'number', label: 'Rows', unit: 'rows', whole: true, min: 4, max: 60, default: 12 },
  {
    key: 'edge',
    kind: 'choice',
    label: 'Edged all around in',
    options: [
      { id: 'none', name: 'nothing' },
      { id: 'single', name: '{single}' },
      { id: 'reverse', name: '{reverse}' },
      { id: 'slip', name: 'slip stitch' },
    ],
    default: 'none',
  },
];

/** The count nearest to what is asked that the stitch comes out even on (law, handbook 2.2). */
export function evenCount(asked: number, { repeat, edge }: { repeat: number; edge: number }): Figure<'stitches'> {
  const times = Math.max(1, Math.round((asked - edge) / repeat));
  return chosen(times * repeat + edge, 'stitches', `as the stitch comes out even, about ${asked}`);
}

/** A flat piece of so many stitches and rows, to learn a stitch by and to measure. */
function build(context: ShapeContext): Built {
  const { fabric, options: given } = context;
  const n = evenCount(Number(given.stitches), fabric.stitch.rows);
  const rows = chosen(Number(given.rows), 'rows', 'rows of the swatch');
  const [w, h, t] = [fabric.stitchWidth, fabric.rowHeight, fabric.thickness];
  const length = derive('mm', 'length = rows × h', { rows, h }, (v) => v.rows * v.h);
  const piece = rowPiece(
    { id: 'body', name: 'Swatch', fabric, stitches: n, lengths: [{ name: 'swatch', figure: length }], edge: 'free' },
    context,
  );
  const across = sized('width = n w', { n, w }, (v) => v.n * v.w);
  const high = sized('height = rows × h', { rows, h }, (v) => v.rows * v.h);
  const round = derive('mm', '2 width', { width: across.figure }, (v) => 2 * v.width);
  return {
    pieces: [piece],
    inside: { girth: round, depth: high.figure },
    outside: { width: across.figure, height: high.figure, thickness: t },
    choices: [],
    model: {
      girth: (sample) => 2 * across.of(sample),
      depth: high.of,
      stretch: fabric.stitch.factors.stretchAcross,
      also: alsoOf(across, high),
    },
    assembly: [...edged(piece, given.edge), ...pieceEnd({ id: piece.id, times: 1 }), MEASURED],
    advice: [],
    views: [
      {
        id: 'flat',
        name: 'Flat',
        width: across.figure.value,
        height: high.figure.value,
        parts: [
          panel({
            role: 'front',
            label: 'swatch',
            sub: plural(rows.value, 'row'),
            w: across.figure.value,
            h: high.figure.value,
            rows: rows.value,
            stitches: n.value,
          }),
        ],
        text: `Swatch: ${n.value} stitches, ${plural(rows.value, 'row')}.`,
      },
    ],
  };
}

/** Edged before it is fastened off, where an edging is what is practised. */
function edged(piece: Piece, edge: FieldValue | undefined): WorkStep[] {
  if (edge === undefined || edge === 'none') return [];
  const stitch = edge as BorderStitch;
  const around = edgingAround(piece, 1);
  return [edgedFirst(piece.id, { ...around, stitch, path: wayFor(around.path, stitch) })];
}

/** What a swatch is for. */
const MEASURED: WorkStep = {
  id: 'measure-swatch',
  section: 'finishing',
  kind: 'finish',
  text: 'Lay it flat and let it rest. Measure over as many stitches and rows as you can, two stitches away from every edge.',
  check: {
    look: 'Straight edges, the same count in every row?',
    repair: 'Look at the ends of the rows, and work those again that lost or gained a stitch.',
  },
};

/** A swatch to learn a stitch by: offered from the stitch itself, never for a thing. */
export const practice: ShapeDefinition = {
  id: 'practice',
  name: 'Practice swatch',
  summary: 'A flat swatch to learn a stitch by, and to measure.',
  why: 'Learning and measuring in one.',
  worked: 'rows',
  options,
  takes: { flat: true, round: true, rods: true, several: true, given: true },
  offers: [],
  build,
};
