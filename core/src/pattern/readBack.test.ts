import fc from 'fast-check';
import type { Instruction } from '../craft/fabric';
import { PlanProblem } from '../base/figure';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { anyWork } from '../piece/fixtures/anyWork';
import { anyPlanOf, reckonOrRefuse } from '../shapes/fixtures/anyPlan';
import { readRow, split } from './fixtures/readBack';
import { placesOf, refereeRow, type WorkedPlace } from './referee';
import type { Step } from './steps';

const ROWS = ['strip-across', 'strip-along', 'two-panels', 'layered', 'packet'] as const;

const anyInRows: fc.Arbitrary<Plan> = fc
  .constantFrom(...ROWS)
  .chain(anyPlanOf)
  .map((plan) => ({ ...plan, schools: { ...plan.schools, terms: 'US' } }));

/** What words leave open is told by what is below and by the next row: how far a loop of chains spans, how it is met. */
function resolved(given: readonly Instruction[], below: readonly WorkedPlace[], next: string): Instruction[] {
  const list = closed(given, below);
  const as = /next (\d+ )?chains?/.test(next) ? 'chains' : 'space';
  const wide = below.find(({ kind }) => kind === 'space')?.columns;
  return list.map((one, index): Instruction => {
    if (one.do === 'repeat') return { ...one, of: resolved(one.of, below, next) };
    // along its other side lie as many chains as were not skipped
    if (one.do === 'other-side')
      return { ...one, chains: below.length - (list[0]!.do === 'skip' ? list[0]!.times : 0) };
    const skip = list[index + 1];
    if (one.do === 'along-sides') return { ...one, rows: rowEndsIn(list) / 2 };
    if (one.do !== 'chain') return one;
    // upon loops each is as wide as the one below
    if (wide !== undefined) return { ...one, as, spans: wide };
    // where nothing is skipped it juts out beyond the row
    return { ...one, as, spans: skip?.do === 'skip' ? skip.times : one.chains };
  });
}

/** Row ends that are worked into or left out, on both sides. */
const rowEndsIn = (list: readonly Instruction[]): number =>
  list.reduce((sum, one) => {
    if (one.do === 'repeat') return sum + one.times * rowEndsIn(one.of);
    return 'into' in one && one.into === 'row-end' && 'times' in one ? sum + one.times : sum;
  }, 0);

/** The chain before the stitch that closes a last loop is half of that loop, which spans what was skipped under it. */
function closed(list: readonly Instruction[], below: readonly WorkedPlace[]): Instruction[] {
  const at = list.findIndex((one) => one.do === 'close-loop');
  if (at < 0) return [...list];
  const chain = list[at - 1]!.do === 'chain' ? 1 : 0;
  const skip = list[at - 1 - chain]!;
  const spans = below.find(({ kind }) => kind === 'space')?.columns ?? (skip.do === 'skip' ? skip.times : 0);
  return [...list.slice(0, at - chain), { ...list[at]!, spans } as Instruction, ...list.slice(at + 1)];
}

/** What a round begins with that is neither joined nor turned, and leaves stitches out, is a loop: nothing turns up to it. */
function inSpiral(list: readonly Instruction[], { kind, turned, text }: Step): readonly Instruction[] {
  const [first, second] = list;
  if (kind !== 'round' || turned || / join /.test(text)) return list;
  if (first?.do !== 'turning-chain' || !(second?.do === 'skip' || (second?.do === 'work' && second.into === 'space')))
    return list;
  return [{ do: 'chain', chains: first.chains, spans: first.chains, as: 'space' }, ...list.slice(1)];
}

/** A place by what it is: whether stitches share one is not told by every way of saying it. */
const bare = ({ kind, columns }: { kind: string; columns: number }) => ({ kind, columns });

/** Works the written rows of one piece from its chain. */
function workWords(steps: readonly Step[]): void {
  let there: WorkedPlace[] = [];
  steps.forEach((step, index) => {
    if (step.makes) there = placesOf(step.makes.count, step.makes.kind);
    if (step.makes || !step.row || !step.work) return;
    const below = step.turned ? [...there].reverse() : there;
    const read = resolved(inSpiral(readRow(step.text), step), below, steps[index + 1]?.text ?? '');
    const [worked, meant] = [refereeRow(read, below), refereeRow(step.work, below)];
    if (!worked.ok || !meant.ok) throw new Error(`${step.text}: ${JSON.stringify([worked, meant])}`);
    expect(worked.made).toBe(step.ends);
    // whether the last chains are one space or so many places nobody asks any more
    if (steps[index + 1]?.work) expect(worked.places.map(bare)).toEqual(meant.places.map(bare));
    there = meant.places;
  });
}

const anyInRounds: fc.Arbitrary<Plan> = fc
  .constantFrom('ring-tube', 'round-chain', 'disc-wall', 'cluster-panels')
  .chain(anyPlanOf)
  .map((plan) => ({ ...plan, schools: { ...plan.schools, terms: 'US' } }));

/** A saddle with one or more pockets behind. */
const anySaddle: fc.Arbitrary<Plan> = fc
  .tuple(anyPlanOf('saddle'), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 60, max: 300 }))
  .map(([plan, behindPockets, pocketMm]) => ({
    ...plan,
    shape: { ...plan.shape, behindPockets, pocketMm },
    schools: { ...plan.schools, terms: 'US' },
  }));

it.each([
  ['rows', anyInRows],
  ['rounds', anyInRounds],
  ['rounds and rows of a saddle', anySaddle],
] as const)('%s as they are read are those that were refereed', (_, plans) => {
  fc.assert(
    fc.property(plans, (plan) => {
      const worked = reckonOrRefuse(plan);
      fc.pre(!(worked instanceof PlanProblem));
      if (worked instanceof PlanProblem) return;
      for (const { id } of worked.pieces)
        workWords(worked.steps.filter(({ piece, row, makes }) => piece === id && (row ?? makes)));
    }),
    { numRuns: Number(process.env.RUNS ?? 120) },
  );
});

/** Stitches the words of a course come to. */
function stitchesIn(list: readonly Instruction[]): number {
  return list.reduce((sum, one) => {
    switch (one.do) {
      case 'work':
      case 'along':
        return sum + one.times;
      case 'group':
        return sum + one.times * one.parts.reduce((all, part) => all + ('stitch' in part ? part.count : 0), 0);
      case 'repeat':
        return sum + one.times * stitchesIn(one.of);
      default:
        return sum;
    }
  }, 0);
}

/** The last course of a border as it is written, its parts without what they lie along. */
function lastCourse(text: string): Instruction[] {
  const [, told] = /^(.*) \(\d+ stitch(?:es)?\)/.exec(text)!;
  const course = told!
    .replace(/ Work it from .* turning\.$/, '')
    .split(/(?<=\.) /)
    .at(-1)!;
  const parts = split(course.replace(/^(?:Round|Row) \d+: /, '').replace(/\.$/, ''), ';');
  return parts.flatMap((part) => readRow(part.replace(/^[^(]*?: /, '')));
}

it('borders as they are read come to as many stitches as they say, whatever they are worked on', () => {
  let read = 0;
  fc.assert(
    fc.property(anyWork, (plan) => {
      const worked = reckonOrRefuse({ ...plan, schools: { ...plan.schools, terms: 'US' } });
      fc.pre(!(worked instanceof PlanProblem));
      if (worked instanceof PlanProblem) return;
      for (const { text, ends, row, work } of worked.steps) {
        if (ends === null || row || work || !/\(\d+ stitch/.test(text)) continue;
        expect(stitchesIn(lastCourse(text))).toBe(ends);
        read += 1;
      }
    }),
    { numRuns: Number(process.env.RUNS ?? 150) },
  );
  expect(read).toBeGreaterThan(50);
});

/**
 * Which ways a right hand can go along a layer whose right side it sees: plain stitches from right to left, so down a left side and up a right
 * one, held with that edge on top; what is worked backwards the other way. A left hand is its mirror.
 */
const WAYS = {
  plain: { right: ['down left', 'up right'], left: ['down right', 'up left'] },
  backwards: { right: ['up left', 'down right'], left: ['up right', 'down left'] },
} as const;

it('a hook is sent the way its hand goes, by the words alone', () => {
  let sent = 0;
  fc.assert(
    fc.property(anyWork, fc.constantFrom('right' as const, 'left' as const), (plan, hand) => {
      const worked = reckonOrRefuse({ ...plan, schools: { ...plan.schools, terms: 'US', hand } });
      fc.pre(!(worked instanceof PlanProblem));
      if (worked instanceof PlanProblem) return;
      for (const { text, row } of worked.steps) {
        // seen from the front, or one layer from its right side: a needle goes either way
        if (row || !/\(\d+ stitch/.test(text) || /the back towards you|round the flap/.test(text)) continue;
        const first = text.split(/Round 2:|Row 2:/)[0]!;
        const kind = /reverse single/.test(first) ? 'backwards' : 'plain';
        for (const [, way, side] of first.matchAll(/\b(up|down) the (left|right) side/g)) {
          expect([text, WAYS[kind][hand]]).toEqual([text, expect.arrayContaining([`${way} ${side}`])]);
          sent += 1;
        }
      }
    }),
    { numRuns: Number(process.env.RUNS ?? 150) },
  );
  expect(sent).toBeGreaterThan(50);
});

it('a row told one stitch short is found short', () => {
  const { steps } = reckon({
    format: 'keep-snug.plan/1',
    title: 'phone',
    thing: { kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } },
    fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
  });
  const wrong = steps.map((step) =>
    step.row === 5
      ? { ...step, text: step.text.replace(/next (\d+)/, (_, count) => `next ${Number(count) - 1}`) }
      : step,
  );
  expect(() => workWords(wrong)).toThrow(/left unworked/);
});
