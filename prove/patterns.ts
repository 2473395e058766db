import fc from 'fast-check';
import { attempt, reckon, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { patternText, writtenPattern } from '@keep-snug/core/written';
import { FITTINGS } from '../core/src/fittings';
import { anyPlanWith } from '../core/src/fittings/fixtures/anyPlanWith';
import { SHAPES } from '../core/src/shapes';
import { anyPlanOf } from '../core/src/shapes/fixtures/anyPlan';
import { dice } from './otherCamera';
import type { Proof } from './proof';
import { readPattern } from './reader/read';

const PLANS = 5_000;
const SEED = 20_611;
/** One pattern of so many is read once more with a number of it changed: a reader that sees nothing would prove nothing. */
const MARRED_EVERY = 5;
/** So many of those are found out at the least. */
const FOUND_OUT = 0.9;

/** Plans of every shape and every fitting, in both languages and for both hands. */
function drawn(each: number): Plan[] {
  const draws = [...SHAPES.map(({ id }) => anyPlanOf(id)), ...FITTINGS.map(({ id }) => anyPlanWith(id))];
  return draws.flatMap((draw, at) =>
    fc.sample(draw, { numRuns: each, seed: SEED + at }).map((plan, index): Plan => ({
      ...plan,
      schools: {
        ...plan.schools,
        terms: index % 2 === 0 ? 'US' : 'UK',
        hand: index % 4 < 2 ? 'right' : 'left',
        units: index % 3 === 2 ? 'in' : 'mm',
      },
    })),
  );
}

/** Both voices of a plan as they are printed; nothing where it is refused. */
function printed(plan: Plan): string[] {
  const tried = attempt(() => reckon(plan));
  if (!tried.ok) return [];
  const { terms = 'US', units = 'mm' } = plan.schools ?? {};
  return (['full', 'short'] as const).map((voice) =>
    patternText(writtenPattern(plan, tried.value, { voice, terms, units })),
  );
}

const COURSE = /^((?:Row|Round|Rnd)s? [^:]*: )(.*)$/;
const COUNT = / \(\d+ (?:stitch|st|chain|ch|V|group)/;

/** The same with a number in one of its rows one higher; nothing where it has no rows to be marred. */
function marred(text: string, roll: () => number): string | undefined {
  const lines = text.split('\n');
  const rows = lines.flatMap((line, at) => (COURSE.test(line) && COUNT.test(line) ? [at] : []));
  const at = rows[Math.floor(roll() * rows.length)];
  if (at === undefined) return undefined;
  const [, label, body] = COURSE.exec(lines[at]!) as unknown as [string, string, string];
  const end = body.search(COUNT);
  const told = [...body.slice(0, end).matchAll(/(?<=next )\d+(?= (?:st|ch|stitch|chain))/g)];
  const one = told[Math.floor(roll() * told.length)];
  const from = one?.index ?? end + 2;
  lines[at] = label + body.slice(0, from) + body.slice(from).replace(/^\d+/, (number) => String(Number(number) + 1));
  return lines.join('\n');
}

/** Every printed pattern read by a reader that knows crochet and nothing of how it was written. */
export const patterns: Proof = {
  id: 'patterns',
  says: 'every printed line, in both voices and languages, is understood and can be worked as it says',
  run: async ({ share }) => {
    const each = Math.ceil((PLANS * share) / (SHAPES.length + FITTINGS.length));
    const plans = [...Object.values(TERN_POINT.plans), ...drawn(each)];
    const roll = dice(SEED);
    const sums = { lines: 0, texts: 0, marred: 0, foundOut: 0 };
    const faults = new Map<string, { times: number; first: string }>();
    for (const text of plans.flatMap(printed)) {
      const { lines, notUnderstood, refused } = readPattern(text);
      sums.lines += lines;
      sums.texts += 1;
      for (const fault of [...notUnderstood, ...refused]) {
        const kind = fault.split(' | ')[0]!.replace(/\d+/g, 'n');
        const known = faults.get(kind);
        faults.set(kind, { times: (known?.times ?? 0) + 1, first: known?.first ?? fault });
      }
      const wrong = sums.texts % MARRED_EVERY === 0 ? marred(text, roll) : undefined;
      if (wrong === undefined) continue;
      const again = readPattern(wrong);
      sums.marred += 1;
      if (again.refused.length + again.notUnderstood.length > refused.length + notUnderstood.length) sums.foundOut += 1;
    }
    if (faults.size > 0) {
      const worst = [...faults.values()].sort((a, b) => b.times - a.times).slice(0, 8);
      throw new Error(worst.map(({ times, first }) => `${times} x ${first}`).join('\n'));
    }
    if (sums.foundOut < FOUND_OUT * sums.marred)
      throw new Error(`of ${sums.marred} marred patterns only ${sums.foundOut} were found out`);
    return `${plans.length} plans, ${sums.texts} patterns, ${sums.lines} lines read, 0 not understood, 0 refused; of ${sums.marred} marred ones ${sums.foundOut} found out`;
  },
};
