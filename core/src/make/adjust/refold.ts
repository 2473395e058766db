import { attempted } from '../../base/figure';
import { applyChange } from '../../plan/change';
import type { Plan } from '../../plan/plan';
import { workOut } from '../../reckon/build';
import { chanceInputs } from '../../reckon/chanceInputs';
import type { WorkedOut } from '../../reckon/types';
import { shapeDefinition } from '../../shapes';
import { chanceOfFit } from '../../craft/fit';
import { seedOf } from '../../reckon/chance';
import type { KeptEvent } from '../log';
import { allPieces } from '../../reckon/steps';
import { begunOf } from './begunOf';
import { hereOf, leftBefore, readAgainst } from './here';
import { WORTH_IT } from './mend';
import { withMeasures } from './measures';

/** A strip folded at a place: where, and what comes of it. All mm but the counts. */
export interface Folded {
  /** Rows or stitches of the front, and of the flap; 0 where there is none. */
  front: number;
  flap: number;
  /** After which the flap is laid over; all of them where there is none. */
  over: number;
  /** How deep the pocket is inside, and how far the front reaches above the thing; below 0 it stands out. */
  depth: number;
  above: number;
  /** How far the flap comes down over the front; nothing where there is none. */
  reach: number | null;
  chance: number;
  plan: Plan;
}

/** All the places a strip that is worked may be folded at, and which of them it is at now. */
export interface Refolding {
  /** What is counted along the strip. */
  counted: 'rows' | 'stitches';
  now: number;
  places: readonly Folded[];
  /** Of them the one that fits most often. */
  best: number;
}

/** Folded so much farther from where it was planned it is another cover (ours), rows or stitches. */
const FAR = 8;

/** Draws for each place: enough to tell one from the next. */
const DRAWS = 600;

/**
 * Where a strip whose rows are all worked may be folded, with what each place gives: pocket, fold and flap are free until a side
 * is joined, and nothing is pulled out for it (handbook 8, choice 6).
 *
 * @param plan the plan the make was begun with
 * @param events all that happened to the make
 * @returns nothing where rows are still to come, something is joined, or the shape has no folds
 * @source handbook 6 (laid round the thing and chosen again) and 8
 */
export function refolding(plan: Plan, events: readonly KeptEvent[]): Refolding | undefined {
  const here = hereOf(plan, events);
  const { followed, before: out, standing } = here;
  const { foldedBy } = shapeDefinition(followed.shape.kind)!;
  const [piece] = out.built.pieces;
  if (!foldedBy || standing.courses.get(piece!.id) !== piece!.rows) return undefined;
  if (standing.others.some(({ section }) => section === 'joining')) return undefined;
  // what is worked stays on the counts it is on
  const begun = begunOf(allPieces(out), standing.courses, here.measures, followed.begun, leftBefore(here));
  const measured = { ...withMeasures(followed, readAgainst(here), here.measures), begun };
  const now = countOf(out, foldedBy);
  const rows = foldedBy === 'rows' ? { 'shape.allRows': piece!.rows } : {};
  const places = Array.from({ length: 2 * FAR + 1 }, (_, index) => now + index - FAR).flatMap((front) => {
    const next = applyChange(measured, { 'shape.frontRows': front, ...rows });
    const folded = front > 0 ? attempted(() => workOut(next)) : undefined;
    if (!folded || !isThere(folded, front, out, foldedBy)) return [];
    return [
      placeOf(folded, front, applyChange({ ...followed, begun }, { 'shape.frontRows': front, ...rows }), foldedBy),
    ];
  });
  if (places.length < 2) return undefined;
  const best = places.reduce((most, one) => (one.chance > most.chance + 1e-9 ? one : most));
  const planned = places.find(({ front }) => front === now);
  // nobody moves a fold for less
  const gains = !planned || best.chance >= planned.chance + WORTH_IT;
  return { counted: foldedBy, now, places, best: gains ? best.front : now };
}

const countOf = ({ built }: WorkedOut, counted: 'rows' | 'stitches'): number => built.pieces[0]!.sections[0]![counted];

/** Whether what is worked stays as long as it is, and it is folded where it was to be. */
function isThere(folded: WorkedOut, front: number, { built }: WorkedOut, counted: 'rows' | 'stitches'): boolean {
  const [now, then] = [built.pieces[0]!, folded.built.pieces[0]!];
  return then.rows === now.rows && then.stitches === now.stitches && countOf(folded, counted) === front;
}

function placeOf(out: WorkedOut, front: number, plan: Plan, counted: 'rows' | 'stitches'): Folded {
  const { built, thing } = out;
  const [piece] = built.pieces;
  const flap = piece!.sections.find(({ name }) => name === 'flap')?.[counted] ?? 0;
  return {
    front,
    flap,
    over: piece![counted] - flap,
    depth: built.inside.depth.value,
    above: built.inside.depth.value - thing.height.value,
    reach: built.flap ? built.flap.edgeBelowFrontTop.value : null,
    chance: chanceOfFit(chanceInputs(out), seedOf(plan), DRAWS).share,
    plan,
  };
}
