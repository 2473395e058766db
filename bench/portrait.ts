import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { portraitOf, type InkNode } from '@keep-snug/core/portrait';
import { ms, timed } from './measure';

const elements = (nodes: readonly InkNode[]): number =>
  nodes.reduce((sum, { children }) => sum + 1 + elements(children), 0);

/** All sides of every sample, worked out anew; how many elements its front is painted with. */
export async function benchPortrait(): Promise<void> {
  console.log('a portrait from every side (wanted: under 4 ms)');
  for (const plan of Object.values(TERN_POINT.plans)) {
    const worked = reckon(plan);
    const { median, p95 } = await timed(40, () => {
      const { sides, paint } = portraitOf(plan, worked, 'right');
      return sides.map((side) => paint(side, 'bench-'));
    });
    const { sides, paint } = portraitOf(plan, worked, 'right');
    const { nodes } = paint(sides[0]!, 'bench-');
    console.log(`  ${plan.title}: median ${ms(median)}, p95 ${ms(p95)}, ${elements(nodes)} elements`);
  }
}
