import type { WorkedFabric } from '../../craft/fabric';
import { chosen, derive, type Figure } from '../../base/figure';
import { plural } from '../../base/units';
import { MARK_FIRST_STITCH, MARK_FOLDS } from '../common/markers';
import { roundPiece, type RoundRun } from '../common/roundPiece';
import type { Built, Course, Piece, ShapeContext } from '../definition';
import { closingRow, firstPocket, hungPocket, spanCourses, type SpanCourses } from './courses';
import type { SaddlePocket, SaddleSizes } from './sizes';

type Mm = Figure<'mm'>;

/** The whole of it as one piece, run by run in the order it is worked. */
export function pieceOf(
  context: ShapeContext,
  sizes: SaddleSizes,
  n: Figure<'stitches'>,
  width: Mm,
  height: Mm,
): Piece {
  const { fabric, schools } = context;
  const { half, front, behind, spanRows, rows, span, tab } = sizes;
  const { skipped } = front.bands[0]!.fabric.stitch.foundation(false);
  const over = spanCourses(spanRows, half, tab);
  const pocket = ({ name, bands, wanted }: SaddlePocket, courses: RoundRun['courses']): RoundRun => ({
    name,
    courses,
    fabric,
    bands,
    wanted,
  });
  const runs: RoundRun[] = [
    pocket(front, firstPocket(front.bands, half, schools, front.name)),
    { name: 'span', courses: over.before, fabric: rows, wanted: beside(span, rows, over) },
    { name: 'tab', courses: over.tabs, fabric: rows, wanted: high(over.tabs, rows, 'rows of the tabs') },
    { name: 'span', courses: over.after, fabric: rows, wanted: high(over.after, rows, 'rows below the tabs') },
    ...behind.flatMap((one): RoundRun[] => [
      pocket(one, hungPocket(one.bands, half, schools, one.name)),
      { name: 'bottom', courses: [closingRow(half)], fabric: rows, wanted: rows.rowHeight },
    ]),
  ];
  const s = derive('stitches', 's = n / 2', { n }, () => half);
  const chain = chosen(skipped, 'chains', 'skipped');
  const hung = behind
    .map(({ rounds }) => `chain ${half}, ${plural(rounds, 'round')} of ${2 * half}, closed`)
    .join('; ');
  const piece = roundPiece({
    id: 'body',
    name: 'Caddy',
    foundation: { kind: 'chain-both-sides', count: half + skipped, edge: 'closed' },
    foundationFigure: derive('chains', 'chain = s + skipped', { s, skipped: chain }, (v) => v.s + v.skipped),
    stitches: n,
    runs,
    main: fabric,
    width,
    height,
    summary: `Chain ${half + skipped}, worked along both sides: ${2 * half} stitches, ${plural(front.rounds, 'round')}; ${plural(spanRows, 'row')} of ${half}; ${hung}`,
    notes: notesOf(sizes),
  });
  return { ...piece, lips: lipsOf(sizes).map(({ name, kind }) => ({ name, kind, count: half })) };
}

/** The free edge of each pocket: the stitches left unworked at the first one’s mouth, the chains of the others. */
function lipsOf({ front, behind }: SaddleSizes): { name: string; kind: 'stitch' | 'chain'; of: string }[] {
  return [
    { name: 'lip-front', kind: 'stitch', of: front.name },
    ...behind.map(({ name }, index) => ({ name: `lip-behind-${index + 1}`, kind: 'chain' as const, of: name })),
  ];
}

/** The way along each of them, for what edges a pocket. */
export function saddleLips({ id }: Piece, sizes: SaddleSizes): ReturnType<NonNullable<Built['lips']>> {
  const { half } = sizes;
  return lipsOf(sizes).map(({ name, of }) => ({
    path: [
      {
        spans: [{ piece: id, edge: name, from: 1, to: half }],
        stitches: half,
        lies: { line: `the opening of the ${of}` },
        between: [
          { at: 'end', line: `the free edge of the ${of}`, side: 'right' },
          { at: 'end', line: `the free edge of the ${of}`, side: 'left' },
        ],
      },
    ],
  }));
}

/** So many rows as they measure. */
const high = ({ length }: readonly Course[], { rowHeight: h }: WorkedFabric, name: string): Mm =>
  derive('mm', `${name} × h`, { rows: chosen(length, 'rows', name), h }, (v) => v.rows * v.h);

/** What of the way over the bar is neither tabs nor below them. */
function beside(span: Mm, fabric: WorkedFabric, { tabs, after }: SpanCourses): Mm {
  const rest = high([...tabs, ...after], fabric, 'rows from the tabs on');
  return derive('mm', 'span − what follows', { span, rest }, (v) => Math.max(0.1, v.span - v.rest));
}

/** What to do on reaching the end of some rounds: mark the folds, turn a tube through that hangs the wrong way out. */
function notesOf({ front, behind, spanRows, half }: SaddleSizes): Record<number, string> {
  const notes: Record<number, string> = {
    1: MARK_FIRST_STITCH,
    [front.rounds]: `${MARK_FOLDS}, ${half} stitches on. Continue over the first face alone, without turning.`,
  };
  let done = front.rounds + spanRows;
  for (const { rounds } of behind) {
    done += rounds;
    notes[done] = `${spanRows % 2 === 0 ? TURN_THROUGH : ''}${TO_THE_FOLD}`;
    done += 1;
  }
  return notes;
}

const TURN_THROUGH = 'Turn the pocket through its open bottom: it hangs on the outside, and its wrong side shows. ';

const TO_THE_FOLD = 'Work on to the fold at the beginning of the row above it, or pull out to it.';
