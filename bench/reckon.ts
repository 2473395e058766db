import type { Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { core } from './core';
import { atMost, goal } from './goals';
import { ms, timed, timedQuietest } from './measure';
import { stripInSheet } from './sheet';

const { chance, FITS, reckon, ways, workOut } = core;
const RUNS = 1000;

const plans: Plan[] = Object.values(TERN_POINT.plans);

/** How long a plan takes to reckon, for every plan of the sample data and for a strip as long as a sofa. */
export async function benchReckon(): Promise<void> {
  const sofa: Plan = {
    ...plans[0]!,
    title: 'as long as a sofa',
    thing: { kind: 'slab', width: { mm: 900 }, height: { mm: 2200 }, depth: { mm: 300 } },
  };
  console.log(
    'reckon, in Node, the quietest of seven stretches (wanted: median under 1 ms, under 3 ms for the largest)',
  );
  // a maker turns from one plan to another: all of them have been reckoned before the first is timed
  await timed(200, () => plans.map(reckon));
  const asked = [...plans, sofa];
  const taken = await timedQuietest(
    RUNS,
    asked.map((plan) => () => reckon(plan)),
  );
  for (const [index, plan] of asked.entries()) {
    const { median, p95 } = taken[index]!;
    console.log(`  ${plan.title}: median ${ms(median)}, p95 ${ms(p95)}, ${reckon(plan).steps.length} steps`);
  }
  const worst = Math.max(...taken.map(({ median }) => median));
  atMost('a plan reckoned, the slowest sample', 3, worst, 'ms', 2);
}

/** The same strip's sizes and counts by its formulas in a spreadsheet engine, in the same run. */
export async function benchSheet(): Promise<void> {
  const plan = plans[0]!;
  const sheet = stripInSheet(plan);
  const own = await timed(RUNS, () => workOut(plan));
  const other = await timed(RUNS, () => sheet.run());
  const { stitches, rows } = sheet.run();
  const piece = reckon(plan).pieces[0]!;
  console.log('a strip’s counts, against its formulas in a spreadsheet engine');
  console.log(
    `  ours ${ms(own.median)}, the sheet ${ms(other.median)}: ${(other.median / own.median).toFixed(2)} x; both say ${piece.stitches} stitches, ${piece.rows} rows: ${stitches === piece.stitches && rows === piece.rows}`,
  );
  const ratio = other.median / own.median;
  goal(
    'a strip reckoned, against its formulas in a spreadsheet',
    'at least 0.68 x',
    `${ratio.toFixed(2)} x`,
    ratio >= 0.68,
  );
}

/** Chance of fit, and every way to make a thing; that twice as many ways take twice as long. */
export async function benchSearch(): Promise<void> {
  const plan = plans[0]!;
  const drawn = await timed(20, () => chance(plan));
  console.log('chance of fit, 20,000 draws and what would help (wanted: under 100 ms for the draws)');
  console.log(`  median ${ms(drawn.median)}, p95 ${ms(drawn.p95)}`);
  atMost('chance of fit with what would help', 60, drawn.median, 'ms');
  console.log('ways, every shape x hooks x fits (wanted: under 1 s for 5 hooks and 4 fits)');
  const fits = FITS.map(({ id }) => id);
  for (const hooksMm of [[3, 3.5, 4, 4.5, 5], Array.from({ length: 10 }, (_, index) => 2.5 + index / 2)]) {
    const { median } = await timed(3, () => ways({ plan, hooksMm, fits }));
    console.log(
      `  ${hooksMm.length} hooks: median ${ms(median)}, ${(median / (10 * hooksMm.length * 4)).toFixed(3)} ms a way`,
    );
    if (hooksMm.length === 5) atMost('every way for 5 hooks and 4 fits', 360, median, 'ms', 0);
  }
}
