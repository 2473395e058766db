import {
  byColour,
  lastingColours,
  notionsOf,
  tallyPieces,
  tallyWork,
  tailMinutes,
  workYarn,
  workingTime,
  yarnNeed,
  yarnShares,
} from './index';
import type { WorkedFabric } from '../../craft/fabric';
import type { Notion } from '../../fittings';
import { markersIn } from '../../shapes/common/markers';
import type { Schools } from '../../pattern';
import { bandsOf, type Walked, type Work } from '../../piece';
import type { Plan } from '../../plan/plan';
import type { Piece, WorkStep } from '../../shapes';
import { formatNumber, wordLengths } from '../../base/units';
import type { WorkedOut, Worked } from '../types';
import { allPieces, walkedWork } from '../steps';

/** Yarn, time and stitches of a plan worked out. */
export function suppliesOf(
  plan: Plan,
  out: WorkedOut,
  after: readonly WorkStep[],
  told: ReadonlyMap<Work, Walked> = walkedWork(out, after),
): Worked['supplies'] {
  const pieces = allPieces(out);
  const { placed, fabric, schools } = out;
  const borders = { fabric: fabric.also('single', fabric.worked), colour: undefined, tally: tallyWork(told.values()) };
  const tallies = [...tallyPieces(pieces), borders];
  const yarn = yarnNeed(plan.fabric, tallies, pieces, after);
  const besides = colouredWork(plan, fabric, told);
  const needs = byColour(plan.fabric, pieces, yarn.metres.value, yarn.grams.value, besides);
  const colours = lastingColours(needs, plan.fabric, plan.palette ?? {}, yarn.grams);
  const lasting = colours.flatMap(({ enough }) => enough ?? []);
  const reaches = colours.flatMap(({ reach }) => reach ?? []);
  return {
    // of several colours it lasts as well as the scarcest
    yarn: lasting.length > 0 ? { ...yarn, enough: Math.min(...lasting), reach: Math.min(...reaches) } : yarn,
    byYarn: yarnShares(plan.fabric, yarn.metres.value),
    byColour: colours,
    time: workingTime(plan.fabric, tallies, after, tailMinutes(plan.fabric, pieces)),
    notions: notionsOf(plan.fabric, fabric, [
      ...pieces.flatMap((piece) => [...markersOf(piece.notes, piece.times), ...hooksOf(piece)]),
      ...after.flatMap(({ notions }) => notions ?? []),
      ...placed.flatMap(({ notions }) => notions ?? []),
    ]).map((notion) => sized(notion, schools)),
    stitches: tallies.reduce((all, { tally }) => all + Object.values(tally).reduce((sum, count) => sum + count, 0), 0),
  };
}

/** What borders, ties and the like take that say a colour of their own: those begun in it have its tails. */
function colouredWork(
  { fabric: spec }: Plan,
  fabric: WorkedFabric,
  told: ReadonlyMap<Work, Walked>,
): { colour: string; metres: number }[] {
  const plain = fabric.also('single', fabric.worked);
  let before: Work['do'] | undefined;
  return [...told.values()].flatMap((walked) => {
    const { work } = walked;
    const begun = before === 'change' || (work.do === 'free' && !work.onward);
    before = work.do;
    if (!('colour' in work) || !work.colour) return [];
    return [{ colour: work.colour, metres: workYarn(spec, walked, plain, begun) }];
  });
}

const sized = (notion: Notion, { units }: Schools): Notion =>
  notion.size === undefined ? notion : { ...notion, size: wordLengths(notion.size, units) };

/** The markers that hang in a piece while it is worked. */
function markersOf(notes: Readonly<Record<number, string>>, times: number): Notion[] {
  const count = markersIn(notes) * times;
  return count > 0 ? [{ name: 'stitch marker', count }] : [];
}

/** Hooks for bands that are worked on others. */
function hooksOf(piece: Piece): Notion[] {
  const sizes = new Set(bandsOf(piece).flatMap(({ hookMm }) => hookMm ?? []));
  return [...sizes].map((hookMm) => ({ name: 'hook for a band', size: `${formatNumber(hookMm, 2)} mm`, count: 1 }));
}
