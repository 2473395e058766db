import type * as Repeat from '@keep-snug/core/repeat';
import { TERN_POINT } from '@keep-snug/core/demo';
import './core';
import { atMost } from './goals';
import { ms, timed } from './measure';

/** A repeating yarn on every sample: its grid of up to 60 courses and the search of counts and hooks. */
export async function benchRepeat(): Promise<void> {
  const bundled = new URL('../core/.cache/repeat.mjs', import.meta.url).href;
  const { repeat } = (await import(bundled)) as typeof Repeat;
  const runs = [3, 12, 5, 14].map((stitches, index) => ({ name: `run ${index}`, stitches }));
  console.log('a repeating yarn, its grid and the search of counts and hooks (wanted: under 200 ms)');
  let worst = 0;
  for (const plan of Object.values(TERN_POINT.plans)) {
    const { median, p95 } = await timed(5, () => repeat({ plan, runs }));
    console.log(`  ${plan.title}: median ${ms(median)}, p95 ${ms(p95)}`);
    worst = Math.max(worst, median);
  }
  atMost('a repeating yarn searched, the slowest sample', 73, worst, 'ms');
}
