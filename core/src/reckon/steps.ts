import { coloursOf, tailsDone } from './supplies';
import { RIM } from '../fittings';
import { pieceEnd } from '../shapes/common/joins';
import { inOrder, pieceSteps, workSteps, type GoesIn, type Schools, type Step } from '../pattern';
import { tailOf, tailsHanging, walk, nth, withOwnYarn, withTails, type Sewing, type Walked, type Work } from '../piece';
import type { Plan } from '../plan/plan';
import type { Piece, WorkStep } from '../shapes';
import type { WorkedOut } from './types';
import { endsIn, inLoopColours, type EndsIn } from './loopColours';

const WEAVE_IN: WorkStep = {
  id: 'weave-in',
  section: 'finishing',
  kind: 'finish',
  does: [{ do: 'weave-in', pieces: 'all' }],
};

/** The shape's own pieces and those made for its fittings. */
export function allPieces({ built, placed }: Pick<WorkedOut, 'built' | 'placed'>): Piece[] {
  return [...built.pieces, ...placed.flatMap(({ pieces }) => pieces ?? [])];
}

/** All that is done beside the rows, in an order that leaves nothing sewn shut. */
export function stepsAfter({ built, placed, spec }: Pick<WorkedOut, 'built' | 'placed' | 'spec'>): readonly WorkStep[] {
  const small = placed.flatMap(({ pieces = [] }) => pieces).filter(({ foundation }) => foundation.kind === 'chain');
  const fitted = placed.flatMap(({ steps }) => steps);
  const onward = [0, 1, 2].flatMap((turn) => fitted.filter((step) => step.goesOn && turnOf(step) === turn));
  const assembly = built.assembly.flatMap((step) => (cuts(step) ? [...onward, step] : [step]));
  const steps = [...assembly, ...small.flatMap(pieceEnd), ...fitted.filter(({ goesOn }) => !goesOn), WEAVE_IN];
  const pieces = allPieces({ built, placed });
  const sewn = sewnAsLeft(distinct(steps), pieces);
  return inLoopColours(inOrder(tailsLeft(onLines(sewn), pieces)), pieces, spec);
}

/** On pieces that are begun each seam is sewn with the tail that hangs there, or with yarn of its own where that is too short. */
function sewnAsLeft(steps: readonly WorkStep[], pieces: readonly Piece[]): readonly WorkStep[] {
  if (pieces.every(({ leftMm }) => leftMm === undefined)) return steps;
  return steps.map((step) =>
    step.does ? { ...step, does: step.does.map((work) => withOwnYarn(work, pieces)) } : step,
  );
}

/** Two fittings may do alike, each by itself: a step, and what is sewn in it, has a name of its own to be ticked by. */
function distinct(steps: readonly WorkStep[]): readonly WorkStep[] {
  const seen = new Map<string, number>();
  return steps.map((step) => {
    const count = (seen.get(step.id) ?? 0) + 1;
    seen.set(step.id, count);
    if (count === 1) return step;
    const does = step.does?.map((work): Work =>
      work.do === 'sew' || work.do === 'free' ? { ...work, id: nth(work.id, count) } : work,
    );
    return { ...step, id: `${step.id}-${count}`, ...(does ? { does } : {}) };
  });
}

/** Where lines are sewn through both layers, what is sewn to the front comes after them, through that layer alone. */
function onLines(steps: readonly WorkStep[]): readonly WorkStep[] {
  const isLine = (work: Work) => (work.do === 'sew' || work.do === 'free') && work.layers === 'both';
  const lines = steps.filter(({ does = [] }) => does.some(isLine)).map(({ id }) => id);
  if (lines.length === 0) return steps;
  const isSewn = (work: Work): work is Sewing => work.do === 'sew' && work.open === true && work.what !== undefined;
  return steps.map((step) => {
    if (!step.does?.some(isSewn)) return step;
    const does = step.does.map((work): Work => {
      if (!isSewn(work)) return work;
      const { open: _open, says, ...sewing } = work;
      return {
        ...sewing,
        layers: 'front',
        says: `${says} Slip a card inside, so that no stitch goes through to the other side.`,
      };
    });
    return { ...step, does, follows: [...(step.follows ?? []), ...lines] };
  });
}

/** What goes on from a last round: an edging first, then loops upon it, then a tie from there. */
function turnOf({ does = [] }: WorkStep): number {
  const [first] = does;
  if (first?.do !== 'border') return 2;
  return first.id === RIM ? 0 : 1;
}

/** Whether a step cuts the yarn of a piece. */
const cuts = ({ after, does = [] }: WorkStep): boolean => after !== undefined && does[0]?.do === 'fasten-off';

/** Where something is sewn with the tail of a piece, that tail is left long enough. */
function tailsLeft(steps: readonly WorkStep[], pieces: readonly Piece[]): readonly WorkStep[] {
  const asked = tailsHanging(worksIn(steps), pieces);
  if (asked.size === 0) return steps;
  const cutOff = new Set<string>();
  return steps.map((step) => {
    const { does, after } = step;
    if (!does || after === undefined) return step;
    const others = does.some((work) => work.do === 'again');
    // what is worked on it anew has a tail of its own
    if (cutOff.has(after) && !others) return step;
    if (does.some((work) => work.do === 'fasten-off')) cutOff.add(after);
    const cut = asked.get(tailOf(after, 'end'));
    const check = cut === undefined ? undefined : { check: tailCheck(cut) };
    return { ...step, does: withTails(does, asked, after), ...check };
  });
}

/** Before yarn is cut (handbook 8). */
const tailCheck = (mm: number) => ({
  look: `Before you cut: is the tail at least {cut:${mm}} long?`,
  repair: 'Pull more yarn from the ball. What is cut too short is sewn with yarn of its own.',
  before: true as const,
});

const worksIn = (steps: readonly WorkStep[]): Work[] => steps.flatMap(({ does }) => does ?? []);

/** What belongs to a piece and is done before the next is begun. */
const afterPiece = (after: readonly WorkStep[], id: string) => after.filter((step) => step.after === id);

/** What is done when all pieces are there. */
const afterAll = (after: readonly WorkStep[]) => after.filter((step) => step.after === undefined);

/** All that the hands do, in the order they do it: each piece with what is worked on it, then what joins them. */
export function workOf(out: Pick<WorkedOut, 'built' | 'placed' | 'spec'>, after = stepsAfter(out)): Work[] {
  const pieces = allPieces(out);
  const asked = tailsHanging(worksIn(after), pieces);
  const ends = endsIn(pieces, after, out.spec);
  return [
    ...pieces.flatMap(({ id }): Work[] => [
      ...withTails([made(id, ends)], asked, id),
      ...worksIn(afterPiece(after, id)),
    ]),
    ...worksIn(afterAll(after)),
  ];
}

function made(piece: string, ends: EndsIn): Work {
  const colour = ends(piece);
  return colour === undefined ? { do: 'make', piece } : { do: 'make', piece, endsIn: colour };
}

/** The work as it was walked, by its data. */
export function walkedWork(
  out: Pick<WorkedOut, 'built' | 'placed' | 'spec'>,
  after: readonly WorkStep[],
): Map<Work, Walked> {
  const told = new Map<Work, Walked>();
  walk(workOf(out, after), allPieces(out), (walked) => told.set(walked.work, walked));
  return told;
}

/** Every step of a plan in order, as it is told: each piece’s rows with what is worked on it, then what joins them. */
export function allSteps(
  pieces: readonly Piece[],
  after: readonly WorkStep[],
  schools: Schools,
  told: ReadonlyMap<Work, Walked>,
  spec: Plan['fabric'],
  goesIn: GoesIn,
): Step[] {
  const steps: Step[] = [];
  const asked = tailsHanging(worksIn(after), pieces);
  for (const piece of pieces) {
    const colourOf = coloursOf(piece, spec);
    const tail = asked.get(tailOf(piece.id, 'start'));
    const { atChange } = tailsDone(spec);
    for (const step of pieceSteps(piece, schools, pieces.length > 1, colourOf, tail, atChange, goesIn))
      steps.push(step);
    const onIt = workSteps(afterPiece(after, piece.id), piece.id, schools, told);
    for (const step of onIt) {
      // what ends a piece is told where its rows end, not among what joins it
      const { pieceName, section } = steps.at(-1)!;
      steps.push({ ...step, pieceName, section: step.section === 'joining' ? section : step.section });
    }
  }
  for (const step of workSteps(afterAll(after), pieces[0]!.id, schools, told)) steps.push(step);
  return steps;
}
