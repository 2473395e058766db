import { chanceInputs } from './chanceInputs';
import { chanceOfFit, DRAWS, drawnFor, tallyWithFirst, whatHelps, type Help, type Tally } from '../craft/fit';
import { isMisfit, whatWouldFit } from './misfit';
import type { Plan } from '../plan/plan';
import type { WorkedOut } from './types';
import { workOut } from './build';

const CHANCE_FORMAT = 'keep-snug.chance/1';

/** How sure it is that a plan's piece fits. */
export interface Chance extends Tally {
  format: typeof CHANCE_FORMAT;
  seed: number;
  /** What would help most, the most helpful first. */
  helps: Help[];
}

/**
 * The chance that the finished piece fits, with the ways it fails and what would help most. Seeded by the plan itself,
 * so that the same plan shows the same figure (handbook 3).
 *
 * @param plan a plan whose form has been checked
 * @param draws 20,000 unless fewer will do
 * @throws PlanProblem as reckon does
 */
export function chance(plan: Plan, draws = DRAWS): Chance {
  const out = workOut(plan);
  const inputs = chanceInputs(out);
  const seed = seedOf(plan);
  const drawn = drawnFor(inputs, seed, draws);
  const tallies = tallyWithFirst(inputs, drawn, HELP_DRAWS);
  const tally = tallies.all;
  const helps = [...whatHelps(inputs, drawn, tallies), ...changesThatHelp(plan, out, tally.share)];
  return { format: CHANCE_FORMAT, seed, ...tally, helps: helps.sort((a, b) => b.share - a.share) };
}

/** A remedy is asked of so many draws, and told by how many more of the same ones fit. */
const HELP_DRAWS = 8000;

/** Enough to tell one change from another. */
const CHANGE_DRAWS = 4000;

/** Where no whole count fits, what would change that, with the chance it would lead to (handbook 3: silence is a defect). */
function changesThatHelp(plan: Plan, out: WorkedOut, now: number): Help[] {
  if (!isMisfit(plan, out)) return [];
  return whatWouldFit(plan).flatMap(({ text, change, plan: next, out: then }): Help[] => {
    const { share } = chanceOfFit(chanceInputs(then), seedOf(next), CHANGE_DRAWS);
    return share > now ? [{ id: 'change-plan', text, change, share, of: 0, minutes: 0 }] : [];
  });
}

/** A seed from what a plan says, whatever it is called, however it is read and its colours look, and whatever else there is in the house: FNV-1a, 32 bits, over its JSON. */
export function seedOf({ title: _title, schools: _schools, palette: _looks, atHand: _has, ...rest }: Plan): number {
  const text = JSON.stringify(rest);
  let hash = 0x811c9dc5;
  for (let index = 0; index < text.length; index += 1) {
    hash ^= text.charCodeAt(index);
    hash = Math.imul(hash, 0x01000193);
  }
  return hash >>> 0;
}
