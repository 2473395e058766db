import type { KeptEvent, Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { core } from './core';
import { atMost } from './goals';
import { ms, timedQuietest } from './measure';

const { mend, reckon } = core;
const COURSES = 12;
const RUNS = 35;

/** So many courses ticked, and ten stitches that measure so much more than planned. */
function measured(plan: Plan, wider: number): KeptEvent[] {
  const { steps, pieces, fabric } = reckon(plan);
  const base = { make: 'make', device: 'bench', at: '2026-05-01T18:00:00.000Z' };
  const ticks = steps
    .filter(({ piece, kind, row }) => piece === pieces[0]!.id && (kind === 'foundation' || row !== null))
    .slice(0, COURSES + 1)
    .map(({ id }, n): KeptEvent => ({ ...base, id: `t${n}`, n: n + 1, kind: 'ticked', step: id, under: null }));
  const tape = { kind: 'measured', what: 'stitches', count: 10, by: 'tape', atStep: null } as const;
  const mm = 10 * wider * fabric.stitchWidth.value;
  return [...ticks, { ...base, ...tape, id: 'm', n: COURSES + 2, piece: pieces[0]!.id, mm }];
}

/** What to do with a make that comes out wider than planned, for every plan of the sample data. */
export async function benchMend(): Promise<void> {
  console.log('mend with its choices, the quietest of seven stretches (wanted: under 30 ms)');
  const makes = Object.values(TERN_POINT.plans).map((plan) => ({ plan, events: measured(plan, 1.08) }));
  const taken = await timedQuietest(
    RUNS,
    makes.map(
      ({ plan, events }) =>
        () =>
          mend(plan, events),
    ),
  );
  for (const [index, { plan, events }] of makes.entries()) {
    const { median, p95 } = taken[index]!;
    console.log(`  ${plan.title}: median ${ms(median)}, p95 ${ms(p95)}, ${mend(plan, events).choices.length} choices`);
  }
  atMost(
    'a make mended with its choices, the slowest sample',
    25,
    Math.max(...taken.map(({ median }) => median)),
    'ms',
  );
}
